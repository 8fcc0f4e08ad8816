import { listTackle } from '../../services/tackle'

export default route(({ db, angler }) => listTackle(db, angler.id))
