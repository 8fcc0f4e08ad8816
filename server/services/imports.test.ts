import { gunzipSync } from 'node:zlib'
import { v7 as uuidv7 } from 'uuid'
import { beforeEach, describe, expect, it } from 'vitest'
import { survey } from '../../bench/survey'
import { decodeSoundings, encodeSoundings, soundingTable } from '../../core/formats/soundingBlob'
import { buildChart } from '../../core/water/buildChart'
import { decodeDepthGrid } from '../../core/water/depthGridBlob'
import { depthAt } from '../../core/water/depthGrid'
import { localFrame } from '../../core/water/localFrame'
import { PELLOWICK_ORIGIN, pellowickGrid } from '../../demo/pellowick'
import { importHeaderSchema, packImport, poolLevelsSchema, unpackImport, type ImportHeader } from '../../shared/imports'
import { check } from '../../shared/validate'
import { demoDb, emptyDb } from '../support/testDb'
import { requireLocalAngler } from './anglers'
import { Stopped, type ChartRunner } from './chartThread'
import { Fault } from './fault'
import { listImports, poolLevels, setPoolLevels, soundingsOf, startImport, startUndo } from './imports'
import { Jobs } from './jobs'
import { gridBytes, listWaters, requireWater } from './waters'

/** Works in this process and waits to be let go, so that a test can look at a running job. */
function heldRunner() {
  let release = () => {}
  const runner: ChartRunner = (options, onProgress) => {
    let fail: (error: Error) => void = () => {}
    const chart = new Promise<ReturnType<typeof buildChart>>((done, no) => {
      fail = no
      release = () => {
        try {
          done(buildChart({ ...options, onProgress }))
        }
        catch (error) {
          no(error as Error)
        }
      }
    })
    return { chart, stop: () => fail(new Stopped('stopped')) }
  }
  return { runner, release: () => release() }
}
const settle = () => new Promise(wake => setTimeout(wake, 5))

const truth = pellowickGrid(20)
const frame = localFrame(PELLOWICK_ORIGIN)
const surveyed = survey(truth, { spacingM: 60, count: 3000 })
const shoreline: NonNullable<ImportHeader['newWater']>['shoreline'] = {
  type: 'Polygon',
  coordinates: [surveyed.outer, ...surveyed.islands].map(ring => [...ring, ring[0]!].map(({ x, y }) => {
    const { lonDeg, latDeg } = frame.toLonLat(x, y)
    return [lonDeg, latDeg] as [number, number]
  })),
}
const soundings = Array.from({ length: surveyed.soundings.length / 3 }, (_, i) => ({ ...frame.toLonLat(surveyed.soundings[3 * i]!, surveyed.soundings[3 * i + 1]!), depthM: surveyed.soundings[3 * i + 2]!, atMs: null }))
const table = soundingTable(soundings, new Uint8Array(soundings.length))
const header = (change: Partial<ImportHeader> = {}): ImportHeader => ({ waterId: null, newWater: { name: 'Tarn', zone: 'America/Chicago', shoreline }, label: 'boat.nmea', levelM: null, cellM: 10, ...change })

let context: { db: ReturnType<typeof emptyDb>, ownerId: string, jobs: Jobs, runner: ChartRunner }
let release: () => void
beforeEach(() => {
  const db = emptyDb()
  const held = heldRunner()
  release = held.release
  context = { db, ownerId: requireLocalAngler(db).id, jobs: new Jobs(), runner: held.runner }
})
async function run(start: () => { id: string, waterId: string }) {
  const { id, waterId } = start()
  release()
  await settle()
  expect(context.jobs.get(context.ownerId, id).message).toBeNull()
  return waterId
}
const gridOf = (waterId: string) => decodeDepthGrid(gunzipSync(gridBytes(context.db, waterId).gzipped))
const fault = (act: () => unknown) => {
  try {
    act()
  }
  catch (error) {
    if (error instanceof Fault) return error
  }
  throw new Error('no fault was thrown')
}

