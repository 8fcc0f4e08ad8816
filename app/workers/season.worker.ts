import * as Comlink from 'comlink'
import { readNmeaTemperatures, type TemperatureAt } from '../../core/formats/nmeaTemperatures'
import type { ReadResult } from '../../core/formats/readResult'
import { seasonLake, seasonModel, type SeasonInput, type SeasonLake, type SeasonModel } from '../../core/season/seasonModel'
import type { DepthGrid } from '../../core/water/depthGrid'

let opened: { grid: DepthGrid, lake: SeasonLake } | null = null

const api = {
  open(grid: DepthGrid): SeasonLake {
    opened = { grid, lake: seasonLake(grid) }
    return opened.lake
  },
  /** Water temperatures of a boat's log. */
  temperatures(text: string): ReadResult<TemperatureAt> {
    return readNmeaTemperatures(text)
  },
  run(input: Omit<SeasonInput, 'onProgress'>): SeasonModel | null {
    if (!opened) throw new Error('no water has been opened')
    return seasonModel(opened.lake, opened.grid, input)
  },
}
export type SeasonWorker = typeof api

Comlink.expose(api)
