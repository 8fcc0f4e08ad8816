import { contourBench } from './contours'
import { depthGridBench } from './depthGrid'
import { featuresBench } from './features'
import { fetchBench } from './fetch'
import { lineShapeBench } from './lineShape'

/** Each bench measures against a named rival in the same run; only the ratio is worth keeping. */
for (const bench of [lineShapeBench, contourBench, fetchBench, featuresBench, depthGridBench]) {
  const { what, lines } = bench()
  console.log(`\n${what}`)
  for (const line of lines) console.log(`  ${line}`)
}
