import { pathToFileURL } from 'node:url'
import { resolve } from 'node:path'
import { seededRandom } from '../core/numeric/random'
import { readNmea } from '../core/formats/nmea'
import { countedTriples, soundingTable } from '../core/formats/soundingBlob'
import { buildChart } from '../core/water/buildChart'
import { cleanSoundings } from '../core/water/cleanSoundings'
import { depthAreas } from '../core/water/contourLines'
import type { DepthGrid } from '../core/water/depthGrid'
import { localFrame } from '../core/water/localFrame'
import { migrateDb, openDb, type Db } from '../server/db/open'
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
import { serviceAnswer } from '../sim/weatherService'
import { idMaker } from './ids'
import { PELLOWICK_ORIGIN, pellowickGrid } from './pellowick'
import { pellowickParts } from './parts'
import { pellowickPlaces, riverReach } from './places'
import { starterTackle } from './tackle'

export const DEMO_ZONE = 'America/Chicago'
export const DEMO_MORNING = '2026-04-24T06:40:00.000-05:00'
const SEED = 20260424
const TRANSDUCER_M = 0.3
const DAY_MS = 86_400_000
const WEATHER_DAYS = 480

/** Puts the demo water, its places, a tackle box and a few past trips into a database that has no water yet. */
export function seedDemo(db: Db): 'seeded' | 'kept' {
  const angler = requireLocalAngler(db)
  if (listWaters(db, angler.id).length > 0) return 'kept'
  const morningMs = Date.parse(DEMO_MORNING)
  // Two sources, so that one thing more in the box does not change what was caught.
  const makeId = idMaker(seededRandom(SEED))
  const random = seededRandom(SEED + 1)
  const newId = () => makeId(morningMs - 30 * 86_400_000)

  const truth = pellowickGrid()
  const waterId = newId()
  const placeList = pellowickPlaces(truth, newId)
  const box = starterTackle(newId)
  const frame = localFrame(PELLOWICK_ORIGIN)
  const outline = depthAreas({ grid: truth, levelsM: [0] })[0]!.polygons[0]!
  const coordinates = outline.map(ring => ring.map(([x, y]): [number, number] => {
    const { lonDeg, latDeg } = frame.toLonLat(x, y)
    return [Number(lonDeg.toFixed(6)), Number(latDeg.toFixed(6))]
  }))

  const surveyedMs = morningMs - 40 * 86_400_000
  const { table, chart } = surveyOf(truth, outline, surveyedMs)
  const entries = pastTrips({ waterId, zone: DEMO_ZONE, places: placeList, morning: DEMO_MORNING, random, newId: makeId })
  // Added after the past trips, which pick among the places: what was caught does not change with it.
  const reach = riverReach(truth, newId)
  const run = lastSpring({ waterId, zone: DEMO_ZONE, reachId: reach.id, morning: DEMO_MORNING, random, newId: makeId })
  const forecast = weatherAnswer(JSON.stringify(serviceAnswer({ ...PELLOWICK_ORIGIN, fromMs: morningMs - WEATHER_DAYS * DAY_MS, toMs: morningMs + 11 * DAY_MS, nowMs: morningMs })))
  // One transaction on the one connection: a seed that is cut off leaves nothing behind.
  db.transaction(() => {
    db.insert(waters).values({ id: waterId, ownerId: angler.id, name: 'Pellowick Reservoir', zone: DEMO_ZONE, ...PELLOWICK_ORIGIN, shoreline: { type: 'Polygon', coordinates }, heldOutM: chart.heldOut?.rmsM ?? null }).run()
    insertImport(db, { id: makeId(surveyedMs), ownerId: angler.id, waterId, at: new Date(surveyedMs).toISOString(), label: 'March survey, tracks 30 m apart.nmea', levelM: null }, table)
    for (const place of [...placeList, reach]) db.insert(placeTable).values({ ...requireValid(placeSchema, place), ownerId: angler.id, waterId }).run()
    for (const item of box) db.insert(tackle).values({ ...requireValid(tackleSchema, item), ownerId: angler.id }).run()
    setGrid(db, waterId, chart.grid)
    appendEntries(db, angler.id, requireValid(journalBatchSchema, { entries: [...run, ...entries] }).entries)
    storeWeather(db, angler.id, waterId, 'service', new Date(forecast.issuedMs).toISOString(), forecast.weather)
    setSeasonNotes(db, angler.id, waterId, requireValid(seasonNotesSchema, { parts: pellowickParts(), priors: [] }))
    setDemoStart(db, new Date(morningMs).toISOString())
  })
  return 'seeded'
}

/** The demo's chart is made as any other: from what the stand-in boat logged, read, cleaned and gridded. */
function surveyOf(truth: DepthGrid, outline: [number, number][][], startMs: number) {
  const frame = localFrame(PELLOWICK_ORIGIN)
  const log = boatLog({ truth, frame, startMs, spacingM: 30, seed: SEED, transducerM: TRANSDUCER_M })
  const { items } = readNmea(log, { transducerM: TRANSDUCER_M })
  const soundings = Float64Array.from(items.flatMap(({ lonDeg, latDeg, depthM }) => {
    const { x, y } = frame.toLocal(lonDeg, latDeg)
    return [x, y, depthM]
  }))
  const table = soundingTable(items, cleanSoundings({ soundings }))
  const [outer, ...islands] = outline.map(ring => ring.slice(0, -1).map(([x, y]) => ({ x, y })))
  return { table, chart: buildChart({ outer: outer!, islands, soundings: countedTriples(table, frame.toLocal, 0), cellM: truth.cellM }) }
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
  console.log(seedDemo(db) === 'seeded' ? `Demo water written to ${file}` : `Kept the log that is in ${file}`)
  // Closing folds the write-ahead log into the file, which can then be copied.
  db.$client.close()
}
