import * as Comlink from 'comlink'
import { readAny, type FileContents, type ReadAnyOptions } from '../../core/formats/readAny'
import { readPlaces, type PlacesRead } from '../../core/formats/readPlaces'
import { buildChart, type Chart } from '../../core/water/buildChart'
import { depthAreas, type DepthArea } from '../../core/water/contourLines'
import { deepest, type DepthGrid } from '../../core/water/depthGrid'
import { tintLevels } from '../../core/water/tints'
import type { Units } from '../../core/units/format'
import { cleanSoundings } from '../../core/water/cleanSoundings'
import type { BuildOptions } from '../../core/water/buildDepthGrid'
import { insideRing } from '../../core/water/shoreline'
import type { Ring } from '../../core/water/rasterise'

const api = {
  read(name: string, text: string, options: ReadAnyOptions): FileContents {
    return readAny(name, text, options)
  },
  places(name: string, text: string): PlacesRead {
    return readPlaces(name, text)
  },
  clean(soundings: Float64Array, outer: Ring | null): Uint8Array {
    return cleanSoundings({ soundings, inside: outer ? (x, y) => insideRing(outer, x, y) : undefined })
  },
  chart(options: BuildOptions, onProgress: (done: number) => void): Chart {
    return buildChart({ ...options, onProgress })
  },
  areas(grid: DepthGrid, units: Units): DepthArea[] {
    return depthAreas({ grid, levelsM: tintLevels({ deepestM: Math.max(1, deepest(grid)), units }) })
  },
}
export type ImportWorker = typeof api

Comlink.expose(api)
