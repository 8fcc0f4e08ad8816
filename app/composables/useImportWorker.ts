import * as Comlink from 'comlink'
import type { ImportWorker } from '../workers/import.worker'

/** The worker that reads files, for as long as the asking component stands. */
export function useImportWorker(): Comlink.Remote<ImportWorker> {
  const worker = new Worker(new URL('../workers/import.worker.ts', import.meta.url), { type: 'module' })
  onBeforeUnmount(() => worker.terminate())
  return Comlink.wrap<ImportWorker>(worker)
}
