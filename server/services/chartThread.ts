import { existsSync } from 'node:fs'
import { dirname, resolve } from 'node:path'
import { Worker } from 'node:worker_threads'
import type { BuildOptions } from '../../core/water/buildDepthGrid'
import type { Chart } from '../../core/water/buildChart'

/** Works a chart out somewhere; `stop` ends it and settles the promise. */
export type ChartRunner = (options: BuildOptions, onProgress: (done: number) => void) => { chart: Promise<Chart>, stop: () => void }

export class Stopped extends Error {}

/** In a thread of its own, so that requests are answered meanwhile. */
export const chartInThread: ChartRunner = (options, onProgress) => {
  const worker = new Worker(workerFile(), { workerData: options })
  let stop = () => {}
  const chart = new Promise<Chart>((done, fail) => {
    stop = () => {
      fail(new Stopped('stopped'))
      void worker.terminate()
    }
    worker.on('message', (message: { done: number } | { chart: Chart }) => {
      if ('chart' in message) done(message.chart)
      else onProgress(message.done)
    })
    worker.on('error', fail)
    worker.on('exit', code => fail(new Error(`the chart's thread ended with code ${code} before it was done`)))
  })
  return { chart, stop: () => stop() }
}

/** Bundled beside the built server. */
function workerFile(): string {
  const built = resolve(dirname(process.argv[1] ?? '.'), 'workers/chart.mjs')
  return existsSync(built) ? built : resolve('.output/server/workers/chart.mjs')
}
