import { pathToFileURL } from 'node:url'
import { resolve } from 'node:path'
import { seededRandom } from '../core/numeric/random'
import { readNmea } from '../core/formats/nmea'
import { countedTriples, soundingTable } from '../core/formats/soundingBlob'
import { buildChart } from '../core/water/buildChart'
import { cleanSoundings } from '../core/water/cleanSoundings'
import { depthAreas } from '../core/water/contourLines'
import type { Place } from '../core/place/kinds'
import type { DepthGrid } from '../core/water/depthGrid'
import { localFrame } from '../core/water/localFrame'
import { migrateDb, openDb, type Db } from '../server/db/open'
import { freshenReadTables, refreshReadTables } from '../server/services/readTables'
import { places as placeTable, tackle, waters } from '../server/db/schema'
import { requireLocalAngler } from '../server/services/anglers'
import { setDemoStart } from '../server/services/clock'
import { insertImport } from '../server/services/imports'
import { setSeasonNotes } from '../server/services/seasonNotes'
import { storeWeather } from '../server/services/weather'
import { weatherAnswer } from '../server/services/weatherProvider'
import { appendEntries } from '../server/services/journal'
import { listWaters, setGrid } from '../server/services/waters'
import { check } from '../shared/validate'
import { journalBatchSchema } from '../shared/journal'
import { placeSchema } from '../shared/places'
import { tackleSchema } from '../shared/tackle'
import { seasonNotesSchema } from '../shared/weather'
import { boatLog } from '../sim/boatLog'
import { lastSpring } from '../sim/lastSpring'
import { pastTrips } from '../sim/pastTrips'
import { fishWorld } from '../sim/fishWorld'
import { tripSeasons } from '../sim/tripSeasons'
import { serviceAnswer, WEATHER_SEED } from '../sim/weatherService'
import { idMaker } from './ids'
import { starterTackle } from './tackle'
import { DEMO_WATERS, type DemoWater } from './waters'

export const DEMO_ZONE = 'America/Chicago'
export const DEMO_MORNING = '2026-04-24T06:40:00.000-05:00'
const SEED = 20260424
const TRANSDUCER_M = 0.3
const DAY_MS = 86_400_000
const WEATHER_DAYS = 480
/** A winter before the first trip, for the water to find its temperature. */
const WORLD_FROM = '2023-12-01T00:00:00Z'
/** As many as one batch may hold. */
const MOST_ENTRIES = 500

/** Puts the demo waters, their places, a tackle box and two seasons of past trips into a database that has no water yet. */
export function seedDemo(db: Db): 'seeded' | 'kept' {
  const angler = requireLocalAngler(db)
  if (listWaters(db, angler.id).length > 0) return 'kept'
  const morningMs = Date.parse(DEMO_MORNING)
  // Two sources, so that one thing more in the box does not change what was caught.
  const makeId = idMaker(seededRandom(SEED))
  const random = seededRandom(SEED + 1)
  const newId = () => makeId(morningMs - 30 * DAY_MS)
  // Pellowick's ids come first, as they always did: what its last weeks brought does not change with the other waters.
  const made = DEMO_WATERS.map(water => ({ ...grow(water, newId, morningMs), water }))
  const box = starterTackle(newId)
  const [reservoir] = made
  const reach = reservoir!.placeList.find(p => p.name.startsWith('Sluice Bar'))!
  const older = reservoir!.placeList.slice(0, reservoir!.placeList.indexOf(reach))
  const about = { waterId: reservoir!.waterId, zone: DEMO_ZONE, morning: DEMO_MORNING, random, newId: makeId }
  const recent = pastTrips({ ...about, places: older })
  const run = lastSpring({ ...about, reachId: reach.id })
  const history = made.flatMap(({ water, waterId, placeList, truth }, i) => tripSeasons({
    waterId, zone: water.zone, places: placeList, quarries: water.quarries, secchiM: water.secchiM, days: water.days, random: seededRandom(SEED + 100 + i), newId: makeId,
    world: worldOf(water, truth, placeList, morningMs, SEED + i),
  }))
  // One transaction on the one connection: a seed that is cut off leaves nothing behind.
  db.transaction(() => {
    for (const { water, waterId, placeList, coordinates, table, chart, surveyedMs } of made) {
      db.insert(waters).values({ id: waterId, ownerId: angler.id, name: water.name, zone: water.zone, ...water.origin, shoreline: { type: 'Polygon', coordinates }, heldOutM: chart.heldOut?.rmsM ?? null }).run()
      insertImport(db, { id: makeId(surveyedMs), ownerId: angler.id, waterId, at: new Date(surveyedMs).toISOString(), label: `March survey, tracks ${water.spacingM} m apart.nmea`, levelM: null }, table)
      for (const place of placeList) db.insert(placeTable).values({ ...requireValid(placeSchema, place), ownerId: angler.id, waterId }).run()
      setGrid(db, waterId, chart.grid)
      const forecast = weatherAnswer(JSON.stringify(serviceAnswer({ ...water.origin, fromMs: morningMs - WEATHER_DAYS * DAY_MS, toMs: morningMs + 11 * DAY_MS, nowMs: morningMs })))
      storeWeather(db, angler.id, waterId, 'service', new Date(forecast.issuedMs).toISOString(), forecast.weather)
      setSeasonNotes(db, angler.id, waterId, requireValid(seasonNotesSchema, { parts: water.parts, priors: [], releases: water.releases }))
    }
    for (const item of box) db.insert(tackle).values({ ...requireValid(tackleSchema, item), ownerId: angler.id }).run()
    const entries = [...history, ...run, ...recent]
    for (let i = 0; i < entries.length; i += MOST_ENTRIES) appendEntries(db, angler.id, requireValid(journalBatchSchema, { entries: entries.slice(i, i + MOST_ENTRIES) }).entries)
    freshenReadTables(db, angler.id)
    setDemoStart(db, new Date(morningMs).toISOString())
  })
  return 'seeded'
}

