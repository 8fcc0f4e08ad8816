import type { FloatAtHand } from './floatRig'
import type { Body } from './jig'

export const HEAD_SHAPES = ['round', 'flat', 'stand-up', 'offset'] as const
/** round: for all; flat: skips under docks; stand-up: keeps the hook up off the bottom; offset: weighted hook for a weedless bait. */
export type HeadShape = (typeof HEAD_SHAPES)[number]

export const TAILS = ['straight', 'paddle', 'curl', 'tube', 'creature', 'hair', 'nymph', 'minnow'] as const
export type Tail = (typeof TAILS)[number]

export const BAIT_TYPES = ['lipless', 'crank', 'minnow', 'spoon', 'topwater', 'spinner'] as const
/** lipless: vibrates on a straight line; crank: a bill dives it; minnow: long and slim, to be stopped; spoon: also blades and jigging minnows. */
export type BaitType = (typeof BAIT_TYPES)[number]

export const WEIGHT_STYLES = ['shot', 'pegged', 'bottom'] as const
/** shot: pinched on; pegged: slides until stopped; bottom: lies on the ground or hangs under the hook. */
export type WeightStyle = (typeof WEIGHT_STYLES)[number]

export interface HeadAtHand { id?: string, massKg: number, densityKgM3: number, shape?: HeadShape, hook?: string }
export interface BodyAtHand extends Body { id: string, colour?: string, tail?: Tail }
export interface LineAtHand { id: string, diameterM: number, testKg: number, material?: 'mono' | 'braid' }
/** A hard bait as it is fished, hooks and rings on. */
export interface BaitAtHand {
  id: string
  name: string
  type: BaitType
  lengthM: number
  massKg: number
  volumeM3: number
  /** depth it runs at on an ordinary cast and line, m; null: none of its own */
  diveM: number | null
}
export interface NamedWeight { id: string, massKg: number, style: WeightStyle }
export interface HookAtHand { id: string, name: string }
export interface LeaderAtHand { id: string, diameterM: number, testKg: number, material: 'fluorocarbon' | 'mono' | 'wire' }
export interface SockAtHand { id: string, diameterM: number }
export interface RodAtHand { id: string, name: string, lengthM: number, power: 'ultralight' | 'light' | 'medium' }

/** What goes along today. The first five are what any rig is made of; the rest is for the families that ask for it. */
export interface Box {
  /** lead heads for general use, round or flat */
  heads: HeadAtHand[]
  bodies: BodyAtHand[]
  lines: LineAtHand[]
  floats: FloatAtHand[]
  /** shot and pegged weights, kg */
  shotsKg: number[]
  /** heads of another shape or metal */
  otherHeads?: HeadAtHand[]
  baits?: BaitAtHand[]
  weights?: NamedWeight[]
  hooks?: HookAtHand[]
  leaders?: LeaderAtHand[]
  socks?: SockAtHand[]
  rods?: RodAtHand[]
}

/** What the box lacks for any rig at all, or null. */
export function missingFromBox(box: Box): 'heads' | 'bodies' | 'lines' | null {
  if (box.heads.length === 0) return 'heads'
  if (box.bodies.length === 0) return 'bodies'
  return box.lines.length === 0 ? 'lines' : null
}
