import { Fault } from '../services/fault'

export default route(({ event }) => {
  throw new Fault(404, { message: `there is nothing at ${event.method} ${event.path.split('?')[0]}` })
})
