import { formatDepth, formatDistance, formatSeconds, formatSetting, formatSmall, formatSpeed, formatTemperature, formatWeight, formatWind, type Units } from '../units/format'
import { GRAVITY, waterDensity } from '../water/waterDensity'
import { anchorRope } from './anchorRope'
import { divingDepth, divingFit } from './divingFit'
import { driftSpeed } from './driftSpeed'
import { dropShot } from './dropShot'
import { fallTime } from './fallTime'
import { floatSetting } from './floatSetting'
import { holdDepthSpeed } from './holdDepthSpeed'
import { jig, LEAD_KG_M3 } from './jig'
import { lineShape } from './lineShape'
import { MOST_LEAN_DEG, sinkerForAngle } from './sinkerForAngle'
import { sinkSpeed } from './sinkSpeed'
import { suspendBalance } from './suspendBalance'
import { swingCast } from './swingCast'

/** A figure that a calculator asks for, in SI; `as` says how it is shown. */
export interface CalcField {
  key: string
  label: string
  as: 'depth' | 'distance' | 'small' | 'weight' | 'wind' | 'speed' | 'temperature' | 'degrees' | 'count' | 'millimetres' | 'grams'
  min: number
  max: number
  step: number
  value: number
}

/** A side view, metres: x out from the boat, z down from the surface. */
export interface CalcView {
  widthM: number
  depthM: number
  bottomM: number | null
  lines: { kind: 'line' | 'swing' | 'rope' | 'fall', points: { x: number, z: number }[] }[]
  marks: { x: number, z: number, kind: 'lure' | 'fish' | 'anchor' | 'float' | 'weight' }[]
}

export interface CalcResult {
  said: string
  head: string[]
  rows: string[][]
  view: CalcView | null
}

export interface Calculator {
  id: string
  title: string
  fields: CalcField[]
  work: (values: Record<string, number>, units: Units) => CalcResult
}

type Preset = Partial<Pick<CalcField, 'label' | 'min' | 'max' | 'step'>>
const FT = 0.3048
const depth = (value: number, more: Preset = {}): CalcField => ({ key: 'depthM', label: 'depth', as: 'depth', min: 0.3, max: 25, step: FT / 2, value, ...more })
const water = (value = 12): CalcField => ({ key: 'waterC', label: 'water', as: 'temperature', min: 0, max: 32, step: 1, value })
const line = (value = 0.00018): CalcField => ({ key: 'lineM', label: 'line', as: 'millimetres', min: 0.0001, max: 0.0005, step: 0.00001, value })
const head = (value = 0.000886): CalcField => ({ key: 'headKg', label: 'head', as: 'weight', min: 0.0003, max: 0.0142, step: 0.00005, value })
const body = (value = 0.038): CalcField => ({ key: 'bodyM', label: 'body', as: 'small', min: 0.02, max: 0.1, step: 0.00318, value })
const wind = (value = 4): CalcField => ({ key: 'windMS', label: 'wind', as: 'wind', min: 0, max: 14, step: 0.44704, value })
/** A body is about 0.185 of its length deep. */
const lureOf = ({ headKg, bodyM }: Record<string, number>) => jig({ headMassKg: headKg!, body: { lengthM: bodyM!, depthM: bodyM! * 0.185 } })
const depths = (units: Units, most: number) => {
  const step = units === 'us' ? 2 * FT : 0.5
  return Array.from({ length: Math.max(1, Math.min(16, Math.floor(most / step + 1e-9))) }, (_, i) => (i + 1) * step)
}
const around = (value: number, shares: number[]) => shares.map(s => value * s)

