import { parentPort, workerData } from 'node:worker_threads'
import type { BuildOptions } from '../../core/water/buildDepthGrid'
import { buildChart } from '../../core/water/buildChart'

/** Transport only: the work is core's. Progress goes out in steps of a hundredth. */
let told = -1
const { grid, heldOut } = buildChart({
  ...workerData as BuildOptions,
  onProgress: (done) => {
    if (done - told < 0.01 && done < 1) return
    told = done
    parentPort!.postMessage({ done })
  },
})
parentPort!.postMessage({ chart: { grid, heldOut } }, [grid.depthM.buffer as ArrayBuffer, grid.confidence.buffer as ArrayBuffer])
