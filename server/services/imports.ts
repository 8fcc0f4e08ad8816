import { gunzipSync, gzipSync } from 'node:zlib'
import { and, asc, eq } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { countedTriples, decodeSoundings, encodeSoundings, type SoundingTable } from '../../core/formats/soundingBlob'
import type { Sounding } from '../../core/formats/soundings'
import type { Chart } from '../../core/water/buildChart'
import { localFrame } from '../../core/water/localFrame'
import { shorelineFault } from '../../core/water/shoreline'
import type { ImportHeader, ImportSummary, JobState, PoolLevels } from '../../shared/imports'
import type { Db, Tx } from '../db/open'
import { imports, levels, waters } from '../db/schema'
import type { ChartRunner } from './chartThread'
import { Fault, unknownThing } from './fault'
import type { Jobs } from './jobs'
import { setGrid } from './waters'

type WaterRow = typeof waters.$inferSelect
interface Counted { levelM: number | null, table: SoundingTable }
interface Context { db: Db, ownerId: string, jobs: Jobs, runner: ChartRunner }

/**
 * Works out a chart with new soundings in it and, when that is done, stores soundings, chart and (where it is new) the water in one transaction.
 * @throws Fault 404 for an unknown water, 422 for a shoreline that holds no water, 409 while another job runs
 */
export function startImport(context: Context, header: ImportHeader, table: SoundingTable): JobState {
  const { db, ownerId } = context
  const water = header.newWater ? newWaterRow(ownerId, header) : requireRow(db, ownerId, header.waterId!)
  const isNew = header.newWater !== null
  const before = isNew ? [] : live(db, ownerId, water.id)
  return rebuild(context, water, [...before, { levelM: header.levelM, table }], (tx) => {
    if (isNew) tx.insert(waters).values(water).run()
    if (table.flags.length > 0) insertImport(tx, { id: uuidv7(), ownerId, waterId: water.id, at: new Date().toISOString(), label: header.label, levelM: header.levelM }, table)
  })
}

/** Writes an import's row; the chart is the caller's to bring up to date in the same transaction. */
export function insertImport(tx: Db | Tx, row: Pick<typeof imports.$inferInsert, 'id' | 'ownerId' | 'waterId' | 'at' | 'label' | 'levelM'>, table: SoundingTable): void {
  const excluded = table.flags.reduce((n, f) => n + (f === 0 ? 0 : 1), 0)
  tx.insert(imports).values({ ...row, count: table.flags.length, excluded, undone: false, bytes: gzipSync(encodeSoundings(table)) }).run()
}

/** Takes an import out of the chart or puts it back; the soundings are kept either way. */
export function startUndo(context: Context, waterId: string, importId: string, undone: boolean): JobState {
  const { db, ownerId } = context
  const water = requireRow(db, ownerId, waterId)
  const one = db.select().from(imports).where(and(eq(imports.id, importId), eq(imports.waterId, waterId), eq(imports.ownerId, ownerId))).get()
  if (!one) throw unknownThing('import', importId)
  const others = live(db, ownerId, waterId, importId)
  const counted = undone ? others : [...others, { levelM: one.levelM, table: decodeSoundings(gunzipSync(one.bytes)) }]
  return rebuild(context, water, counted, (tx) => {
    tx.update(imports).set({ undone }).where(eq(imports.id, importId)).run()
  })
}

export function listImports(db: Db, ownerId: string, waterId: string): ImportSummary[] {
  return db.select({ id: imports.id, at: imports.at, label: imports.label, levelM: imports.levelM, count: imports.count, excluded: imports.excluded, undone: imports.undone })
    .from(imports).where(and(eq(imports.ownerId, ownerId), eq(imports.waterId, waterId))).orderBy(asc(imports.at)).all()
}

/** Every sounding that counts, as it was read. */
export function soundingsOf(db: Db, ownerId: string, waterId: string): Sounding[] {
  return live(db, ownerId, waterId).flatMap(({ table }) => Array.from(table.flags, (flag, i) => ({ flag, i })).filter(s => s.flag === 0).map(({ i }) => ({
    lonDeg: table.lonDeg[i]!, latDeg: table.latDeg[i]!, depthM: table.depthM[i]!, atMs: Number.isNaN(table.atMs[i]!) ? null : table.atMs[i]!,
  })))
}