describe('imports', () => {
  it('makes a water whose chart is like the bottom, with its error stated', async () => {
    const waterId = await run(() => startImport(context, header(), table))
    const water = requireWater(context.db, context.ownerId, waterId)
    expect(water).toMatchObject({ name: 'Tarn', cellM: 10 })
    expect(water.heldOutM).toBeGreaterThan(0.1)
    expect(water.heldOutM).toBeLessThan(1.5)
    const local = localFrame(water)
    const { lonDeg, latDeg } = frame.toLonLat(2300, 800)
    expect(depthAt({ grid: gridOf(waterId), ...local.toLocal(lonDeg, latDeg) })).toBeCloseTo(depthAt({ grid: truth, x: 2300, y: 800 }), 0)
    expect(listImports(context.db, context.ownerId, waterId)).toEqual([expect.objectContaining({ label: 'boat.nmea', count: 3000, excluded: 0, undone: false })])
    expect(soundingsOf(context.db, context.ownerId, waterId)).toEqual(soundings)
  })

  it('changes nothing until the work is done, nor when it is stopped or fails', async () => {
    const job = startImport(context, header(), table)
    expect(context.jobs.get(context.ownerId, job.id)).toMatchObject({ state: 'running', done: 0 })
    expect(listWaters(context.db, context.ownerId)).toEqual([])
    expect(fault(() => startImport(context, header(), table)).status).toBe(409)
    context.jobs.stop(context.ownerId, job.id)
    await settle()
    expect(context.jobs.get(context.ownerId, job.id)).toMatchObject({ state: 'stopped', message: 'stopped; nothing was changed' })
    release()
    await settle()
    expect(listWaters(context.db, context.ownerId)).toEqual([])
    const failing: ChartRunner = () => ({ chart: Promise.reject(new Error('out of memory')), stop: () => {} })
    const failed = startImport({ ...context, runner: failing }, header(), table)
    await settle()
    expect(context.jobs.get(context.ownerId, failed.id)).toMatchObject({ state: 'failed', message: 'out of memory; nothing was changed' })
    expect(listWaters(context.db, context.ownerId)).toEqual([])
  })

  it('takes an import out and puts it back', async () => {
    const waterId = await run(() => startImport(context, header(), table))
    const first = gridOf(waterId)
    const deeper = soundingTable(soundings.map(s => ({ ...s, depthM: s.depthM + 3 })), new Uint8Array(soundings.length))
    await run(() => startImport(context, header({ waterId, newWater: null, label: 'wrong.csv' }), deeper))
    const [, wrong] = listImports(context.db, context.ownerId, waterId)
    const deepest = (g: typeof first) => g.depthM.reduce((m, d) => (d > m ? d : m), 0)
    expect(deepest(gridOf(waterId))).toBeGreaterThan(deepest(first) + 0.7)
    await run(() => startUndo(context, waterId, wrong!.id, true))
    expect(gridOf(waterId)).toEqual(first)
    expect(listImports(context.db, context.ownerId, waterId)[1]!.undone).toBe(true)
    await run(() => startUndo(context, waterId, wrong!.id, false))
    expect(gridOf(waterId)).not.toEqual(first)
    expect(fault(() => startUndo(context, waterId, uuidv7(), true)).status).toBe(404)
  })

  it('leaves flagged soundings out, and brings a low pool\'s depths up to the reference', async () => {
    const flags = Uint8Array.from(soundings, (_, i) => (i % 2 === 0 ? 2 : 0))
    const waterId = await run(() => startImport(context, header({ levelM: 200 }), soundingTable(soundings, flags)))
    expect(listImports(context.db, context.ownerId, waterId)[0]).toMatchObject({ count: 3000, excluded: 1500, levelM: 200 })
    expect(soundingsOf(context.db, context.ownerId, waterId)).toHaveLength(1500)
    const at200 = gridOf(waterId)
    const second = context
    context = { ...second, db: emptyDb() }
    context.ownerId = requireLocalAngler(context.db).id
    const lowWater = await run(() => startImport(context, header({ levelM: 200 }), soundingTable([], new Uint8Array(0))))
    await run(() => startImport(context, header({ waterId: lowWater, newWater: null, levelM: 199 }), soundingTable(soundings, flags)))
    const middle = (g: typeof at200) => {
      const sorted = [...g.depthM].filter(d => !Number.isNaN(d)).sort((a, b) => a - b)
      return sorted[sorted.length >> 1]!
    }
    expect(middle(gridOf(lowWater)) - middle(at200)).toBeCloseTo(1, 0)
  })

  it('refuses a shoreline that crosses itself, and another angler\'s water', () => {
    const bow = { type: 'Polygon' as const, coordinates: [[[-88, 40], [-87.99, 40.01], [-87.99, 40], [-88, 40.006], [-88, 40]] as [number, number][]] }
    expect(fault(() => startImport(context, header({ newWater: { name: 'Bow', zone: 'utc', shoreline: bow } }), table))).toMatchObject({ status: 422, field: 'newWater.shoreline' })
    expect(fault(() => startImport(context, header({ waterId: demoDb().waterId, newWater: null }), table)).status).toBe(404)
    expect(fault(() => context.jobs.get('someone', uuidv7())).status).toBe(404)
  })
})

