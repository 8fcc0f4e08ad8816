import { contourBench } from './contours'
import { lineShapeBench } from './lineShape'

/** Each bench measures against a named rival in the same run; only the ratio is worth keeping. */
for (const bench of [lineShapeBench, contourBench]) {
  const { what, lines } = bench()
  console.log(`\n${what}`)
  for (const line of lines) console.log(`  ${line}`)
}
