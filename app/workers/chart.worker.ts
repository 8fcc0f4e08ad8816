import * as Comlink from 'comlink'
import { bandMeetings, type BandMeeting, type DepthBand } from '../../core/water/bandMeetings'
import { depthAreas, type DepthArea } from '../../core/water/contourLines'
import type { DepthGrid } from '../../core/water/depthGrid'
import { readWater, type WaterReading } from '../../core/water/readWater'

let grid: DepthGrid | null = null
function opened(): DepthGrid {
  if (!grid) throw new Error('no depth grid has been opened')
  return grid
}

const api = {
  open(given: DepthGrid) {
    grid = given
  },
  areas(levelsM: number[]): DepthArea[] {
    return depthAreas({ grid: opened(), levelsM })
  },
  /** The water itself and the part of it with soundings near; null for a chart that does not know. */
  trusted(least: number): [DepthArea, DepthArea] | null {
    const { confidence, ...rest } = opened()
    if (!confidence) return null
    return [depthAreas({ grid: opened(), levelsM: [0] })[0]!, depthAreas({ grid: { ...rest, depthM: confidence }, levelsM: [least] })[0]!]
  },
  read(latDeg: number, onProgress: (done: number) => void): WaterReading {
    return readWater({ grid: opened(), latDeg, onProgress })
  },
  meetings(shallow: DepthBand, deep: DepthBand): BandMeeting[] {
    return bandMeetings({ grid: opened(), shallow, deep })
  },
}
export type ChartWorker = typeof api

Comlink.expose(api)
