import { waterDensity } from '../water/waterDensity'
import type { Columns } from './columns'
import { HEAT_CAPACITY } from './stepTemperature'

const G = 9.80665
/** Share of the wind's work that mixes water; Kraus & Turner 1967, as fitted by later authors between 0.3 and 1.25. */
const MIXING = 0.5
/** The work is lost to friction on its way down; a share 1/e is left after so many metres. */
const LOST_OVER_M = 2
/** Friction velocity in the water for 1 m/s of wind: √(1.2 × 0.0013 / 1000). */
const FRICTION = Math.sqrt((1.2 * 0.0013) / 1000)
const LEAST_M = 1.8
/** The layer answers a spell of weather, not each noon. */
const WIND_MEMORY_H = 24
const HEAT_MEMORY_H = 48
/** Surface this much warmer than below makes a firm boundary, °C. */
const FIRM_C = 1.5
const MOST_DEEPENING_M = 0.4
/** Slow mixing across the boundary, m²/s, over about 2 m. */
const LEAK = 3e-7
const LEAK_OVER_M = 2

/**
 * A lake's surface layer over colder, heavier water: the two-layer model of Kraus & Turner (1967). Wind deepens the layer and takes
 * in water from below; heat on top makes it shallower; a surface as heavy as the water below turns the lake over.
 */
export class SurfaceLayer {
  /** thickness, m; the whole depth when the lake is mixed */
  depthM: number
  /** temperature of the water under it, °C */
  belowC: number
  private readonly deepestM: number
  private readonly volumeAboveM3: Float64Array
  private readonly stepM: number
  private work = 0
  private gainWm2 = 0

  constructor({ areaAtM2, stepM, depthM, firstOf }: Columns, waterC: number) {
    this.deepestM = this.depthM = depthM[firstOf[1]! - 1]!
    this.belowC = waterC
    this.stepM = stepM
    this.volumeAboveM3 = new Float64Array(areaAtM2.length + 1)
    areaAtM2.forEach((area, k) => {
      this.volumeAboveM3[k + 1] = this.volumeAboveM3[k]! + area * stepM
    })
  }

  get mixed(): boolean {
    return this.depthM >= this.deepestM
  }

  /**
   * One hour on.
   * @param surfaceC of the layer, °C
   * @param windMS over the open basin
   * @param gainWm2 net heat the layer takes in
   * @param throughWm2 light that goes through it and warms the water below
   * @returns how far the layer is warmed or cooled by what it takes in from below, °C
   */
  step(surfaceC: number, windMS: number, gainWm2: number, throughWm2: number): number {
    this.work += (2 * MIXING * (FRICTION * windMS) ** 3 - this.work) / WIND_MEMORY_H
    this.gainWm2 += (gainWm2 - this.gainWm2) / HEAT_MEMORY_H
    const lift = G * expansion(surfaceC) * (this.gainWm2 / HEAT_CAPACITY)
    const work = this.work * Math.exp(-this.depthM / LOST_OVER_M)
    const calm = lift > 1e-12 ? work / lift : Infinity
    if (this.mixed) {
      this.belowC = surfaceC
      if (calm < this.deepestM) this.shoal(calm, surfaceC)
      return 0
    }
    const heavier = (G * (density(this.belowC) - density(surfaceC))) / 1000
    if (heavier <= 1e-6) return this.turnOver(surfaceC)
    // A firm boundary stays where the wind has dug it: moved up and down with each spell it would pump heat into the depths.
    if (calm < this.depthM && surfaceC - this.belowC < FIRM_C) this.shoal(calm, surfaceC)
    const down = Math.min(MOST_DEEPENING_M, (3600 * (work - this.depthM * lift)) / (heavier * this.depthM))
    return this.deepen(down, surfaceC) + this.leak(surfaceC, throughWm2)
  }

  private above(depthM: number): number {
    const at = Math.min(depthM / this.stepM, this.volumeAboveM3.length - 1)
    const k = Math.floor(at)
    const next = this.volumeAboveM3[Math.min(k + 1, this.volumeAboveM3.length - 1)]!
    return this.volumeAboveM3[k]! + (at - k) * (next - this.volumeAboveM3[k]!)
  }

  /** The layer's foot is left behind with the water below. */
  private shoal(toM: number, surfaceC: number): void {
    const before = this.depthM
    this.depthM = Math.min(before, Math.max(LEAST_M, toM))
    const left = this.above(before) - this.above(this.depthM)
    const below = this.above(this.deepestM) - this.above(before)
    if (left + below > 0) this.belowC = (this.belowC * below + surfaceC * left) / (left + below)
  }

  private deepen(byM: number, surfaceC: number): number {
    if (byM <= 0) return 0
    const before = this.depthM
    this.depthM = Math.min(this.deepestM, before + byM)
    const layer = this.above(before)
    const taken = this.above(this.depthM) - layer
    return layer + taken > 0 ? ((this.belowC - surfaceC) * taken) / (layer + taken) : 0
  }

  private turnOver(surfaceC: number): number {
    const layer = this.above(this.depthM)
    const all = this.above(this.deepestM)
    const change = all > 0 ? (this.belowC - surfaceC) * (1 - layer / all) : 0
    this.depthM = this.deepestM
    this.belowC = surfaceC + change
    return change
  }

  private leak(surfaceC: number, throughWm2: number): number {
    const below = this.above(this.deepestM) - this.above(this.depthM)
    const area = below / Math.max(0.5, this.deepestM - this.depthM)
    if (below <= 0) return 0
    const flow = Math.min(0.2, (3600 * LEAK * area) / (LEAK_OVER_M * below))
    this.belowC += (surfaceC - this.belowC) * flow + (throughWm2 * 3600 * area) / (HEAT_CAPACITY * below)
    return ((this.belowC - surfaceC) * flow * below) / Math.max(1, this.above(this.depthM))
  }
}

/** Thermal expansion of water, 1/K; negative below 4 °C. */
function expansion(waterC: number): number {
  return (density(waterC - 0.5) - density(waterC + 0.5)) / 1000
}

const density = (waterC: number) => waterDensity({ waterTempC: Math.min(45, Math.max(-2, waterC)) })
