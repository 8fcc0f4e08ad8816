import { getHeader, setResponseHeaders, setResponseStatus } from 'h3'
import { gridBytes, requireWater } from '../../../services/waters'

export default route(({ event, db, angler }) => {
  const { id } = requireWater(db, angler.id, pathId(event))
  const { tag, gzipped } = gridBytes(db, id)
  setResponseHeaders(event, { 'ETag': `"${tag}"`, 'Cache-Control': 'private, no-cache', 'Vary': 'Accept-Encoding' })
  if (getHeader(event, 'if-none-match') === `"${tag}"`) {
    setResponseStatus(event, 304)
    return null
  }
  setResponseHeaders(event, { 'Content-Type': 'application/octet-stream', 'Content-Encoding': 'gzip' })
  return gzipped
})
