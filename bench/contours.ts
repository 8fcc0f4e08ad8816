import { depthAreas } from '../core/water/contourLines'
import { pellowickGrid } from '../demo/pellowick'
import { race } from './time'

export function contourBench() {
  const grid = pellowickGrid()
  const levelsM = Array.from({ length: 9 }, (_, i) => i * 1.524)
  const values = Float64Array.from(grid.depthM)
  let sink = 0
  const times = race({
    contours: () => depthAreas({ grid, levelsM }),
    // The floor for any method that looks at every cell once a level.
    pass: () => levelsM.forEach((level) => {
      for (let i = 0; i < values.length; i++) if (values[i]! > level) sink += values[i]!
    }),
  })
  if (!Number.isFinite(sink)) throw new Error('the pass read a depth that is no number')
  return {
    what: `contours of 9 levels on the demo reservoir (${grid.cols} × ${grid.rows} cells) against one plain pass over the cells a level`,
    lines: [`time: ${(times.contours! / times.pass!).toFixed(1)} passes`],
  }
}
