import { boatNow } from '../../core/boat/instruments'
import type { BoatReport } from '../../shared/boat'
import type { InstrumentsAt } from '../../shared/angler'
import { InstrumentLink } from '../devices/instrumentLink'
import type { AnglerRow } from '../services/anglers'

let link: InstrumentLink | undefined

/** "host:port" of instruments that are there unless the angler names others: the demo's stand-in boat. */
function usual(): InstrumentsAt | null {
  const [, host, port] = /^(.+):(\d+)$/.exec(process.env.INSTRUMENTS ?? '') ?? []
  return host && port ? { host, port: Number(port) } : null
}

/** The link to this angler's boat, listening where the settings say. */
export function useInstruments(angler: AnglerRow): InstrumentLink {
  link ??= new InstrumentLink()
  link.listenAt(angler.instruments ?? usual())
  return link
}

export function boatReport(link: InstrumentLink, nowMs: number): BoatReport {
  const { link: linked, trouble, heard } = link.state
  return { link: linked, trouble, now: boatNow(heard, nowMs), sentences: heard.sentences, left: heard.left }
}
