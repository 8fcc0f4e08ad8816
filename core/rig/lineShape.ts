import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'
import { rootIncreasing } from '../numeric/rootIncreasing'
import { waterDensity } from '../water/waterDensity'
import { LINE_SKIN_DRAG } from './fallTime'

/** Drag coefficient of flow across the line (MATH §2). */
const LINE_CROSS_DRAG = 1.2
const LONGEST_STEP_M = 0.05
const FEWEST_STEPS = 40
/** A line this many depths long has laid itself flat: call it planing. */
const PLANING_DEPTHS = 100

/** Horizontal flow past the line in m/s: uniform, or by depth below the surface (m). */
export type Flow = number | ((depthM: number) => number)

export interface LineShapeOptions {
  /** weight in water of what hangs at the end */
  submergedN: number
  /** its drag area */
  dragAreaM2: number
  lineDiameterM: number
  /** depth of the lure: the length is found … */
  depthM?: number
  /** … or length of line in the water: the depth is found. Give exactly one. */
  lengthM?: number
  flow: Flow
  waterTempC?: number
}

export interface LineShapeResult {
  lengthM: number
  depthM: number
  /** how far the lure hangs downstream of the top; negative with a negative flow */
  offsetM: number
  /** lean of the line from the vertical at the surface */
  topAngleDeg: number
  /** atan(offset/depth) */
  meanAngleDeg: number
  topTensionN: number
  /** the line lies flat before it reaches the surface; the other figures are as far as it got */
  planes: boolean
  /** from the top {0, 0} to the lure {offsetM, depthM}; x downstream, z down, metres */
  points: { x: number, z: number }[]
}

interface Line {
  rho: number
  flowAt: (depthM: number) => number
  submergedN: number
  dragAreaM2: number
  lineDiameterM: number
}

interface Trace {
  lengthM: number
  /** vertical distance climbed from the lure */
  riseM: number
  offsetM: number
  tx: number
  tz: number
  planes: boolean
}

/**
 * Quasi-static shape of a line under load in moving water, integrated from the lure up:
 * the lure's own drag and weight at the end, cross and skin drag along the line.
 * Second-order (midpoint) steps of at most 5 cm.
 * Sources: Morison-type normal and tangential drag on a cable, MATH §2.
 * @throws RangeError for bad arguments, a flow that is not finite, or not exactly one of depthM and lengthM
 */
export function lineShape(options: LineShapeOptions): LineShapeResult {
  const { submergedN, dragAreaM2, lineDiameterM, depthM, lengthM, flow, waterTempC } = options
  requireNumber('submergedN', submergedN, NOT_NEGATIVE)
  requireNumber('dragAreaM2', dragAreaM2, NOT_NEGATIVE)
  requireNumber('lineDiameterM', lineDiameterM, NOT_NEGATIVE)
  if ((depthM === undefined) === (lengthM === undefined)) {
    throw new RangeError(`depthM is ${depthM} and lengthM is ${lengthM}; exactly one of them must be given`)
  }
  if (typeof flow !== 'function') requireNumber('flow', flow)
  const flowAt = typeof flow === 'function'
    ? (z: number) => requireNumber(`flow(${z})`, flow(z))
    : () => flow
  const line: Line = { rho: waterDensity({ waterTempC }), flowAt, submergedN, dragAreaM2, lineDiameterM }

  if (depthM !== undefined) {
    requireNumber('depthM', depthM, POSITIVE)
    return describe(line, depthM, { untilRiseM: depthM })
  }
  const length = requireNumber('lengthM', lengthM, POSITIVE)
  if (typeof flow !== 'function') return describe(line, length, { untilLengthM: length })

  const lengthFor = (lureDepthM: number) => {
    const trace = climb(line, lureDepthM, { untilRiseM: lureDepthM })
    return trace.planes ? Infinity : trace.lengthM
  }
  const lureDepthM = rootIncreasing(z => lengthFor(z) - length, 0, length, 1e-13)
  return describe(line, lureDepthM, { untilLengthM: length })
}

type Until = { untilRiseM: number, untilLengthM?: undefined } | { untilLengthM: number, untilRiseM?: undefined }

function describe(line: Line, lureDepthM: number, until: Until): LineShapeResult {
  const climbed: { x: number, z: number }[] = []
  const end = climb(line, lureDepthM, until, climbed)
  const points = climbed.reverse().map(p => ({ x: end.offsetM - p.x, z: end.riseM - p.z }))
  return {
    lengthM: end.lengthM,
    depthM: end.riseM,
    offsetM: end.offsetM,
    topAngleDeg: degrees(Math.atan2(end.tx, end.tz)),
    meanAngleDeg: degrees(Math.atan2(end.offsetM, end.riseM)),
    topTensionN: Math.hypot(end.tx, end.tz),
    planes: end.planes,
    points,
  }
}

const degrees = (radians: number) => (radians * 180) / Math.PI

/** Steps up the line from the lure; pushes {x, z} climbed so far into `out` when given. */
function climb(line: Line, lureDepthM: number, until: Until, out?: { x: number, z: number }[]): Trace {
  const { rho, flowAt, lineDiameterM } = line
  const crossK = 0.5 * rho * LINE_CROSS_DRAG * lineDiameterM
  const skinK = 0.5 * rho * LINE_SKIN_DRAG * Math.PI * lineDiameterM
  const goal = until.untilRiseM ?? until.untilLengthM
  const step = Math.min(LONGEST_STEP_M, goal / FEWEST_STEPS)
  const longest = until.untilLengthM ?? PLANING_DEPTHS * until.untilRiseM

  const lureFlow = flowAt(lureDepthM)
  let tx = 0.5 * rho * line.dragAreaM2 * Math.abs(lureFlow) * lureFlow
  let tz = line.submergedN
  let s = 0
  let x = 0
  let z = 0
  out?.push({ x: 0, z: 0 })

  while (goal - (until.untilRiseM === undefined ? s : z) > 1e-12 * goal) {
    if (tz <= 0 || s >= longest) {
      if (until.untilLengthM !== undefined && tz > 0) break
      return { lengthM: s, riseM: z, offsetM: x, tx, tz, planes: true }
    }
    const here = slope(tx, tz, flowAt(lureDepthM - z))
    let ds = Math.min(step, longest - s)
    if (until.untilRiseM !== undefined) ds = Math.min(ds, (until.untilRiseM - z) / here.cos)
    const half = 0.5 * ds
    const mid = slope(tx + here.dTx * half, tz + here.dTz * half, flowAt(lureDepthM - z - here.cos * half))
    tx += mid.dTx * ds
    tz += mid.dTz * ds
    x += mid.sin * ds
    z += mid.cos * ds
    s += ds
    out?.push({ x, z })
  }
  return { lengthM: s, riseM: z, offsetM: x, tx, tz, planes: false }

  function slope(txHere: number, tzHere: number, u: number) {
    const t = Math.hypot(txHere, tzHere)
    const sin = txHere / t
    const cos = tzHere / t
    const across = u * cos
    const along = u * sin
    const normal = crossK * across * Math.abs(across)
    const skin = skinK * along * Math.abs(along)
    return { sin, cos, dTx: normal * cos + skin * sin, dTz: -normal * sin + skin * cos }
  }
}
