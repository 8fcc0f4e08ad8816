import type { StayAdvice } from './adviseStay'

export interface StayWords { headline: string, text: string, more: string[] }

const perHour = (rate: number) => (rate < 0.95 ? rate.toFixed(1) : rate < 9.95 ? rate.toFixed(1).replace(/\.0$/, '') : String(Math.round(rate)))
const minutes = (min: number) => `${Math.round(min)} min`

/** Stay, change or go in plain words with its odds, and what stands behind it. */
export function stayText({ advice, fish, hereMin, next, change, goMs = null, lull = null, clock = ms => new Date(ms).toISOString().slice(11, 16) }: { advice: StayAdvice, fish: number, hereMin: number, /** null: nowhere to go */ next: { name: string, ratePerHour: number, travelMin: number } | null, /** what to change next and its chance to be the best */ change: { label: string, best: number } | null, /** when to go if nothing more takes, ms */ goMs?: number | null, /** fish should be resting, and until when */ lull?: { untilMs: number } | null, /** an instant as the water's clock says it */ clock?: (ms: number) => string }): StayWords {
  const so = `${fish === 0 ? 'No fish' : `${fish} fish`} in ${minutes(hereMin)}${advice.why.some(w => w.key === 'slowing') ? ', slowing' : ''}`
  const here = `${perHour(advice.ratePerHour)} an hour expected here`
  const away = next ? `${perHour(next.ratePerHour)} at ${next.name}, a ${minutes(next.travelMin)} run` : 'nowhere better is marked'
  const swap = change ? `Next: ${change.label}, ${Math.round(change.best * 100)} % to be the best of them.` : ''
  const close = advice.why.some(w => w.key === 'close')
  // Where it is slow everywhere, a move cures nothing.
  const rest = lull ? ` A lull: they should feed again from about ${clock(lull.untilMs)}; a break costs little.` : ''
  const headline = advice.action === 'go' ? (next ? `Go on to ${next.name}` : 'Go on') : advice.action === 'change' ? 'Stay, but change' : fish > 0 ? 'Stay' : 'Stay a little'
  const text = advice.action === 'change'
    ? `${so}: they look and do not take. ${swap || 'Change size, retrieve or colour.'}`
    : `${so}: ${here}, ${away}${goMs === null ? '' : `: go at ${clock(goMs)} unless one more takes`}.${close && advice.action === 'stay' ? ' It is close.' : ''}${rest}`
  const words: Record<StayAdvice['why'][number]['key'], (value: number) => string> = {
    caught: v => `${v} taken here.`, elsewhere: v => `Going now, the rest of the day gives about ${perHour(v)} an hour, the run and every later stop counted.`,
    slowing: v => `The bite fades: of the next while ${perHour(v)} an hour is expected.`, signs: v => `${v} looks, follows and taps lately: fish are there.`,
    noSign: v => `Nothing has shown itself in ${minutes(v)}.`, probe: () => 'The first minutes are for looking: no place is judged by them while anything shows.',
    shortOfTime: () => 'The run would take what is left of the day.', close: () => 'The two are close: either is right.',
  }
  return { headline, text, more: [...advice.why.map(w => words[w.key](Number.isInteger(w.value) ? w.value : Number(w.value.toFixed(2)))), ...(advice.action !== 'change' && swap ? [swap] : [])] }
}