/** A water with its places, its shoreline and a chart that is made as any other: from what the stand-in boat logged, read, cleaned and gridded. */
function grow(water: DemoWater, newId: () => string, morningMs: number) {
  const truth = water.grid()
  const waterId = newId()
  const placeList = water.places(truth, newId)
  const frame = localFrame(water.origin)
  const outline = depthAreas({ grid: truth, levelsM: [0] })[0]!.polygons[0]!
  const coordinates = outline.map(ring => ring.map(([x, y]): [number, number] => {
    const { lonDeg, latDeg } = frame.toLonLat(x, y)
    return [Number(lonDeg.toFixed(6)), Number(latDeg.toFixed(6))]
  }))
  const surveyedMs = morningMs - 40 * DAY_MS
  return { truth, waterId, placeList, coordinates, surveyedMs, ...surveyOf(truth, outline, water, surveyedMs) }
}

function surveyOf(truth: DepthGrid, outline: [number, number][][], { origin, spacingM }: DemoWater, startMs: number) {
  const frame = localFrame(origin)
  const log = boatLog({ truth, frame, startMs, spacingM, seed: SEED, transducerM: TRANSDUCER_M })
  const { items } = readNmea(log, { transducerM: TRANSDUCER_M })
  const soundings = Float64Array.from(items.flatMap(({ lonDeg, latDeg, depthM }) => {
    const { x, y } = frame.toLocal(lonDeg, latDeg)
    return [x, y, depthM]
  }))
  const table = soundingTable(items, cleanSoundings({ soundings }))
  const [outer, ...islands] = outline.map(ring => ring.slice(0, -1).map(([x, y]) => ({ x, y })))
  return { table, chart: buildChart({ outer: outer!, islands, soundings: countedTriples(table, frame.toLocal, 0), cellM: truth.cellM }) }
}

/** The stand-in world that a water's past trips were fished in: the weather is the demo's own. */
export function worldOf({ origin, secchiM }: DemoWater, grid: DepthGrid, places: readonly Place[], untilMs: number, seed: number) {
  const fromMs = Date.parse(WORLD_FROM)
  return fishWorld({ grid, frame: localFrame(origin), places, ...origin, secchiM, weatherSeed: WEATHER_SEED, seed, fromMs, hours: Math.ceil((untilMs - fromMs) / 3_600_000) })
}

function requireValid<T>(schema: Parameters<typeof check<T>>[0], value: unknown): T {
  const result = check(schema, value)
  if (!result.ok) throw new Error(`the demo data is not valid: ${result.error.field}: ${result.error.message}`)
  return result.value
}

if (process.argv[1] && import.meta.url === pathToFileURL(process.argv[1]).href) {
  const file = resolve(process.env.DB_FILE ?? '.data/demo.db')
  const db = openDb(file)
  migrateDb(db, resolve('server/db/migrations'))
  refreshReadTables(db)
  console.log(seedDemo(db) === 'seeded' ? `Demo water written to ${file}` : `Kept the log that is in ${file}`)
  // Closing folds the write-ahead log into the file, which can then be copied.
  db.$client.close()
}
