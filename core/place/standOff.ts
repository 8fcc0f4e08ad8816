import type { Phase } from '../season/phases'
import type { PlaceKind } from './kinds'

const FOOT_M = 0.3048

export interface StandOff {
  fromM: number
  toM: number
  /** fishing straight below the boat is fine too */
  vertical: boolean
  because: 'dock' | 'lateSummer' | 'shallow' | 'clear' | 'deepStained' | 'weedEdge' | 'deepClear' | 'farAlways'
}

/** Water in which a pale lure is seen about this deep counts as clear. */
const CLEAR_SECCHI_M = 1.5
const DEFAULT_ROD_M = 2.13

/** How far from the fish to hold, by the field handbook's table; over deep fish as the angler's school has it. */
export function standOff({ kind, phase, fishDepthM, secchiM, rodM = DEFAULT_ROD_M, overDeep = 'close' }: { kind: PlaceKind, phase: Phase, fishDepthM: number, secchiM: number, rodM?: number, overDeep?: 'close' | 'far' }): StandOff {
  const feet = (from: number, to: number, because: StandOff['because'], vertical = false): StandOff =>
    ({ fromM: from * FOOT_M, toM: to * FOOT_M, vertical, because })
  if (kind === 'dock') return { fromM: 2 * rodM, toM: 2.5 * rodM, vertical: false, because: 'dock' }
  if (phase === 'lateSummer') return feet(20, 35, 'lateSummer')
  if (fishDepthM < 10 * FOOT_M) return kind === 'weedEdge' ? feet(25, 35, 'weedEdge') : feet(25, 40, 'shallow')
  const clear = secchiM >= CLEAR_SECCHI_M
  if (clear && fishDepthM < 13 * FOOT_M) return feet(25, 40, 'clear')
  if (!clear && overDeep === 'far') return feet(20, 30, 'farAlways')
  return clear ? feet(20, 30, 'deepClear') : feet(0, 15, 'deepStained', true)
}
