import { NOT_NEGATIVE, requireNumber } from '../guard'
import { driftSpeed } from '../rig/driftSpeed'
import { swingCast } from '../rig/swingCast'
import { depthAt, type DepthGrid } from '../water/depthGrid'
import { readOut } from '../water/readOut'
import type { PlaceKind } from './kinds'
import { STILL_MS } from './placeFactors'
import type { StandOff } from './standOff'

/** Local frame: x east, y north, m. */
export interface Spot { x: number, y: number }

export const CURRENT_SIDES = ['up', 'slack'] as const
/** Which side of a place to hold on in a current: two schools of thought. */
export type CurrentSide = (typeof CURRENT_SIDES)[number]

export interface StanceOptions {
  grid: DepthGrid
  target: Spot
  kind: PlaceKind
  /** toward open water; read off the bottom's fall when left out */
  facingDeg?: number
  standOff: StandOff
  /** where the fish should hang, m */
  fishDepthM: number
  windMS: number
  windFromDeg: number
  currentMS?: number
  currentTowardDeg?: number
  side?: CurrentSide
  /** angle of the anchor rope below the horizontal, degrees */
  ropeDeg?: number
  rodTipM?: number
}

export interface Stance {
  hold: Spot
  /** from the target to the boat */
  fromTargetDeg: number
  distanceM: number
  /** why on that side */
  because: 'upCurrent' | 'slackSide' | 'downwind' | 'openSide' | 'onlyWater'
  bowDeg: number
  /** what the bow answers to */
  ruledBy: 'wind' | 'current' | 'both' | 'calm'
  /** boat let go: where to and how fast, wind and current together */
  push: { towardDeg: number, speedMS: number }
  control: 'good' | 'fair' | 'poor'
  /** up-push of the hold, with the rope that reaches the bottom at the given angle; null in a calm */
  anchor: (Spot & { ropeM: number, depthM: number }) | null
  /** from the hold; the first is the one to begin with */
  casts: { towardDeg: number, distanceM: number }[]
  /** a pass past the place at the hold's distance, up-push end first; null in a calm */
  drift: [Spot, Spot] | null
}

const RAD = Math.PI / 180
/** Pushes that meet at more than this work against each other. */
const OPPOSED_DEG = 120
/** One that is weaker than this share of the other does not unsettle the boat. */
const COUNTS_SHARE = 0.4
/** A push up to which an electric motor holds a small boat easily, and barely, m/s. Priors from practice. */
const EASY_MS = 0.3
const BARELY_MS = 0.6
const FLOATS_M = 0.6
const STEP_DEG = 15
/** How far round from straight off its open side a place can be fished. */
const OPEN_SIDED: Partial<Record<PlaceKind, number>> = { dock: 60, moorings: 75, weedEdge: 75, reedStubble: 75, riprap: 75, flat: 90, breakEdge: 90, creekMouth: 75, lockCut: 75, weir: 60 }
/** Half of the fan to cast; one that is found by its edge is fanned wide. */
const FAN_DEG: Partial<Record<PlaceKind, number>> = { weedEdge: 50, reedStubble: 45, flat: 50, breakEdge: 40, riprap: 45, dock: 22, moorings: 30 }
const NARROW_FAN_DEG = 14
const PAST_M = 1.5
const DRIFT_M = 30

const unit = (deg: number): Spot => ({ x: Math.sin(deg * RAD), y: Math.cos(deg * RAD) })
const bearing = ({ x, y }: Spot) => ((Math.atan2(x, y) / RAD) + 360) % 360
const off = (at: Spot, deg: number, m: number): Spot => ({ x: at.x + unit(deg).x * m, y: at.y + unit(deg).y * m })
/** From b to a, −180…180. */
const turn = (a: number, b: number) => ((a - b + 540) % 360) - 180

/**
 * Where to hold on a place and how: side, distance, bow, anchor, casts, drift (DOMAIN §4 and §7). The bow goes into the stronger of wind and
 * current, taken as the speeds they give the boat; when the two work against each other, into what is left of them, and control is poor.
 * @returns null where there is no water to float on round the target
 * @throws RangeError for a negative speed or depth, or a rope angle outside 10–85°
 */
