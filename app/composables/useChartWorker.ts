import * as Comlink from 'comlink'
import type { DepthArea } from '../../core/water/contourLines'
import type { DepthGrid } from '../../core/water/depthGrid'
import type { ChartWorker } from '../workers/chart.worker'

/**
 * Depth areas of a grid, worked out off the main thread. A newer request replaces one that waits:
 * a replaced request answers null.
 */
export function useChartWorker() {
  const worker = new Worker(new URL('../workers/chart.worker.ts', import.meta.url), { type: 'module' })
  const remote = Comlink.wrap<ChartWorker>(worker)
  const newest = new Map<string, number>()
  let opened: Promise<void> | null = null

  function open(grid: DepthGrid) {
    opened = remote.open(grid)
  }

  async function areas(purpose: string, levelsM: number[]): Promise<DepthArea[] | null> {
    const turn = (newest.get(purpose) ?? 0) + 1
    newest.set(purpose, turn)
    await opened
    if (newest.get(purpose) !== turn) return null
    const result = await remote.areas(levelsM)
    return newest.get(purpose) === turn ? result : null
  }

  onBeforeUnmount(() => worker.terminate())
  return { open, areas }
}
