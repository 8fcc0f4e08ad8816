import { createEventStream } from 'h3'
import { requireLocalAngler } from '../../services/anglers'

const EVERY_MS = 1000

/** The boat's report once a second, for as long as the page listens. */
export default route(async ({ event, db }) => {
  const stream = createEventStream(event)
  const tell = () => void stream.push(JSON.stringify(boatReport(useInstruments(requireLocalAngler(db)), Date.now())))
  const timer = setInterval(tell, EVERY_MS)
  stream.onClosed(async () => {
    clearInterval(timer)
    await stream.close()
  })
  tell()
  await stream.send()
})
