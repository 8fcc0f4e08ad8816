import { listTrips } from '../../services/trips'

export default route(({ db, angler }) => listTrips(db, angler.id))
