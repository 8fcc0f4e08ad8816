import { listWaters } from '../../services/waters'

export default route(({ db, angler }) => listWaters(db, angler.id))
