import { requireNumber } from '../guard'
import { bankTurns } from './points'
import { breaks } from './breaks'
import { channels } from './channels'
import { deepest, type DepthGrid } from './depthGrid'
import { distanceToMarked } from './distanceTransform'
import { fetchField } from './fetchField'
import { flats, type Flat } from './flats'
import { basins, humps, type Extreme } from './risesAndBasins'
import { roads, type Road } from './roads'
import { slopes } from './slope'
import { smoothDepth } from './smoothDepth'
import type { XY } from './turns'

export const FEATURE_KINDS = ['flat', 'break', 'point', 'insideTurn', 'hump', 'saddle', 'basin', 'channelBend'] as const
export type FeatureKind = (typeof FEATURE_KINDS)[number]

/** Something the bottom's shape makes, as found on the chart. */
export interface Feature {
  /** kind and number within it: stable for one grid */
  id: string
  kind: FeatureKind
  x: number
  y: number
  /** shallow and deep end, m */
  depthM: [number, number]
  areaM2: number | null
  lengthM: number | null
  /** fall over run */
  steepness: number | null
  /** toward deep water, degrees clockwise from north */
  facingDeg: number | null
  /** to the nearest wintering water, m */
  toBasinM: number
  /** 0–1 within its kind, best 1 */
  rank: number
  /** its line or outline's cells' centres, for drawing; may be empty */
  line: XY[]
  /** for a break: the id of the flat it bounds; for a flat: how it stands as spawning ground */
  flatId?: string
  spawning?: SpawningGround
}

export interface SpawningGround {
  /** 0–1: out of the cold northerly (southerly in the south) wind */
  shelter: number
  /** 0–1: open to the low sun, a bank at its back */
  sun: number
}

export interface WaterReading {
  features: Feature[]
  /** roads from wintering basins to spawning flats; ends are feature ids */
  roads: (Omit<Road, 'basin' | 'flat'> & { basinId: string, flatId: string })[]
  /** water at least this deep counts as wintering, m */
  winteringM: number
}

/** Roughness below this is not a feature, m. */
const SMOOTH_M = 12
const HUMP_PROMINENCE_M = 1
const BASIN_PROMINENCE_M = 1
const LEAST_HUMP_M2 = 300
const POINT_SPAN_M = 1.5
/** The flank of a hump is not a point, m. */
const HUMP_REACH_M = 120
/** Wintering water is at least this share of the deepest. */
const WINTERING_SHARE = 0.55
const DIRECTIONS = 24

/**
 * Reads a chart: flats with their breaks, points and inside turns, humps, saddles and basins, channel bends, roads and
 * spawning ground. `latDeg` tells which way the low sun and the cold wind come from.
 * @throws RangeError for a latitude outside ±90 or a grid without water; the signal's reason when aborted
 */
