import type { BoatNow } from '../core/boat/instruments'

/** What the server tells a page of the boat, about once a second. */
export interface BoatReport {
  link: 'off' | 'trying' | 'on'
  /** why it is not on */
  trouble: string | null
  now: BoatNow
  /** sentences that were understood and that were left out */
  sentences: number
  left: number
}
