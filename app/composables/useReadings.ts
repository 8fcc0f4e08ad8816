import type { EntryBodies } from '../../core/school/entries'
import type { TripSummary } from '../../shared/waters'
import { api } from '../utils/api'

export type ReadingBody = EntryBodies['conditions']

/** Puts readings into the log: into the day that is under way on this water, else into a short day of their own. */
export function useReadings() {
  const waters = useWater()
  const journal = useJournal()

  async function add(list: { atMs: number, body: ReadingBody }[]) {
    if (list.length === 0) return
    const sorted = [...list].sort((a, b) => a.atMs - b.atMs)
    const open = await dayUnderWay()
    if (open) journal.tripId = open
    else await journal.begin(waters.water!.id, sorted[0]!.atMs - 1)
    for (const { atMs, body } of sorted) await journal.log('conditions', body, atMs)
    if (!open) await journal.log('end', {}, sorted.at(-1)!.atMs + 1)
    journal.close()
    waters.addReadings(sorted.map(({ atMs, body }) => ({ at: new Date(atMs).toISOString(), body })))
    await journal.flush()
  }

  async function dayUnderWay(): Promise<string | null> {
    try {
      const trips = await api<TripSummary[]>('trips')
      return trips.find(t => t.waterId === waters.water!.id && t.endedAt === null)?.id ?? null
    }
    catch (error) {
      // Without a network it is not known; a short day of its own holds the reading as well.
      console.info('the list of days cannot be read now', error)
      return null
    }
  }

  return { add }
}
