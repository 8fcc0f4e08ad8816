import { DateTime } from 'luxon'
import type { Place } from '../core/place/kinds'
import type { Species } from '../core/fish/species'
import type { Entry, EntryBodies, EntryKind } from '../core/school/entries'
import { seededRandom } from '../core/numeric/random'
import { skyOf } from '../core/season/sky'
import type { SeasonFish } from '../core/season/seasons'
import { fishState, likingOf } from './fishLaw'
import { pressure, type FishWorld } from './fishWorld'

const COLOURS_TIED = ['pearl and chartreuse', 'pink and white', 'black and chartreuse', 'white']

/** A kind of fish that an angler goes for on a water: its species with their shares, and how long they are. */
export interface Quarry {
  fish: SeasonFish
  species: { species: Species, share: number }[]
  meanM: number
  sdM: number
  /** the angler keeps fish of these lengths, m */
  keeps: [number, number]
}

export interface TripSeasonsOptions {
  waterId: string
  zone: string
  world: FishWorld
  places: readonly Place[]
  quarries: Quarry[]
  secchiM: number
  /** local days of the trips, "2025-04-12" */
  days: string[]
  random: () => number
  newId: (atMs: number) => string
}

/** Above this mean of the day white bass drive bait to the surface, °C; where, and at what hour they like to. */
const BOIL_FROM_C = 18
const BOIL_GROUNDS = [{ kind: 'hump', hour: 7.6 }, { kind: 'point', hour: 9.7 }, { kind: 'basinEdge', hour: 8.8 }] as const
const BOIL_SHARE = 0.5
const ROUND = 10
/** How often the angler goes by what was caught before, rather than by what the season says. */
const BY_MEMORY = 0.55
const MINUTE_H = 1 / 60
const SCHOOLS_A_TRIP = 4.25

/**
 * Journals of an ordinary angler's trips through past seasons in the stand-in world: he goes partly by memory and partly by what the time of
 * year is said to want, and the world gives him what it gives. Seeded by the random source.
 */
