import { setResponseHeaders } from 'h3'
import { writeCsvSoundings } from '../../../../core/formats/csvSoundings'
import { soundingsOf } from '../../../services/imports'
import { requireWater } from '../../../services/waters'

export default route(({ event, db, angler }) => {
  const { id } = requireWater(db, angler.id, pathId(event))
  setResponseHeaders(event, { 'Content-Type': 'text/csv; charset=utf-8', 'Content-Disposition': 'attachment; filename="soundings.csv"' })
  return writeCsvSoundings(soundingsOf(db, angler.id, id))
})