export function poolLevels(db: Db, ownerId: string, waterId: string): PoolLevels {
  const { referenceLevelM } = requireRow(db, ownerId, waterId)
  return { referenceLevelM, levels: db.select({ at: levels.at, levelM: levels.levelM }).from(levels).where(and(eq(levels.ownerId, ownerId), eq(levels.waterId, waterId))).orderBy(asc(levels.at)).all() }
}

/** Replaces the level history. The reference stays with the chart once soundings have been brought to it. */
export function setPoolLevels(db: Db, ownerId: string, waterId: string, given: PoolLevels): PoolLevels {
  const { referenceLevelM } = requireRow(db, ownerId, waterId)
  if (given.referenceLevelM !== referenceLevelM && listImports(db, ownerId, waterId).length > 0) {
    throw new Fault(422, { field: 'referenceLevelM', message: `referenceLevelM is ${referenceLevelM} and soundings have been brought to it; it stays` })
  }
  db.transaction((tx) => {
    tx.update(waters).set({ referenceLevelM: given.referenceLevelM }).where(eq(waters.id, waterId)).run()
    tx.delete(levels).where(eq(levels.waterId, waterId)).run()
    for (const reading of given.levels) tx.insert(levels).values({ ...reading, ownerId, waterId }).run()
  })
  return poolLevels(db, ownerId, waterId)
}

function rebuild({ db, ownerId, jobs, runner }: Context, water: WaterRow, counted: Counted[], write: (tx: Tx) => void): JobState {
  const frame = localFrame(water)
  const [outer, ...islands] = water.shoreline.coordinates.map(ring => ring.slice(0, -1).map(([lon, lat]) => frame.toLocal(lon, lat)))
  const fault = shorelineFault(outer!)
  if (fault) throw new Fault(422, { field: 'newWater.shoreline', message: fault.message })
  const parts = counted.map(({ levelM, table }) => countedTriples(table, frame.toLocal, levelM === null ? 0 : water.referenceLevelM - levelM))
  const soundings = new Float64Array(parts.reduce((n, p) => n + p.length, 0))
  let at = 0
  for (const part of parts) {
    soundings.set(part, at)
    at += part.length
  }
  return jobs.start<Chart>(ownerId, water.id, (onProgress) => {
    const { chart, stop } = runner({ outer: outer!, islands, soundings, cellM: water.cellM }, onProgress)
    return { result: chart, stop }
  }, ({ grid, heldOut }) => {
    db.transaction((tx) => {
      write(tx)
      tx.update(waters).set({ heldOutM: heldOut?.rmsM ?? null }).where(eq(waters.id, water.id)).run()
      setGrid(tx, water.id, grid)
    }, { behavior: 'immediate' })
  })
}

function live(db: Db, ownerId: string, waterId: string, but?: string): Counted[] {
  return db.select().from(imports).where(and(eq(imports.ownerId, ownerId), eq(imports.waterId, waterId), eq(imports.undone, false))).orderBy(asc(imports.at)).all()
    .filter(i => i.id !== but).map(i => ({ levelM: i.levelM, table: decodeSoundings(gunzipSync(i.bytes)) }))
}

function requireRow(db: Db, ownerId: string, waterId: string): WaterRow {
  const row = db.select().from(waters).where(and(eq(waters.id, waterId), eq(waters.ownerId, ownerId))).get()
  if (!row) throw unknownThing('water', waterId)
  return row
}

/** The frame's origin is the shoreline's first corner, so that a water across the date line stays in one piece. */
function newWaterRow(ownerId: string, { newWater, levelM, cellM }: ImportHeader): WaterRow {
  const { name, zone, shoreline } = newWater!
  const [lonDeg, latDeg] = shoreline.coordinates[0]![0]!
  return { id: uuidv7(), ownerId, name, zone, lonDeg, latDeg, shoreline, cellM, referenceLevelM: levelM ?? 0, heldOutM: null }
}