export function tripSeasons({ waterId, zone, world, places, quarries, secchiM, days, random, newId }: TripSeasonsOptions): Entry[] {
  const entries: Entry[] = []
  const fished = pressure()
  const memory = new Map<string, { fish: number, hours: number }>()
  // What is tied on moves no fish here; its own chances leave the rest of the seasons as they are.
  const tints = seededRandom(days.length)
  const surface = seededRandom(days.length + 1)
  const write = <K extends EntryKind>(tripId: string, at: DateTime, kind: K, body: EntryBodies[K]): string => {
    const id = newId(at.toMillis())
    // Kind and body belong together by the signature; the union cannot see it.
    entries.push({ id, tripId, at: at.toUTC().toISO()!, kind, body } as Entry)
    return id
  }
  const round = (m: number) => Math.round(m * ROUND) / ROUND
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  const weighted = <T>(list: readonly T[], weight: (one: T) => number): T => {
    const total = list.reduce((sum, one) => sum + weight(one), 0)
    let left = random() * total
    return list.find(one => (left -= weight(one)) < 0) ?? list.at(-1)!
  }
  const poisson = (mean: number) => {
    let [n, p] = [0, random()]
    for (const floor = Math.exp(-mean); p > floor; n++) p *= random()
    return n
  }

  for (const day of days) {
    const quarry = weighted(quarries, () => 1)
    const morning = DateTime.fromISO(day, { zone }).set({ hour: 6, minute: 30 }).plus({ minutes: Math.floor(random() * 90) })
    const tripId = newId(morning.toMillis())
    const weather = world.hour(morning.toMillis())
    write(tripId, morning, 'start', { waterId })
    write(tripId, morning.plus({ minutes: 5 }), 'conditions', {
      waterC: round(world.waterC(morning.toMillis()) + 0.3 * gauss()), secchiM: round(secchiM * (0.85 + 0.3 * random())),
      windMS: round(weather.windMS), windFromDeg: Math.round(weather.windFromDeg) % 360, sky: skyOf(weather),
    })
    const state = fishState(quarry.fish, world.dayMeanC(morning.toMillis()), world.rising(morning.toMillis()))
    const stops = Math.max(3, Math.min(6, Math.round(SCHOOLS_A_TRIP + gauss())))
    let now: DateTime<boolean> = morning.plus({ minutes: 15 })
    const been = new Set<string>()
    for (let n = 0; n < stops; n++) {
      const open = places.filter(p => !been.has(p.id))
      if (open.length === 0) break
      const known = open.filter(p => memory.has(`${quarry.fish} ${p.id}`))
      const mean = (p: Place) => {
        const m = memory.get(`${quarry.fish} ${p.id}`)
        return m ? m.fish / m.hours : 0
      }
      const place = known.length > 2 && random() < BY_MEMORY ? weighted(known, p => mean(p) ** 1.5 + 0.1) : weighted(open, p => likingOf(state, p.kind) ** 2)
      been.add(place.id)
      now = fish(place, quarry, tripId, now).plus({ minutes: 8 + Math.floor(random() * 10) })
    }
    if (world.dayMeanC(morning.toMillis()) > BOIL_FROM_C) boils(tripId, morning, now)
    write(tripId, now, 'end', {})
  }
  return entries

  /** Fish at the surface that the angler saw from wherever he was, while he was out. */
  function boils(tripId: string, from: DateTime, to: DateTime): void {
    for (const { kind, hour } of BOIL_GROUNDS) {
      const ground = places.find(p => p.kind === kind)
      const at = from.startOf('day').plus({ minutes: Math.round(60 * (hour + 0.9 * (surface() + surface() - 1))) })
      if (!ground || surface() >= BOIL_SHARE || at <= from || at >= to) continue
      const off = () => 0.0012 * (surface() - 0.5)
      write(tripId, at, 'boil', { placeId: null, lonDeg: Number((ground.lonDeg + off()).toFixed(5)), latDeg: Number((ground.latDeg + off()).toFixed(5)), towardDeg: 45 * Math.floor(8 * surface()) })
    }
  }

  function fish(place: Place, quarry: Quarry, tripId: string, arrived: DateTime): DateTime {
    write(tripId, arrived, 'arrive', { placeId: place.id })
    const minutes = 60 + Math.floor(random() * 60)
    const { perHour, state } = world.truth(place, quarry.fish, arrived.toMillis())
    const fishHours = minutes * MINUTE_H
    const caught = poisson(fished.fish(place.id, perHour, fishHours, arrived.toMillis()))
    const key = `${quarry.fish} ${place.id}`
    const m = memory.get(key) ?? { fish: 0, hours: 0 }
    memory.set(key, { fish: m.fish + caught, hours: m.hours + fishHours })
    const waterDepthM = place.attributes.bottomDepthM
    const topM = Math.max(0.2, Math.min(waterDepthM * 0.85, state.topM + 0.3 * gauss()))
    const bottomM = Math.min(waterDepthM, Math.max(topM + 0.2, topM + (state.bottomM - state.topM) * (0.4 + 0.4 * random())))
    const left = arrived.plus({ minutes })
    const schoolId = write(tripId, arrived.plus({ minutes: 4 }), 'school', { placeId: place.id, topM: round(topM), bottomM: round(bottomM), waterDepthM, tightness: random() < 0.35 ? 'tight' : random() < 0.5 ? 'clustered' : 'loose' })
    write(tripId, arrived.plus({ minutes: 5 }), 'rig', { family: 'castJig', headKg: random() < 0.5 ? 0.000886 : 0.001772, bodyLengthM: 0.0381, bodyName: 'Slim, 1½ in', lineDiameterM: 0.00018, stopM: null, colour: COLOURS_TIED[Math.floor(tints() * COLOURS_TIED.length)]! })
    const times = Array.from({ length: caught }, () => 6 + random() * (minutes - 7)).sort((a, b) => a - b)
    for (const minute of times) {
      const lengthM = Math.max(0.11, Math.round((quarry.meanM + quarry.sdM * gauss()) * 1000) / 1000)
      write(tripId, arrived.plus({ seconds: Math.round(minute * 60) }), 'fish', {
        schoolId, species: weighted(quarry.species, s => s.share).species, lengthM, fate: lengthM >= quarry.keeps[0] && lengthM <= quarry.keeps[1] ? 'kept' : 'released',
        depthM: round(topM + (bottomM - topM) * random()),
      })
    }
    const presentations = Math.round((minutes - 5) * 1.2)
    write(tripId, left, 'stretch', { schoolId, minutes: minutes - 5, presentations, looks: poisson(2), follows: poisson(2 + caught * 0.3), taps: caught + poisson(1 + caught * 0.2) })
    write(tripId, left, 'move', {})
    return left
  }
}
