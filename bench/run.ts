import { adviceBench } from './advice'
import { contourBench } from './contours'
import { depthGridBench } from './depthGrid'
import { rankingBench } from './ranking'
import { featuresBench } from './features'
import { fetchBench } from './fetch'
import { framesBench } from './frames'
import { lineShapeBench } from './lineShape'
import { serverSpeedBench } from './serverSpeed'
import { seasonBench } from './season'
import { tapToPaintBench } from './tapToPaint'

/** Each bench measures against a named rival in the same run; only the ratio is worth keeping. */
for (const bench of [lineShapeBench, contourBench, fetchBench, featuresBench, depthGridBench, framesBench, tapToPaintBench, seasonBench, rankingBench, adviceBench, serverSpeedBench]) {
  const { what, lines } = await bench()
  console.log(`\n${what}`)
  for (const line of lines) console.log(`  ${line}`)
}