/** Every calculator of the bench: each a question, a sentence, a table to print and a drawing where there is something to see. */
export const CALCULATORS: readonly Calculator[] = [
  {
    id: 'count', title: 'Count-down by depth', fields: [head(), body(), line(), depth(4), water()],
    work: (v, units) => {
      const lure = lureOf(v)
      const at = (depthM: number) => fallTime({ ...lure, lineDiameterM: v.lineM!, depthM, waterTempC: v.waterC }).seconds
      const { speedMS } = sinkSpeed({ ...lure, waterTempC: v.waterC })
      return {
        said: `Count ${formatSeconds(at(v.depthM!))} to ${formatDepth(v.depthM!, units)}. It falls at ${formatSpeed(speedMS, units)} bare; the line slows it the deeper it is.`,
        head: ['depth', 'count', 'without line'], rows: depths(units, v.depthM! * 1.5).map(d => [formatDepth(d, units), formatSeconds(at(d)), formatSeconds(d / speedMS)]),
        view: { widthM: v.depthM! * 1.2, depthM: v.depthM! * 1.25, bottomM: null, lines: [{ kind: 'fall', points: [{ x: v.depthM! * 0.6, z: 0 }, { x: v.depthM! * 0.6, z: v.depthM! }] }], marks: [{ x: v.depthM! * 0.6, z: v.depthM!, kind: 'lure' }] },
      }
    },
  },
  {
    id: 'float', title: 'Float stop in wind', fields: [head(), body(), line(), depth(2.4), wind(), water()],
    work: (v, units) => {
      const lure = lureOf(v)
      const { submergedN } = sinkSpeed({ ...lure, waterTempC: v.waterC })
      const at = (windMS: number, held: boolean) => floatSetting({ baitDepthM: v.depthM!, windMS, held, submergedN, dragAreaM2: lure.dragAreaM2, lineDiameterM: v.lineM!, waterTempC: v.waterC })
      const [free, held] = [at(v.windMS!, false), at(v.windMS!, true)]
      const shape = lineShape({ submergedN, dragAreaM2: lure.dragAreaM2, lineDiameterM: v.lineM!, depthM: v.depthM!, flow: z => 0.03 * v.windMS! * (1 - Math.exp(-z / 1.5)), waterTempC: v.waterC })
      const stop = (s: typeof free) => (s.planes ? 'cannot be held' : formatSetting(s.stopLengthM, units))
      return {
        said: free.planes ? 'The wind carries this bait flat: add shot, or fish it without a float.' : `Set the stop at ${stop(free)} for a bait ${formatDepth(v.depthM!, units)} down under a float that drifts free; ${stop(held)} when it is held. Left at ${formatDepth(v.depthM!, units)} the wind would lift it ${formatSmall(free.riseM, units)}.`,
        head: ['wind', 'drifts free', 'held'], rows: around(1, [0, 2, 4, 6, 8, 10]).map(w => [formatWind(w, units), stop(at(w, false)), stop(at(w, true))]),
        view: { widthM: v.depthM! * 1.6, depthM: v.depthM! * 1.3, bottomM: null, lines: [{ kind: 'line', points: shape.points.map(p => ({ x: p.x + v.depthM! * 0.5, z: p.z })) }], marks: [{ x: v.depthM! * 0.5, z: 0, kind: 'float' }, { x: v.depthM! * 0.5 + shape.offsetM, z: v.depthM!, kind: 'lure' }] },
      }
    },
  },
  {
    id: 'dropShot', title: 'Drop-shot', fields: [depth(7), { key: 'upM', label: 'fish over the bottom', as: 'small', min: 0.05, max: 1.5, step: 0.0254, value: 0.25 }, { key: 'speedMS', label: 'boat and water pass at', as: 'speed', min: 0, max: 0.6, step: 0.02, value: 0.1 }, line(0.00015), water(8)],
    work: (v, units) => {
      const made = dropShot({ depthM: v.depthM!, fishAboveBottomM: v.upM!, relSpeedMS: v.speedMS!, lineDiameterM: v.lineM!, waterTempC: v.waterC })
      const shape = shapeOf(made.massKg, v.depthM!, v.speedMS!, v.lineM!, v.waterC!)
      const hook = shape.points.find(p => v.depthM! - p.z <= made.dropM) ?? shape.points.at(-1)!
      return {
        said: `${formatWeight(made.massKg, units)} holds it, the hook ${formatSmall(made.dropM, units)} over the weight on a link of no more than ${formatSmall(made.linkM[1], units)}: a short link lets a slow fish inhale it.${made.tooHigh ? ' They stand higher than a drop-shot reaches well: swim a jig over them.' : ''}`,
        head: ['passing at', 'weight'], rows: [0, 0.05, 0.1, 0.15, 0.2, 0.3, 0.4].map(s => [formatSpeed(s, units), formatWeight(dropShot({ depthM: v.depthM!, fishAboveBottomM: v.upM!, relSpeedMS: s, lineDiameterM: v.lineM!, waterTempC: v.waterC }).massKg, units)]),
        view: under(shape, v.depthM!, [{ ...hook, kind: 'lure' }]),
      }
    },
  },
  {
    id: 'drift', title: 'Bottom weight for a deep drift', fields: [depth(20, { max: 30 }), wind(5), { key: 'socks', label: 'drift socks', as: 'count', min: 0, max: 4, step: 1, value: 1 }, { key: 'sockM', label: 'mouth of each', as: 'distance', min: 0.4, max: 1.6, step: 0.1, value: 0.9 }, line(0.00025), { key: 'leanDeg', label: 'line leans at most', as: 'degrees', min: 5, max: 40, step: 1, value: MOST_LEAN_DEG }, water(8)],
    work: (v, units) => {
      const speed = (n: number) => driftSpeed({ windMS: v.windMS!, socks: Array.from({ length: n }, () => ({ diameterM: v.sockM! })), waterTempC: v.waterC }).speedMS
      const mass = (n: number) => sinkerForAngle({ depthM: v.depthM!, relSpeedMS: speed(n), lineDiameterM: v.lineM!, maxMeanAngleDeg: v.leanDeg, waterTempC: v.waterC }).massKg
      const n = Math.round(v.socks!)
      const massKg = mass(n)
      return {
        said: `The boat drifts at ${formatSpeed(speed(n), units)}: ${formatWeight(massKg, units)} keeps the line within ${Math.round(v.leanDeg!)}°. ${n < 4 ? `One sock more and ${formatWeight(mass(n + 1), units)} does.` : ''} Small fish from deep water seldom live: see what comes up before you drift on.`,
        head: ['socks', 'drift', 'weight'], rows: [0, 1, 2, 3, 4].map(k => [String(k), formatSpeed(speed(k), units), formatWeight(mass(k), units)]),
        view: massKg > 0 ? under(shapeOf(massKg, v.depthM!, speed(n), v.lineM!, v.waterC!), v.depthM!, []) : null,
      }
    },
  },
  {
    id: 'level', title: 'Speed to hold a depth', fields: [head(), body(), depth(2), { key: 'outM', label: 'lure out', as: 'distance', min: 2, max: 25, step: FT, value: 10 }, { key: 'tipM', label: 'rod tip over the water', as: 'depth', min: 0.1, max: 3, step: FT / 2, value: 1.2 }, water()],
    work: (v, units) => {
      const lure = lureOf(v)
      const { submergedN } = sinkSpeed({ ...lure, waterTempC: v.waterC })
      const at = (distanceM: number) => holdDepthSpeed({ submergedN, dragAreaM2: lure.dragAreaM2, distanceM, depthM: v.depthM!, rodTipM: v.tipM!, waterTempC: v.waterC }).speedMS
      return {
        said: `Wind at ${formatSpeed(at(v.outM!), units)} to run level ${formatDepth(v.depthM!, units)} down, ${formatDistance(v.outM!, units)} out. Nearer the boat it must go slower, or it rises.`,
        head: ['out', 'speed'], rows: around(v.outM!, [1.5, 1.25, 1, 0.75, 0.5, 0.25]).map(d => [formatDistance(d, units), formatSpeed(at(d), units)]),
        view: { widthM: v.outM! * 1.15, depthM: v.depthM! * 1.6, bottomM: null, lines: [{ kind: 'line', points: [{ x: 0, z: -v.tipM! }, { x: v.outM!, z: v.depthM! }] }], marks: [{ x: v.outM!, z: v.depthM!, kind: 'lure' }] },
      }
    },
  },
  {
    id: 'past', title: 'How far past to cast', fields: [{ key: 'outM', label: 'cover out', as: 'distance', min: 1, max: 25, step: FT, value: 9 }, depth(2.4), { key: 'tipM', label: 'rod tip over the water', as: 'depth', min: 0, max: 3, step: FT / 2, value: 1.2 }],
    work: (v, units) => {
      const at = (depthM: number) => swingCast({ distanceM: v.outM!, depthM, rodTipM: v.tipM! })
      const { castM, pastM } = at(v.depthM!)
      const radius = Math.hypot(castM, v.tipM!)
      const arc = Array.from({ length: 25 }, (_, i) => Math.atan2(v.tipM!, castM) + ((Math.atan2(v.depthM! + v.tipM!, v.outM!) - Math.atan2(v.tipM!, castM)) * i) / 24).map(a => ({ x: radius * Math.cos(a), z: radius * Math.sin(a) - v.tipM! }))
      return {
        said: `Land it ${formatDepth(pastM, units)} past the cover, ${formatDistance(castM, units)} out: on a tight line it swings in and passes ${formatDepth(v.depthM!, units)} down at the cover. On slack line it falls straight: aim at the cover itself.`,
        head: ['passes at', 'past it'], rows: depths(units, v.depthM! * 1.6).map(d => [formatDepth(d, units), formatDepth(at(d).pastM, units)]),
        view: { widthM: castM * 1.08, depthM: v.depthM! * 1.5, bottomM: null, lines: [{ kind: 'swing', points: arc }, { kind: 'line', points: [{ x: 0, z: -v.tipM! }, { x: v.outM!, z: v.depthM! }] }], marks: [{ x: castM, z: 0, kind: 'lure' }, { x: v.outM!, z: v.depthM!, kind: 'fish' }] },
      }
    },
  },
  {
    id: 'suspend', title: 'Trim of a suspending bait', fields: [{ key: 'bodyKg', label: 'bait without hooks', as: 'grams', min: 0.001, max: 0.03, step: 0.00005, value: 0.0071 }, { key: 'volumeM3', label: 'grams of water it pushes aside', as: 'grams', min: 0.001, max: 0.03, step: 0.00005, value: 0.008 }, { key: 'hardKg', label: 'hooks, rings, trace', as: 'grams', min: 0, max: 0.01, step: 0.00005, value: 0.0009 }, water(8)],
    work: (v, units) => {
      // The volume is given by the water it pushes aside at 4 °C, a gram to the millilitre.
      const at = (waterTempC: number) => suspendBalance({ bodyMassKg: v.bodyKg!, volumeM3: v.volumeM3! / 1000, hardwareKg: [v.hardKg!], dragAreaM2: 8e-4, waterTempC })
      const now = at(v.waterC!)
      const grams = (kg: number) => `${(Math.abs(kg) * 1000).toFixed(2)} g`
      return {
        said: now.verdict === 'hangs' ? `It hangs in ${formatTemperature(v.waterC!, units)} water.` : `It ${now.verdict} at ${formatSpeed(now.speedMS, units)} in ${formatTemperature(v.waterC!, units)} water: ${now.trimKg > 0 ? `add ${grams(now.trimKg)}` : `take off ${grams(now.trimKg)}`}.`,
        head: ['water', 'it', 'trim'], rows: [2, 5, 8, 11, 15, 20, 25].map((t) => {
          const b = at(t)
          return [formatTemperature(t, units), b.verdict === 'hangs' ? 'hangs' : `${b.verdict}, ${formatSpeed(b.speedMS, units)}`, `${b.trimKg > 0 ? '+' : '−'}${grams(b.trimKg)}`]
        }),
        view: null,
      }
    },
  },
  {
    id: 'diver', title: 'Depth of your diving bait', fields: [{ key: 'castA', label: 'first cast', as: 'distance', min: 3, max: 45, step: FT, value: 10 }, { key: 'depthA', label: 'it ran', as: 'depth', min: 0.2, max: 10, step: FT / 4, value: 1.6 }, { key: 'castB', label: 'second cast', as: 'distance', min: 3, max: 45, step: FT, value: 20 }, { key: 'depthB', label: 'it ran', as: 'depth', min: 0.2, max: 10, step: FT / 4, value: 2.4 }],
    work: (v, units) => {
      const fit = divingFit([{ castM: v.castA!, depthM: v.depthA! }, { castM: v.castB!, depthM: v.depthB! }])
      return {
        said: `On this line, from this rod height, it levels off at ${formatDepth(fit.limitM, units)}. Thinner line or a lower rod tip runs it deeper: take two readings again for those.`,
        head: ['cast', 'runs at'], rows: [5, 8, 10, 13, 16, 20, 25, 30].map(castM => [formatDistance(castM, units), formatDepth(divingDepth(fit, castM), units)]),
        view: { widthM: 32, depthM: fit.limitM * 1.25, bottomM: null, lines: [{ kind: 'swing', points: Array.from({ length: 30 }, (_, i) => ({ x: i + 1, z: divingDepth(fit, i + 1) })) }], marks: [{ x: v.castA!, z: v.depthA!, kind: 'lure' }, { x: v.castB!, z: v.depthB!, kind: 'lure' }] },
      }
    },
  },
  {
    id: 'anchor', title: 'Anchor rope', fields: [depth(4), { key: 'ropeDeg', label: 'rope leaves at', as: 'degrees', min: 10, max: 80, step: 1, value: 45 }],
    work: (v, units) => {
      const at = (ropeDeg: number) => anchorRope({ depthM: v.depthM!, ropeDeg })
      const { ropeM, awayM, safeM } = at(v.ropeDeg!)
      return {
        said: `${formatDistance(ropeM, units)} of rope, dropped ${formatDistance(awayM, units)} up-wind of where you want to lie. That holds in light wind over a bed; to lie safely let out ${formatDistance(safeM, units)} and more.`,
        head: ['leaves at', 'rope', 'dropped up-wind'], rows: [60, 45, 30, 20, 15, 10].map(deg => [`${deg}°`, formatDistance(at(deg).ropeM, units), formatDistance(at(deg).awayM, units)]),
        view: { widthM: awayM * 1.15 + 1, depthM: v.depthM! * 1.25, bottomM: v.depthM!, lines: [{ kind: 'rope', points: [{ x: 0, z: -0.6 }, { x: awayM, z: v.depthM! }] }], marks: [{ x: awayM, z: v.depthM!, kind: 'anchor' }] },
      }
    },
  },
]

function shapeOf(massKg: number, depthM: number, flow: number, lineDiameterM: number, waterTempC: number) {
  return lineShape({ submergedN: massKg * GRAVITY * (1 - waterDensity({ waterTempC }) / LEAD_KG_M3), dragAreaM2: 8e-4, lineDiameterM, depthM, flow, waterTempC })
}

/** A line down to a weight on the bottom, as it trails behind the boat. */
function under(shape: ReturnType<typeof shapeOf>, bottomM: number, marks: CalcView['marks']): CalcView {
  return { widthM: Math.max(bottomM * 0.8, shape.offsetM * 1.3 + 1), depthM: bottomM * 1.15, bottomM, lines: [{ kind: 'line', points: shape.points }], marks: [...marks, { x: shape.offsetM, z: bottomM, kind: 'weight' }] }
}
