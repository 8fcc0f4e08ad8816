import type { Place } from '../place/kinds'
import type { SeasonFish } from '../season/seasons'
import type { Units } from '../units/format'
import { formatLine, formatSmall } from '../units/format'
import type { Box } from './box'
import { FAMILIES, type Family } from './families'
import { leaderFor } from './leaderFor'
import type { LureMotion } from './lureMotion'
import type { RigAdvice } from './rigFor'
import type { RigReason } from './rigReasons'
import type { Schools } from './schools'
import { tieBait } from './tieBait'
import { tieBottom } from './tieBottom'
import { tieFloat } from './tieFloat'
import { JIG_FAMILIES, tieJig } from './tieJig'

/** One part of a rig; `have` is false where the box that is carried has none. */
export interface RigPart { part: string, what: string, have: boolean }

/** What the side view needs of a rig. */
export type RigScene
  = | { mode: 'cast', lure: LureMotion, depthM: number, fallS: number, holdSpeedMS: number }
    | { mode: 'float', depthM: number }
  /** a bait that runs at a depth of its own */
    | { mode: 'swim', depthM: number, speedMS: number }
  /** a weight on or near the ground under the boat, hooks above it */
    | { mode: 'bottom', massKg: number, dragAreaM2: number, hooksUpM: number[], driftMS: number, depthM: number }

export interface TiedRig {
  family: Family
  parts: RigPart[]
  /** the two figures to remember on the water */
  figures: [RigFigure, RigFigure]
  /** how it is worked for this mood, in a sentence or two */
  work: string
  reasons: RigReason[]
  scene: RigScene
}
export interface RigFigure { label: string, value: string }

export interface TieContext {
  /** see `rigFor`: the depths, the mood, the line, the stand-off */
  rig: RigAdvice
  place: Place
  fish: SeasonFish
  box: Box
  windMS: number
  waterC: number
  searching: boolean
  schools: Schools
  /** names of the colours to begin with, best first (see `colourFor`) */
  colours: readonly string[]
  units: Units
}

/** A family's rig without the parts that all have in common. */
export type TiedCore = Omit<TiedRig, 'family'>

/**
 * The concrete rig of a family, out of the box: weight worked out for wind, fall and fish, body, leader, link, and how to work it. What the box
 * lacks is named with the size that would do.
 * @throws RangeError for a family that is not known
 */
export function tieOn(familyId: string, context: TieContext): TiedRig {
  const family = FAMILIES.find(f => f.id === familyId)
  if (!family) throw new RangeError(`familyId is ${familyId}; it must be one of ${FAMILIES.map(f => f.id).join(', ')}`)
  const core = tied(family, context)
  const line = context.box.lines.find(l => l.id === context.rig.lineId)!
  const leader = leaderFor({ family, fish: context.fish, line, kind: context.place.kind })
  const parts: RigPart[] = [...core.parts, { part: 'line', what: `${formatLine(line, context.units)} ${line.material ?? 'mono'}`, have: true }]
  if (leader) {
    const misses = (l: { diameterM: number }) => Math.abs(Math.log(l.diameterM / leader.diameterM))
    const own = context.box.leaders?.filter(l => l.material === leader.material && misses(l) < 0.26).sort((a, b) => misses(a) - misses(b))[0]
    parts.push({ part: 'leader', what: `${formatSmall(leader.lengthM, context.units)} of ${formatLine(own ?? leader, context.units)} ${leader.material}`, have: own !== undefined })
  }
  const reasons: RigReason[] = leader ? [...core.reasons, { tone: 'plain', text: leader.because }] : core.reasons
  return { ...core, family, parts, reasons }
}

function tied(family: Family, context: TieContext): TiedCore {
  switch (family.id) {
    case 'slipFloat': case 'fixedFloat': return tieFloat(family, context)
    case 'lipless': case 'microCrank': case 'suspendingMinnow': case 'jiggingSpoon': case 'topwater': return tieBait(family, context)
    case 'dropShot': case 'bottomRig': return tieBottom(family, context)
    default: return tieJig(JIG_FAMILIES[family.id]!, family, context)
  }
}
