import { describe, expect, it } from 'vitest'
import { DateTime } from 'luxon'
import { seededRandom } from '../core/numeric/random'
import { reduceTrip } from '../core/school/reduceTrip'
import { idMaker } from '../demo/ids'
import { pellowickGrid } from '../demo/pellowick'
import { pellowickPlaces } from '../demo/places'
import { check } from '../shared/validate'
import { journalBatchSchema } from '../shared/journal'
import { pastTrips } from './pastTrips'

const places = pellowickPlaces(pellowickGrid(10), idMaker(seededRandom(1)).bind(null, 0))
const morning = '2026-04-24T06:40:00.000-05:00'
const zone = 'America/Chicago'
const trips = (seed: number) => {
  const newId = idMaker(seededRandom(seed))
  return pastTrips({ waterId: newId(0), zone, places, morning, random: seededRandom(seed + 1), newId })
}

describe('past trips', () => {
  const entries = trips(5)

  it('would be taken by the journal as any device\'s', () => {
    expect(check(journalBatchSchema, { entries })).toMatchObject({ ok: true })
    expect(new Set(entries.map(e => e.id)).size).toBe(entries.length)
  })

  it('are the same for the same seed and others for another', () => {
    expect(trips(5)).toEqual(entries)
    expect(trips(6)).not.toEqual(entries)
  })

  it('end before the demo\'s morning, start in the morning, and visit places deep enough', () => {
    for (const id of new Set(entries.map(e => e.tripId))) {
      const trip = reduceTrip(entries.filter(e => e.tripId === id))!
      expect(Date.parse(trip.endedAt!)).toBeLessThan(Date.parse(morning))
      expect(DateTime.fromISO(trip.startedAt, { zone }).hour).toBeLessThan(9)
      for (const { placeId } of trip.visits) expect(places.find(p => p.id === placeId)!.attributes.bottomDepthM).toBeGreaterThanOrEqual(2)
      for (const f of trip.fish) {
        const school = trip.schools.find(s => s.id === f.schoolId)!
        expect(f.depthM).toBeGreaterThanOrEqual(school.topM)
        expect(f.placeId).toBe(school.placeId)
        expect(f.rigId).not.toBeNull()
      }
    }
  })

  it('tell of water that warms, and of the morning\'s own reading', () => {
    const readings = entries.flatMap(e => (e.kind === 'conditions' ? [e] : [])).sort((a, b) => a.at.localeCompare(b.at))
    const temps = readings.map(r => r.body.waterC!)
    expect(temps).toEqual([...temps].sort((a, b) => a - b))
    expect(temps.at(-1)).toBe(12.2)
  })

  it('keep only fish of a size worth keeping', () => {
    const fish = entries.flatMap(e => (e.kind === 'fish' ? [e.body] : []))
    expect(fish.length).toBeGreaterThan(5)
    for (const f of fish) if (f.fate === 'kept') expect(f.lengthM! > 0.254 && f.lengthM! < 0.31).toBe(true)
  })
})
