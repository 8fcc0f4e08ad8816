import * as Comlink from 'comlink'
import { depthAreas, type DepthArea } from '../../core/water/contourLines'
import type { DepthGrid } from '../../core/water/depthGrid'

let grid: DepthGrid | null = null

const api = {
  open(given: DepthGrid) {
    grid = given
  },
  areas(levelsM: number[]): DepthArea[] {
    if (!grid) throw new Error('no depth grid has been opened')
    return depthAreas({ grid, levelsM })
  },
}
export type ChartWorker = typeof api

Comlink.expose(api)
