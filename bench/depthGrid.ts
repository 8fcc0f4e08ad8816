import { buildDepthGrid } from '../core'
import type { DepthGrid } from '../core/water/depthGrid'
import { pellowickGrid } from '../demo/pellowick'
import { triangulated, triangulatedMeans } from './rivals'
import { gridError, survey } from './survey'
import { race } from './time'

const CELL_M = 5
const MIB = 1024 ** 2

/** Gridding against triangles through the same soundings: error over the whole water, and time. */
export function depthGridBench() {
  const truth = pellowickGrid(CELL_M)
  const lines = [
    compare('20,000 soundings, tracks 80 m apart, against triangles', truth, { spacingM: 80, count: 20_000 }, triangulated),
    compare('200,000 soundings, tracks 16 m apart, against triangles of 5 m means', truth, { spacingM: 16, count: 200_000 }, triangulatedMeans),
  ]
  const many = survey(truth, { spacingM: 8, count: 1_000_000 })
  const before = process.memoryUsage()
  let most = 0
  const from = performance.now()
  buildDepthGrid({ ...many, cellM: CELL_M, onProgress: () => {
    const { heapUsed, arrayBuffers } = process.memoryUsage()
    most = Math.max(most, heapUsed + arrayBuffers - before.heapUsed - before.arrayBuffers)
  } })
  lines.push(`1,000,000 soundings: ${((performance.now() - from) / 1000).toFixed(1)} s, ${(most / MIB).toFixed(0)} MB above the data at the most`)
  return { what: 'buildDepthGrid on the demo reservoir (5 m cells, 0.15 m noise)', lines }
}

function compare(what: string, truth: DepthGrid, how: { spacingM: number, count: number }, rival: typeof triangulated): string {
  const surveyed = survey(truth, how)
  const ours = buildDepthGrid({ ...surveyed, cellM: CELL_M })
  const theirs = rival(surveyed, CELL_M)
  const rms = (raster: { x0: number, y0: number, cols: number }, values: Float32Array) =>
    gridError(truth, (x, y) => values[Math.floor((y - raster.y0) / CELL_M) * raster.cols + Math.floor((x - raster.x0) / CELL_M)] ?? Number.NaN).rms
  const [a, b] = [rms(ours, ours.depthM), rms(theirs.raster, theirs.depthM)]
  const times = race({ ours: () => buildDepthGrid({ ...surveyed, cellM: CELL_M }), theirs: () => rival(surveyed, CELL_M) }, 5)
  return `${what}: error ${a.toFixed(3)} m to ${b.toFixed(3)} m, ${(a / b).toFixed(2)} of it, in ${(times.ours! / times.theirs!).toFixed(1)} times the time`
}
