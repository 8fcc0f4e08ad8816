import { seededRandom } from '../core/numeric/random'
import { ownScale } from '../core/place/ownScale'
import type { Place } from '../core/place/kinds'
import { placeRecords } from '../core/place/placeRecord'
import { rankPlaces, type RankDay, type StandingPlace } from '../core/place/rankPlaces'
import { structureFit } from '../core/place/structureFit'
import { depthBelief, type LoggedDepth } from '../core/school/depthBelief'
import { phaseProbabilities } from '../core/season/phaseProbabilities'
import { SEASONS, seasonFishName, type SeasonFish } from '../core/season/seasons'
import { skyOf } from '../core/season/sky'
import { lightActivity, shadowStrength, sunAt } from '../core/season/sun'
import type { Species } from '../core/fish/species'
import { deepest, depthAt } from '../core/water/depthGrid'
import { fetchRose } from '../core/water/fetchRose'
import { localFrame } from '../core/water/localFrame'
import { DEMO_WATERS, type DemoWater } from '../demo/waters'
import { worldOf } from '../demo/seed'
import { pressure } from '../sim/fishWorld'

const HOUR_MS = 3_600_000
const DAY_MS = 24 * HOUR_MS
const STOPS = 3
const STAY_H = 1.5
const RIVALS = 8
/** Suitable: the fish's depths are there, and the kind is not out of season. */
const SUITS = { share: 0.25, structure: 0.35 }
const NEVER: StandingPlace['record'] = { catches: 0, effortHours: 0, visits: 0, lastVisitMs: null }

export interface RankingYield { ours: number, random: number, same: number, stayWithWinners: number, ceiling: number, days: number }

