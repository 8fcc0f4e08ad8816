import { DateTime } from 'luxon'
import type { Reached } from './dayReached'

const short = (iso: string) => DateTime.fromISO(iso).toFormat('d LLL')

/** When a level is reached: the day, and its band in words; both null when it is not within the days known. */
export function reachedText({ passed, likely, earliest, latest }: Reached): { day: string | null, band: string | null } {
  if (passed) return { day: likely ? short(likely) : 'past', band: null }
  if (!likely) return { day: earliest ? `from ${short(earliest)}?` : null, band: null }
  const from = earliest ? short(earliest) : short(likely)
  const to = latest ? short(latest) : 'later'
  return { day: short(likely), band: from === to ? null : `${from} to ${to}` }
}
