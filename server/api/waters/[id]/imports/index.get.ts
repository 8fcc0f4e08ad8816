import { listImports } from '../../../../services/imports'
import { requireWater } from '../../../../services/waters'

export default route(({ event, db, angler }) => listImports(db, angler.id, requireWater(db, angler.id, pathId(event)).id))
