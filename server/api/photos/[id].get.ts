import { setResponseHeaders } from 'h3'
import { photoBytes } from '../../services/photos'

export default route(({ event, db, angler }) => {
  const bytes = photoBytes(db, angler.id, pathId(event))
  // A picture never changes under its id.
  setResponseHeaders(event, { 'Content-Type': 'image/webp', 'Cache-Control': 'private, max-age=31536000, immutable' })
  return bytes
})
