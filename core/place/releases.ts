import type { Place } from './kinds'

/** Hours of the week in which water is let through, in the water's own zone. */
export interface Release {
  /** 1 Monday to 7 Sunday */
  weekdays: number[]
  /** "HH:mm"; one that ends before it begins runs past midnight */
  from: string
  to: string
}

export const minuteOf = (clock: string) => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3, 5))

/** Whether water is let through at a minute of a weekday. */
export function releasedAt(releases: readonly Release[], { weekday, minute }: { weekday: number, minute: number }): boolean {
  return releases.some(({ weekdays, from, to }) => {
    const [start, end] = [minuteOf(from), minuteOf(to)]
    if (start < end) return weekdays.includes(weekday) && minute >= start && minute < end
    const yesterday = weekday === 1 ? 7 : weekday - 1
    return (weekdays.includes(weekday) && minute >= start) || (weekdays.includes(yesterday) && minute < end)
  })
}

/** Current at a place, m/s: 0 while nothing is let through to it, null where none is known of. */
export function currentAt({ attributes }: Place, released: boolean): number | null {
  if (attributes.currentMS === undefined) return null
  return attributes.runs === 'released' && !released ? 0 : attributes.currentMS
}