export function stance(options: StanceOptions): Stance | null {
  const { grid, target, kind, standOff, side = 'up', ropeDeg = 45, rodTipM = 1.2, currentMS = 0, currentTowardDeg = 0 } = options
  requireNumber('windMS', options.windMS, NOT_NEGATIVE)
  requireNumber('currentMS', currentMS, NOT_NEGATIVE)
  requireNumber('fishDepthM', options.fishDepthM, NOT_NEGATIVE)
  requireNumber('ropeDeg', ropeDeg, { min: 10, max: 85 })
  const { windFromDeg } = options
  const windPushMS = driftSpeed({ windMS: options.windMS }).speedMS
  const windTo = (windFromDeg + 180) % 360
  const pushes = { wind: scaled(windTo, windPushMS), current: scaled(currentTowardDeg, currentMS) }
  const sum = { x: pushes.wind.x + pushes.current.x, y: pushes.wind.y + pushes.current.y }
  const push = { towardDeg: bearing(sum), speedMS: Math.hypot(sum.x, sum.y) }
  const runs = currentMS >= STILL_MS
  const opposed = runs && Math.abs(turn(windTo, currentTowardDeg)) > OPPOSED_DEG && Math.min(windPushMS, currentMS) >= COUNTS_SHARE * Math.max(windPushMS, currentMS)
  const ruledBy = Math.max(windPushMS, currentMS) < STILL_MS ? 'calm' : opposed ? 'both' : currentMS > windPushMS ? 'current' : 'wind'

  const openDeg = options.facingDeg ?? readOut({ grid, ...target })?.facingDeg ?? null
  const wanted = runs
    ? { deg: side === 'up' ? currentTowardDeg + 180 : currentTowardDeg, because: side === 'up' ? 'upCurrent' as const : 'slackSide' as const }
    : ruledBy === 'wind' ? { deg: windTo, because: 'downwind' as const } : { deg: openDeg ?? 180, because: 'openSide' as const }
  const room = OPEN_SIDED[kind]
  const kept = room === undefined || openDeg === null ? wanted.deg : openDeg + Math.max(-room, Math.min(room, turn(wanted.deg, openDeg)))
  const middleM = standOff.vertical ? standOff.toM * 0.5 : (standOff.fromM + standOff.toM) / 2
  const found = firstWet(grid, target, kept, [middleM, standOff.toM, standOff.fromM].filter(m => m > 0), openDeg, room)
  if (!found) return null

  const hold = off(target, found.deg, found.distanceM)
  const moved = Math.abs(turn(found.deg, wanted.deg))
  const because = found.turned ? 'onlyWater' : moved > 45 ? 'openSide' : wanted.because
  const toTarget = (found.deg + 180) % 360
  const bowDeg = ruledBy === 'calm' ? toTarget : ruledBy === 'both' ? (push.towardDeg + 180) % 360 : ruledBy === 'wind' ? windFromDeg % 360 : (currentTowardDeg + 180) % 360
  const strongest = Math.max(windPushMS, currentMS)
  const reachM = found.distanceM + Math.max(PAST_M, swingCast({ distanceM: found.distanceM, depthM: options.fishDepthM, rodTipM }).pastM)
  const fan = FAN_DEG[kind] ?? NARROW_FAN_DEG
  return {
    hold, fromTargetDeg: found.deg, distanceM: found.distanceM, because, bowDeg, ruledBy, push,
    control: opposed || strongest > BARELY_MS ? 'poor' : strongest > EASY_MS ? 'fair' : 'good',
    anchor: push.speedMS < STILL_MS ? null : anchorFor(grid, hold, (push.towardDeg + 180) % 360, ropeDeg),
    casts: [0, -fan / 2, fan / 2, -fan, fan].map(d => ({ towardDeg: (toTarget + d + 360) % 360, distanceM: reachM })),
    drift: push.speedMS < STILL_MS ? null : passBy(grid, target, hold, push.towardDeg, found.distanceM),
  }
}

const scaled = (deg: number, m: number) => off({ x: 0, y: 0 }, deg, m)

/** The nearest bearing to the wanted one, and the first distance, with water under the boat. */
function firstWet(grid: DepthGrid, target: Spot, wanted: number, distances: number[], openDeg: number | null, room: number | undefined) {
  for (let round = 0; round <= 180 / STEP_DEG; round++) {
    for (const way of round === 0 ? [0] : [round, -round]) {
      const deg = (wanted + way * STEP_DEG + 720) % 360
      if (room !== undefined && openDeg !== null && Math.abs(turn(deg, openDeg)) > room + 1) continue
      for (const distanceM of distances) {
        if (depthAt({ grid, ...off(target, deg, distanceM) }) >= FLOATS_M) return { deg, distanceM, turned: Math.abs(way) > 2 }
      }
    }
  }
  return null
}

/** Rope leaves the bow at the angle, so the anchor lies one depth over its tangent up-push of the boat. */
function anchorFor(grid: DepthGrid, hold: Spot, upDeg: number, ropeDeg: number): Stance['anchor'] {
  const depthOf = (at: Spot) => depthAt({ grid, ...at })
  let depthM = depthOf(hold)
  let at = hold
  // The bottom falls or rises on the way: two rounds settle it.
  for (let round = 0; round < 3; round++) {
    at = off(hold, upDeg, depthM / Math.tan(ropeDeg * RAD))
    const there = depthOf(at)
    if (Number.isNaN(there)) return null
    depthM = there
  }
  return { ...at, depthM, ropeM: depthM / Math.sin(ropeDeg * RAD) }
}

function passBy(grid: DepthGrid, target: Spot, hold: Spot, towardDeg: number, distanceM: number): [Spot, Spot] {
  const right = unit(towardDeg + 90)
  const beside = (hold.x - target.x) * right.x + (hold.y - target.y) * right.y
  const near = off(target, towardDeg + 90, beside < 0 ? -distanceM : distanceM)
  const reach = (deg: number) => {
    let m = 0
    while (m < DRIFT_M && depthAt({ grid, ...off(near, deg, m + 2) }) >= FLOATS_M) m += 2
    return off(near, deg, m)
  }
  return [reach(towardDeg + 180), reach(towardDeg)]
}
