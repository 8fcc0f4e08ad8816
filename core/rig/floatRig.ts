import { floatLoad } from './floatLoad'
import { floatSetting, type FloatSettingResult } from './floatSetting'
import { LEAD_KG_M3, type Jig } from './jig'
import { sinkSpeed } from './sinkSpeed'
import { GRAVITY, waterDensity } from '../water/waterDensity'

/** More lift than this carries the bait out of the school's reach, m. */
const LIFT_LIMIT_M = 0.1
const LEAST_RESERVE = 0.1
const MOST_RESERVE = 0.25

export interface FloatAtHand {
  id: string
  volumeM3: number
  massKg: number
}

export interface FloatRigOptions {
  lure: Jig
  lineDiameterM: number
  baitDepthM: number
  windMS: number
  held: boolean
  /** shot sizes at hand, kg; none is always tried first */
  shotsKg: number[]
  floats: FloatAtHand[]
  waterTempC?: number
}

export interface FloatRig {
  /** added on the line just above the lure; 0 for none */
  shotKg: number
  setting: FloatSettingResult
  /** the same without the shot */
  bare: FloatSettingResult
  /** the float that sits best under this load, or null when every one at hand sinks */
  float: { id: string, reserveShare: number, sitsRight: boolean } | null
  submergedN: number
}

/**
 * A slip-float rig: the smallest shot that keeps the wind's lift under 10 cm, and the smallest
 * float that keeps at least a tenth of its lift under that load (10–25 % sits right).
 * The shot is taken as hanging at the lure, which it does to within its few inches of line.
 * @throws RangeError for bad arguments
 */
export function floatRig({ lure, lineDiameterM, baitDepthM, windMS, held, shotsKg, floats, waterTempC }: FloatRigOptions): FloatRig {
  const rho = waterDensity({ waterTempC })
  const { submergedN: lureN } = sinkSpeed({ ...lure, waterTempC })
  const loadN = (shotKg: number) => Math.max(0, lureN) + shotKg * GRAVITY * (1 - rho / LEAD_KG_M3)
  const settingWith = (shotKg: number) => floatSetting({
    baitDepthM, windMS, held, submergedN: loadN(shotKg), dragAreaM2: lure.dragAreaM2, lineDiameterM, waterTempC,
  })

  const sizes = [0, ...[...shotsKg].sort((a, b) => a - b)]
  const bare = settingWith(0)
  let shotKg = 0
  let setting = bare
  for (const size of sizes) {
    shotKg = size
    setting = size === 0 ? bare : settingWith(size)
    if (!setting.planes && setting.riseM <= LIFT_LIMIT_M) break
  }
  const loads = [{ massKg: lure.massKg, densityKgM3: lure.densityKgM3 }, { massKg: shotKg, densityKgM3: LEAD_KG_M3 }]
  return { shotKg, setting, bare, float: bestFloat(floats, loads, waterTempC), submergedN: loadN(shotKg) }
}

function bestFloat(floats: FloatAtHand[], loads: { massKg: number, densityKgM3: number }[], waterTempC?: number): FloatRig['float'] {
  const carrying = floats
    .map(f => ({ id: f.id, ...floatLoad({ floatVolumeM3: f.volumeM3, floatMassKg: f.massKg, loads, waterTempC }) }))
    .filter(f => !f.sinks)
    .sort((a, b) => a.reserveShare - b.reserveShare)
  // The smallest with enough in hand tells a bite best; with none, the one that holds back most.
  const best = carrying.find(f => f.reserveShare >= LEAST_RESERVE) ?? carrying.at(-1)
  if (!best) return null
  return { id: best.id, reserveShare: best.reserveShare, sitsRight: best.reserveShare >= LEAST_RESERVE && best.reserveShare <= MOST_RESERVE }
}
