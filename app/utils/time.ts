import { DateTime } from 'luxon'

/** "06:40" in the water's zone. */
export function clockText(ms: number, zone: string): string {
  return DateTime.fromMillis(ms, { zone }).toFormat('HH:mm')
}

/** "Fri 24 April, 06:40" in the water's zone. */
export function dayText(ms: number, zone: string): string {
  return DateTime.fromMillis(ms, { zone }).toFormat('ccc d LLLL, HH:mm')
}

/** "Fri 24 April 2026" of an ISO instant, in the water's zone. */
export function dateText(at: string, zone: string): string {
  return DateTime.fromISO(at, { zone }).toFormat('ccc d LLLL yyyy')
}

/** Hour of the day 0–24 as "06:40". */
export function hourText(hour: number): string {
  const minutes = Math.round(hour * 60)
  return `${String(Math.trunc(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
}
