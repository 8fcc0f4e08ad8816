import { formatDepth, formatTemperature, formatTemperatureDifference, formatDepthBand, formatDistance, formatMinutes, formatSpeed, type Units } from '../units/format'
import { placeKindPlural } from './kinds'
import { STILL_MS, type Factor } from './placeFactors'
import type { PlaceScore } from './scorePlace'

export interface Reason {
  key: Factor['key']
  text: string
  tone: 'for' | 'against' | 'careful'
}

/** One factor of a place's score, said as a person would. */
export function placeReason(factor: Factor, units: Units): Reason {
  switch (factor.key) {
    case 'depth': return depthReason(factor, units)
    case 'structure': {
      const kinds = placeKindPlural(factor.kind)
      const season = factor.phase === 'spawn' ? 'On the beds' : `In ${factor.season}`
      if (factor.value >= 0.75) return say('for', factor, `${season} they use ${kinds}`)
      if (factor.value >= 0.5) return say('for', factor, `${season} some use ${kinds}`)
      return say('against', factor, `${season} few use ${kinds}`)
    }
    case 'shade': return shadeReason(factor)
    case 'wind':
      if (factor.blownInto) return say('for', factor, `Wind blows in over ${formatDistance(factor.fetchM, units)} of open water and packs them`)
      return say('for', factor, factor.windMS < 1.5 ? 'Calm: they spread along the whole edge' : 'In the lee: easy to hold on, less to bunch them')
    case 'current':
      if (factor.currentMS === null) return say('for', factor, 'No current known of here')
      if (factor.currentMS < STILL_MS) return say('against', factor, factor.runs === 'released' ? 'No water let through at this hour: they spread out' : 'The current stands still')
      return say('for', factor, `Current of ${formatSpeed(factor.currentMS, units)}: they tuck in tight behind cover`)
    case 'clarity':
      if (factor.secchiM === null) return say('for', factor, 'Clarity not read yet')
      if (factor.verdict === 'murky') return say('against', factor, `A pale lure is seen only ${formatDepth(factor.secchiM, units)} down: scent and noise, not a quiet bait`)
      if (factor.verdict === 'clear') return say('against', factor, `Clear to ${formatDepth(factor.secchiM, units)} over shallow ground: keep far off`)
      return say('for', factor, `Seen ${formatDepth(factor.secchiM, units)} down: fair for a quiet bait`)
    case 'warmth': return warmthReason(factor, units)
    case 'waves':
      if (factor.over) return say('careful', factor, `Waves of ${formatDepth(factor.waveM, units)}, over your limit of ${formatDepth(factor.limitM, units)}`)
      if (factor.value < 1) return say('careful', factor, `Waves of ${formatDepth(factor.waveM, units)}, near your limit`)
      return say('for', factor, 'Water flat enough to hold the boat')
    case 'record':
      if (factor.ratePerHour === null) return say('against', factor, 'Nothing logged here yet')
      return say(factor.value >= 0.7 ? 'for' : 'against', factor,
        `${factor.catches} fish logged here in ${formatMinutes(factor.effortHours * 60)}, ${factor.value >= 0.7 ? 'as many as expected or more' : 'fewer than expected of it'}`)
    case 'rest':
      if (factor.restDays === null) return say('for', factor, 'Not fished yet this season')
      if (factor.restDays < 1) return say('against', factor, 'Fished today: let it refill')
      if (factor.restDays > 60) return say('for', factor, `Not fished for ${Math.round(factor.restDays / 30.4)} months`)
      return say(factor.restDays < 3 ? 'against' : 'for', factor, `Rested ${Math.floor(factor.restDays)} ${factor.restDays < 2 ? 'day' : 'days'}`)
  }
}

function depthReason(f: Extract<Factor, { key: 'depth' }>, units: Units): Reason {
  const fish = formatDepthBand(f.fishTopM, f.fishBottomM, units)
  const inTen = Math.round(f.share * 10)
  if (f.topM > f.fishTopM && f.topM <= f.fishBottomM + 0.3 && inTen >= 5) {
    const where = f.topM > f.fishBottomM - 0.15 ? 'at the foot of' : 'right in'
    return say('for', f, `Top at ${formatDepth(f.topM, units)}, ${where} the band of ${fish}`)
  }
  if (inTen >= 5) return say('for', f, `Covers the band of ${fish} down to ${formatDepth(f.bottomM, units)}`)
  if (f.topM > f.fishBottomM) return say('against', f, `Top at ${formatDepth(f.topM, units)}: most should hang above it, at ${fish}`)
  if (f.bottomM < f.fishTopM + 0.3) return say('against', f, `Only ${formatDepth(f.bottomM, units)} deep; they should be at ${fish}`)
  return say('against', f, `Reaches ${inTen <= 1 ? 'few' : `${inTen} in ten`} of them: they should be at ${fish}`)
}

/** Differences under half a degree are not worth a word. */
const WORTH_SAYING_C = 0.5

function warmthReason(f: Extract<Factor, { key: 'warmth' }>, units: Units): Reason {
  const by = formatTemperatureDifference(Math.abs(f.warmerC), units)
  const at = f.waterC === null ? '' : ` (${formatTemperature(f.waterC, units)})`
  if (Math.abs(f.warmerC) < WORTH_SAYING_C) return say('for', f, `Water as in the main basin${at}`)
  const how = `${by} ${f.warmerC > 0 ? 'warmer' : 'cooler'} than the main basin${at}`
  return say(f.value >= 0.8 ? 'for' : 'against', f, `Water ${how}`)
}

function shadeReason(f: Extract<Factor, { key: 'shade' }>): Reason {
  if (f.deckAreaM2 === null) return say('for', f, f.shadow > 0.5 ? 'Sun holds them tight to the cover' : 'Little sun: they roam around the cover')
  if (f.shadow < 0.3) return say('against', f, 'Hardly any shade on the water at this hour')
  return f.value >= 0.7
    ? say('for', f, `${f.roofed ? 'A roof and deck throw' : 'The deck throws'} good shade now`)
    : say('against', f, 'A small deck: little shade to hold them')
}

/** The two or three reasons that moved the score most, as one line; a caution always comes along. */
export function placeReasons({ factors }: PlaceScore, units: Units): Reason[] {
  const all = factors.map(f => placeReason(f, units))
  const cautions = all.filter(r => r.tone === 'careful')
  const depth = all.filter(r => r.key === 'depth')
  const rest = all.filter(r => r.tone !== 'careful' && r.key !== 'depth' && r.key !== 'waves')
  return [...depth, ...rest.slice(0, 2), ...cautions]
}

const say = (tone: Reason['tone'], factor: Factor, text: string): Reason => ({ key: factor.key, text, tone })