describe('levels', () => {
  it('keep their order and fix the reference once soundings rest on it', async () => {
    const waterId = await run(() => startImport(context, header({ levelM: 200 }), table))
    const given = { referenceLevelM: 200, levels: [{ at: '2026-05-01T00:00:00.000Z', levelM: 199.5 }, { at: '2026-04-01T00:00:00.000Z', levelM: 199 }] }
    expect(setPoolLevels(context.db, context.ownerId, waterId, given).levels.map(l => l.levelM)).toEqual([199, 199.5])
    expect(poolLevels(context.db, context.ownerId, waterId).referenceLevelM).toBe(200)
    expect(fault(() => setPoolLevels(context.db, context.ownerId, waterId, { ...given, referenceLevelM: 201 }))).toMatchObject({ status: 422, field: 'referenceLevelM' })
  })
})

describe('what crosses the wire', () => {
  it('packs header and soundings into one body and takes them apart', () => {
    const bytes = encodeSoundings(table)
    const { header: back, soundings: rest } = unpackImport(packImport(header(), bytes))
    expect(back).toEqual(header())
    expect(decodeSoundings(rest)).toEqual(table)
    expect(() => unpackImport(packImport(header(), bytes).subarray(0, 40))).toThrow(/cut short/)
    expect(() => unpackImport(new Uint8Array(2))).toThrow(/cut short/)
  })

  it('checks every sounding', () => {
    const spoil = (change: (t: typeof table) => void) => {
      const copy = soundingTable(soundings.slice(0, 5), new Uint8Array(5))
      change(copy)
      return () => decodeSoundings(encodeSoundings(copy))
    }
    expect(spoil(() => {})).not.toThrow()
    expect(spoil(t => t.depthM.set([Number.NaN], 3))).toThrow(/soundings\[3\] has a depth out of range/)
    expect(spoil(t => t.lonDeg.set([500], 0))).toThrow(/soundings\[0\] has a longitude/)
    expect(spoil(t => t.flags.set([99], 1))).toThrow(/soundings\[1\] has a flag/)
    expect(() => decodeSoundings(encodeSoundings(table).slice(0, -1))).toThrow(/3000 soundings need/)
    expect(() => decodeSoundings(new Uint8Array(20))).toThrow(/not RMSD/)
  })

  it('names what is wrong with a header or with levels', () => {
    const wrong = (change: object) => {
      const result = check(importHeaderSchema, { ...header(), ...change })
      return result.ok ? null : result.error
    }
    expect(wrong({})).toBeNull()
    expect(wrong({ waterId: uuidv7() })).toEqual({ message: 'exactly one of waterId and newWater must be given' })
    expect(wrong({ cellM: 1 })).toMatchObject({ field: 'cellM' })
    expect(wrong({ newWater: { ...header().newWater!, zone: 'Mars/Olympus' } })).toMatchObject({ field: 'newWater.zone', message: expect.stringMatching(/time zone/) as string })
    expect(wrong({ newWater: { ...header().newWater!, shoreline: { type: 'Polygon', coordinates: [[[0, 0], [0, 99], [1, 1], [0, 0]]] } } })?.field).toMatch(/coordinates\[0\]\[1\]\[1\]/)
    const levels = check(poolLevelsSchema, { referenceLevelM: 1, levels: [{ at: '2026-05-01T00:00:00.000Z', levelM: 1 }, { at: '2026-05-01T00:00:00.000Z', levelM: 2 }] })
    expect(levels).toMatchObject({ ok: false, error: { field: 'levels[1]' } })
  })
})