export function readWater({ grid, latDeg, onProgress, signal }: { grid: DepthGrid, latDeg: number, onProgress?: (done: number) => void, signal?: { readonly aborted: boolean, readonly reason?: unknown } }): WaterReading {
  requireNumber('latDeg', latDeg, { min: -90, max: 90 })
  const deepestM = requireNumber('the deepest water of grid', deepest(grid), { min: 0, above: true })
  const step = (done: number) => {
    if (signal?.aborted) throw signal.reason ?? new Error('stopped')
    onProgress?.(done)
  }
  step(0)
  const smooth: DepthGrid = { ...grid, depthM: smoothDepth(grid, SMOOTH_M) }
  const { cols, rows, cellM, x0, y0, depthM } = smooth
  const xyOf = (cell: number): XY => [x0 + ((cell % cols) + 0.5) * cellM, y0 + (Math.floor(cell / cols) + 0.5) * cellM]
  const winteringM = deepestM * WINTERING_SHARE
  const away = distanceToMarked(Uint8Array.from(depthM, d => (d >= winteringM ? 1 : 0)), cols, rows)
  const toBasin = (x: number, y: number) => {
    const c = Math.max(0, Math.min(cols - 1, Math.floor((x - x0) / cellM)))
    const r = Math.max(0, Math.min(rows - 1, Math.floor((y - y0) / cellM)))
    const d = away[r * cols + c]!
    return Number.isFinite(d) ? d * cellM : Math.hypot(cols, rows) * cellM
  }
  step(0.15)
  const found: Omit<Feature, 'id' | 'rank' | 'toBasinM'>[] = []
  const bare = { areaM2: null, lengthM: null, steepness: null, facingDeg: null, line: [] }

  const rises = humps(smooth, HUMP_PROMINENCE_M).filter(h => h.cells * cellM ** 2 >= LEAST_HUMP_M2)
  const hollows = basins(smooth, BASIN_PROMINENCE_M)
  const extreme = (kind: 'hump' | 'basin', e: Extreme) => {
    const [x, y] = xyOf(e.cell)
    const rim = e.saddle?.depthM ?? 0
    found.push({ ...bare, kind, x, y, depthM: e.depthM < rim ? [e.depthM, rim] : [rim, e.depthM], areaM2: e.cells * cellM ** 2 })
  }
  rises.forEach(h => extreme('hump', h))
  hollows.forEach(b => extreme('basin', b))
  for (const { saddle } of rises) {
    if (!saddle) continue
    const [x, y] = xyOf(saddle.cell)
    found.push({ ...bare, kind: 'saddle', x, y, depthM: [saddle.depthM, saddle.depthM] })
  }
  step(0.3)

  const fall = slopes(smooth)
  const shallows = flats(smooth, fall)
  const fetch = fetchField({ grid: smooth, directions: DIRECTIONS })
  const north = latDeg >= 0
  for (const flat of shallows) {
    found.push({ ...bare, kind: 'flat', x: flat.x, y: flat.y, depthM: [flat.depthM, flat.depthM], areaM2: flat.areaM2, line: [...flat.cells].map(xyOf), spawning: spawningGround(flat, fetch, north) })
  }
  step(0.5)
  for (const b of breaks(smooth, fall, shallows)) {
    found.push({ ...bare, kind: 'break', x: b.x, y: b.y, depthM: b.depthM, lengthM: b.lengthM, steepness: b.steepness, facingDeg: b.facingDeg, line: b.line, flatId: `flat-${shallows.indexOf(b.flat) + 1}`, areaM2: b.flat.areaM2 })
  }
  step(0.6)
  const levels = Array.from({ length: Math.max(4, Math.floor((winteringM - 0.5) / 0.5)) }, (_, i) => 0.75 + i * 0.5)
  for (const turn of bankTurns(smooth, levels)) {
    if (turn.depthM[1] - turn.depthM[0] < POINT_SPAN_M - 1e-9) continue
    if (turn.kind === 'point' && rises.some(h => Math.hypot(xyOf(h.cell)[0] - turn.x, xyOf(h.cell)[1] - turn.y) < HUMP_REACH_M)) continue
    found.push({ ...bare, kind: turn.kind, x: turn.x, y: turn.y, depthM: turn.depthM, facingDeg: turn.facingDeg })
  }
  step(0.75)
  for (const channel of channels(smooth)) {
    for (const bend of channel.bends) {
      const c = Math.floor((bend.x - x0) / cellM)
      const r = Math.floor((bend.y - y0) / cellM)
      const depth = depthM[r * cols + c]!
      if (!Number.isNaN(depth)) found.push({ ...bare, kind: 'channelBend', x: bend.x, y: bend.y, depthM: [depth, depth], lengthM: channel.lengthM, facingDeg: bend.insideDeg, line: channel.line })
    }
  }
  step(0.85)
  const features = ranked(found.map(f => ({ ...f, toBasinM: toBasin(f.x, f.y) })), rises)
  const wintering = hollows.filter(b => b.depthM >= winteringM)
  const ways = roads(smooth, wintering.map(b => b.cell), shallows).map(({ basin, flat, ...road }) => ({
    ...road, basinId: `basin-${hollows.indexOf(wintering[basin]!) + 1}`, flatId: `flat-${flat + 1}`,
  }))
  step(1)
  return { features, roads: ways, winteringM }
}

/** Fetch from the cold side and toward the low sun, over the flat's cells. */
function spawningGround({ cells }: Flat, fetch: Float32Array[], north: boolean): SpawningGround {
  const mean = (fromDeg: number) => {
    const field = fetch[Math.round((((fromDeg % 360) + 360) % 360) / (360 / DIRECTIONS)) % DIRECTIONS]!
    return cells.reduce((sum, i) => sum + field[i]!, 0) / cells.length
  }
  const cold = north ? [300, 330, 0, 30] : [150, 180, 210, 240]
  const warm = north ? [150, 180, 210] : [330, 0, 30]
  const over = (ways: number[]) => ways.reduce((sum, deg) => sum + mean(deg), 0) / ways.length
  const [coldM, warmM] = [over(cold), over(warm)]
  return { shelter: Math.exp(-coldM / 400), sun: warmM / (warmM + coldM) }
}

/** Gives ids by kind in the order found (so that breaks name their flats), and a rank within the kind. */
function ranked(found: Omit<Feature, 'id' | 'rank'>[], rises: Extreme[]): Feature[] {
  const counts = new Map<FeatureKind, number>()
  const scored = found.map((f) => {
    const n = (counts.get(f.kind) ?? 0) + 1
    counts.set(f.kind, n)
    const near = Math.exp(-f.toBasinM / 600)
    const score = (): number => {
      switch (f.kind) {
        case 'flat': return f.areaM2! * f.spawning!.shelter * f.spawning!.sun
        case 'break': return f.areaM2! * f.steepness! * near
        case 'point': case 'insideTurn': return (f.depthM[1] - f.depthM[0]) * near
        case 'hump': return rises[n - 1]!.prominenceM * near
        case 'basin': return f.depthM[1]
        case 'saddle': case 'channelBend': return near
      }
    }
    return { feature: { ...f, id: `${f.kind}-${n}`, rank: 0 }, score: score() }
  })
  for (const { feature, score } of scored) {
    const best = Math.max(...scored.filter(s => s.feature.kind === feature.kind).map(s => s.score))
    feature.rank = best > 0 ? score / best : 0
  }
  return scored.map(s => s.feature)
}
