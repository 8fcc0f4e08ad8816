import { formatTemperature, formatWind, formatDepth, type Units } from '../units/format'
import type { DayCaution, WindowWhy } from './dayOutlook'

const SPELLS = { dawn: 'first light', dusk: 'last light', afternoon: 'their afternoon spell', midday: 'the middle of the day' } as const

/** One reason for or against a window, as a person would say it; `clock` writes an instant as the water's own time. */
export function windowWhy(why: WindowWhy, units: Units, clock: (atMs: number) => string): string {
  switch (why.key) {
    case 'spell': return SPELLS[why.spell]
    case 'warmest': return `the day's warmest water, ${formatTemperature(why.waterC, units)} in ${why.where}`
    case 'aheadOfFront': return `ahead of the front at ${clock(why.atMs)}`
    case 'behindFront': return 'fussy behind the front'
    case 'waves': return why.over ? `waves of ${formatDepth(why.waveM, units)}, over your limit` : `waves of ${formatDepth(why.waveM, units)}`
    case 'calm': return `calm, ${formatWind(why.windMS, units)}`
    case 'cloud': return 'cloud keeps the light low'
    case 'rain': return 'rain'
  }
}

export function cautionText(caution: DayCaution): string {
  switch (caution) {
    case 'coldWater': return 'Cold water: wear the life jacket'
    case 'waves': return 'Waves over your limit for some hours'
    case 'heat': return 'Heat: water, shade, and stop at signs of illness'
    case 'storm': return 'Heavy showers: off the water at the first thunder'
    case 'freezing': return 'Near freezing: this app does not judge ice'
  }
}
