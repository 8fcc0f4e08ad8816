import * as Comlink from 'comlink'
import type { DepthBand } from '../../core/water/bandMeetings'
import type { DepthGrid } from '../../core/water/depthGrid'
import type { ChartWorker } from '../workers/chart.worker'

/**
 * What is read off a grid, worked out off the main thread. For each purpose a newer request replaces one that waits or runs:
 * the replaced one answers null.
 */
export function useChartWorker() {
  const worker = new Worker(new URL('../workers/chart.worker.ts', import.meta.url), { type: 'module' })
  const remote = Comlink.wrap<ChartWorker>(worker)
  const newest = new Map<string, number>()
  let opened: Promise<void> | null = null

  function open(grid: DepthGrid) {
    opened = remote.open(toRaw(grid))
  }

  async function newestOnly<T>(purpose: string, ask: () => Promise<T>): Promise<T | null> {
    const turn = (newest.get(purpose) ?? 0) + 1
    newest.set(purpose, turn)
    await opened
    if (newest.get(purpose) !== turn) return null
    const result = await ask()
    return newest.get(purpose) === turn ? result : null
  }

  const areas = (purpose: string, levelsM: number[]) => newestOnly(purpose, () => remote.areas(levelsM))
  const trusted = (least: number) => newestOnly('trusted', () => remote.trusted(least))
  const read = (latDeg: number, onProgress: (done: number) => void) => newestOnly('read', () => remote.read(latDeg, Comlink.proxy(onProgress)))
  const meetings = (shallow: DepthBand, deep: DepthBand) => newestOnly('meetings', () => remote.meetings([...shallow], [...deep]))

  onBeforeUnmount(() => worker.terminate())
  return { open, areas, trusted, read, meetings }
}