/** Days of fishing the top three of the list in the stand-in world, against others who choose otherwise; each has a log and a pressure of his own. */
export function rankingYield({ water, fish, days, seed }: { water: DemoWater, fish: SeasonFish, days: number, seed: number }): RankingYield {
  const grid = water.grid(10)
  const frame = localFrame(water.origin)
  let n = 0
  const places = water.places(water.grid(), () => `p${n++}`)
  const untilMs = Date.UTC(2025, 11, 1)
  const world = worldOf(water, grid, places, untilMs, seed)
  const standing = places.map((place): Omit<StandingPlace, 'record'> => {
    const at = frame.toLocal(place.lonDeg, place.latDeg)
    return { place, part: 0, depthM: depthAt({ grid, ...at }), roseM: fetchRose({ grid, ...at }) }
  })
  const random = seededRandom(seed * 31 + 7)
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  const deepestM = deepest(grid)
  const sides = { ours: fisher(), stayWithWinners: fisher(), ceiling: fisher() }
  // Luck would decide for one of each: several, and their mean.
  const randoms = Array.from({ length: RIVALS }, fisher)
  const sames = Array.from({ length: RIVALS }, () => ({ ...fisher(), last: null as Place[] | null }))
  let winners: { place: Place, fish: number }[] = []

  for (let d = 0; d < days; d++) {
    // The open season of two years, evenly: March to November.
    const year = d < days / 2 ? 2024 : 2025
    const share = (d % (days / 2)) / (days / 2)
    const atMs = Date.UTC(year, 2, 10) + Math.round(share * 250) * DAY_MS + (8 - water.origin.lonDeg / 15) * HOUR_MS
    const day = dayFor(atMs)
    const suitable = standing.filter((_, i) => day.table.depthShare[i]! >= SUITS.share && structureFit({ kind: standing[i]!.place.kind, phases: day.phases, fish }) >= SUITS.structure).map(s => s.place)
    const open = suitable.length >= STOPS ? suitable : Array.from(day.table.order.slice(0, 6), i => places[i]!)
    const some = (list: readonly Place[], count: number, without: readonly Place[] = []) => {
      const left = list.filter(p => !without.includes(p))
      return Array.from({ length: Math.min(count, left.length) }, () => left.splice(Math.floor(random() * left.length), 1)[0]!)
    }
    sides.ours.fish(Array.from(day.table.order.slice(0, STOPS), i => places[i]!), atMs, true)
    for (const one of randoms) one.fish(some(open, STOPS), atMs)
    for (const one of sames) {
      one.last ??= some(open, STOPS)
      one.fish(one.last, atMs)
    }
    // Keeps the two best of last time and tries another.
    const kept = winners.sort((a, b) => b.fish - a.fish).slice(0, 2).map(w => w.place)
    const tried = [...kept, ...some(open, STOPS - kept.length, kept)]
    winners = sides.stayWithWinners.fish(tried, atMs).map((caught, i) => ({ place: tried[i]!, fish: caught }))
    const known = places.map(place => ({ place, worth: world.truth(place, fish, atMs).perHour * sides.ceiling.pressed.stockAt(place.id, atMs) })).sort((a, b) => b.worth - a.worth)
    sides.ceiling.fish(known.slice(0, STOPS).map(k => k.place), atMs)
  }
  return { ours: sides.ours.total(), random: mean(randoms), same: mean(sames), stayWithWinners: sides.stayWithWinners.total(), ceiling: sides.ceiling.total(), days }

  function mean(list: { total: () => number }[]) {
    return list.reduce((sum, one) => sum + one.total(), 0) / list.length
  }

  /** One who fishes: what he takes is counted as expected, what he remembers is drawn. */
  function fisher() {
    const pressed = pressure()
    let sum = 0
    const visits: { at: string, leftAt: string | null, placeId: string, minutes: number }[] = []
    const catches: { at: string, placeId: string, species: Species | null }[] = []
    const schools: (Omit<LoggedDepth, 'ageDays'> & { atMs: number })[] = []
    return {
      pressed, visits, catches, schools,
      total: () => sum,
      fish(list: readonly Place[], atMs: number, remembers = false): number[] {
        return list.map((place, i) => {
          const from = atMs + i * 2 * HOUR_MS
          const { perHour, state } = world.truth(place, fish, from)
          const expected = pressed.fish(place.id, perHour, STAY_H, from)
          sum += expected
          const caught = Math.max(0, Math.round(expected + Math.sqrt(expected) * gauss()))
          if (remembers) {
            visits.push({ at: new Date(from).toISOString(), leftAt: new Date(from + STAY_H * HOUR_MS).toISOString(), placeId: place.id, minutes: STAY_H * 60 })
            for (let k = 0; k < caught; k++) catches.push({ at: new Date(from).toISOString(), placeId: place.id, species: null })
            if (caught > 0) schools.push({ topM: Math.max(0.2, state.topM + 0.3 * gauss()), bottomM: Math.max(0.5, state.bottomM + 0.3 * gauss()), waterC: world.waterC(from), hour: 8 + i * 2, secchiM: water.secchiM, atMs: from })
          }
          return caught
        })
      },
    }
  }

  /** What the app would know that morning: a reading with its error, the forecast, the log. */
  function dayFor(atMs: number) {
    const { windMS, windFromDeg, cloud, rainMm } = world.hour(atMs)
    const waterC = Math.max(0, world.dayMeanC(atMs) + 0.3 * gauss())
    const trendCPerWeek = world.trend(atMs) + 0.3 * gauss()
    const dayOfYear = Math.floor((atMs - Date.UTC(new Date(atMs).getUTCFullYear(), 0, 1)) / DAY_MS) + 1
    const phases = phaseProbabilities({ waterC, trendCPerWeek, dayOfYear, latDeg: water.origin.latDeg, season: SEASONS[fish] })
    const sky = skyOf({ cloud, rainMm }) ?? 'broken'
    const { altitudeDeg } = sunAt({ atMs, ...water.origin })
    const { visits, catches, schools } = sides.ours
    const logged = schools.map(s => ({ ...s, ageDays: (atMs - s.atMs) / DAY_MS }))
    const belief = depthBelief({ phases, waterDepthM: deepestM, waterC, secchiM: water.secchiM, hour: 8, windMS, trendCPerWeek, logged })
    const records = placeRecords({ visits, catches, fish, atMs })
    const day: RankDay = {
      fish, atMs, windMS, windFromDeg, secchiM: water.secchiM, waveLimitM: 0.6, released: false, rateScale: ownScale({ records: records.values(), phases }),
      shadow: shadowStrength({ altitudeDeg, sky }), activity: lightActivity({ altitudeDeg, sky }), parts: [{ phases, belief, waterC, warmerC: 0 }],
    }
    return { phases, table: rankPlaces({ places: standing.map(s => ({ ...s, record: records.get(s.place.id) ?? NEVER })), day }) }
  }
}

const DAYS_EACH = 60

/** Five waters-and-fish of sixty days each. */
export function rankingBench() {
  const sum: RankingYield = { ours: 0, random: 0, same: 0, stayWithWinners: 0, ceiling: 0, days: 0 }
  const lines = DEMO_WATERS.flatMap((water, w) => water.quarries.map(({ fish }, q) => {
    const y = rankingYield({ water, fish, days: DAYS_EACH, seed: 500 + w * 10 + q })
    for (const key of Object.keys(sum) as (keyof RankingYield)[]) sum[key] += y[key]
    return row(`${water.name}, ${seasonFishName(fish)}`, y)
  }))
  return { what: 'fish of the top three of our list, against other ways to choose', lines: [...lines, row('all', sum)] }
}

const row = (name: string, y: RankingYield) => `${name}, ${y.days} days: ${(y.ours / y.random).toFixed(2)} × three random suitable places, ${(y.ours / y.same).toFixed(2)} × the same places as last time, ${(y.ours / y.stayWithWinners).toFixed(2)} × the two best of last time and another, ${(y.ours / y.ceiling).toFixed(2)} of an all-knowing choice (${(y.ours / y.days).toFixed(1)} fish a day)`
