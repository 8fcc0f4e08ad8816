import { POSITIVE, requireNumber } from '../guard'
import type { Sky } from '../season/sky'
import type { SeasonFish } from '../season/seasons'
import { lightAtDepth } from '../water/light'
import type { Schools } from './schools'

/** How a bait is coloured: never told by colour alone. */
export interface Colour {
  name: string
  pattern: 'plain' | 'two parts' | 'clear with flecks' | 'dark back' | 'orange belly'
  /** body first, then tail, back, belly or flecks */
  hex: readonly [string, string]
}

const colour = (name: string, pattern: Colour['pattern'], body: string, other = body): Colour => ({ name, pattern, hex: [body, other] })
export const COLOURS = {
  pink: colour('pink and white', 'two parts', '#E58AA8', '#F7F2E6'),
  white: colour('white', 'plain', '#F7F2E6'),
  chartreuse: colour('chartreuse', 'plain', '#C9DB3A'),
  blackChartreuse: colour('black and chartreuse', 'two parts', '#25211C', '#C9DB3A'),
  bluePearl: colour('pearl, blue back', 'dark back', '#EDEBE2', '#4F6C93'),
  purpleChartreuse: colour('purple and chartreuse', 'two parts', '#5B3A78', '#C9DB3A'),
  orange: colour('orange', 'plain', '#D9702B'),
  shad: colour('natural shad', 'clear with flecks', '#CFCBBB', '#8A8C8A'),
  minnow: colour('natural minnow', 'dark back', '#D8CFAE', '#6B6A46'),
  black: colour('black', 'plain', '#25211C'),
  perch: colour('perch, orange belly', 'orange belly', '#8A8A3E', '#D9702B'),
} as const

export interface ColourDemand {
  fish: SeasonFish
  secchiM: number
  /** where the bait works, m */
  depthM: number
  sky: Sky
  /** degrees above the horizon */
  sunDeg: number
  /** under a dock or other shade */
  shaded: boolean
  /** what the angler holds of colour there */
  dockColour?: Schools['dockColour']
}

export interface ColourAdvice {
  /** share of the surface's light left at the bait */
  lightShare: number
  scene: 'bright clear' | 'stained' | 'murky' | 'dim'
  picks: { colour: Colour, because: string }[]
  /** how far colour matters here: first, among three, or last */
  matters: 'first' | 'some' | 'last'
  why: string
}

/** Sky's share of a clear one's light. */
const SKY_SHARE: Record<Sky, number> = { clear: 1, broken: 0.6, overcast: 0.25, rain: 0.15 }
const CLEAR_M = 2
const MURKY_M = 0.45
/** With less light than this at the bait only its outline shows. */
const DIM_SHARE = 0.03

/**
 * Colours to begin with, by what the water and the light leave of them at the bait (DOMAIN §6).
 * @throws RangeError for a clarity or depth that is not above 0
 */
export function colourFor({ fish, secchiM, depthM, sky, sunDeg, shaded, dockColour = 'reflex' }: ColourDemand): ColourAdvice {
  requireNumber('depthM', depthM, POSITIVE)
  const day = Math.max(0.01, Math.sin((Math.max(0, sunDeg) * Math.PI) / 180)) * SKY_SHARE[sky]
  const lightShare = lightAtDepth({ secchiM: requireNumber('secchiM', secchiM, POSITIVE), depthM }).share * day
  const scene: ColourAdvice['scene'] = lightShare < DIM_SHARE ? 'dim' : secchiM < MURKY_M ? 'murky' : secchiM < CLEAR_M ? 'stained' : 'bright clear'
  const c = COLOURS
  const picks: ColourAdvice['picks'] = {
    'bright clear': [{ colour: c.shad, because: 'clear water and light: see-through and natural' }, { colour: c.minnow, because: 'the tint of what they eat' }, { colour: c.bluePearl, because: 'pale, with a back to tell it by' }],
    'stained': [{ colour: c.chartreuse, because: 'stays bright in green and brown water' }, { colour: c.blackChartreuse, because: 'light against dark shows at any angle' }, { colour: c.pink, because: 'the third that every box needs' }],
    'murky': [{ colour: c.blackChartreuse, because: 'the strongest contrast at arm\'s length' }, { colour: c.orange, because: 'the last colour that brown water leaves' }, { colour: c.chartreuse, because: 'bright where little is seen' }],
    'dim': [{ colour: c.black, because: 'against what light is left it is an outline' }, { colour: c.white, because: 'the palest catches what there is' }, { colour: c.purpleChartreuse, because: 'dark with a pale tail' }],
  }[scene]
  const own = fish === 'yellowPerch' || fish === 'europeanPerch' ? [{ colour: c.perch, because: 'perch eat their own' }] : []
  const matters = shaded && dockColour === 'reflex' ? 'last' : scene === 'bright clear' ? 'first' : 'some'
  const why = { last: 'Under shade most bites are reflex: change size and retrieve before colour.', first: 'In open clear water they look long: change colour first.', some: 'One of three things to rotate: size, retrieve, colour.' }[matters]
  return { lightShare, scene, matters, why, picks: [...picks.slice(0, own.length ? 2 : 3), ...own, ...(own.length ? picks.slice(2) : [])] }
}
