import { contours } from 'd3-contour'
import { contourLines } from '../core'
import { pellowickGrid } from '../demo/pellowick'
import { race } from './time'

export function contourBench() {
  const grid = pellowickGrid()
  const levelsM = Array.from({ length: 15 }, (_, i) => 0.5 + i * 0.9)
  const values = Float64Array.from(grid.depthM, d => (Number.isNaN(d) ? -0.5 : d))
  const alone = contours().size([grid.cols, grid.rows]).smooth(true)
  let sink = 0
  const times = race({
    ours: () => contourLines({ grid, levelsM }),
    alone: () => levelsM.map(level => alone.contour(values as unknown as number[], level)),
    // The floor for any method that looks at every cell once a level.
    pass: () => levelsM.forEach((level) => {
      for (let i = 0; i < values.length; i++) if (values[i]! > level) sink += values[i]!
    }),
  })
  if (!Number.isFinite(sink)) throw new Error('the pass read a depth that is no number')
  return {
    what: `contours at 15 levels on the demo reservoir (${grid.cols} × ${grid.rows} cells) against d3-contour alone`,
    lines: [`time: ${(times.ours! / times.alone!).toFixed(2)} of it; ${(times.ours! / times.pass!).toFixed(1)} plain passes over the cells`],
  }
}
