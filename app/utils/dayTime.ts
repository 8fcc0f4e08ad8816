import { DateTime } from 'luxon'

/**
 * The instant that "HH:MM" means on a day of the log, in the water's zone: on the day it began, or the next one for a night that ran past twelve.
 * A sentence instead when it is no time, or not one of that day.
 * @param untilMs end of the day; now for one that is still open
 */
export function dayTime(text: string, { startedAt, untilMs, zone }: { startedAt: string, untilMs: number, zone: string }): number | string {
  const [, hour, minute] = /^\s*(\d{1,2})[:.](\d{2})\s*$/.exec(text) ?? []
  if (hour === undefined || minute === undefined || Number(hour) > 23 || Number(minute) > 59) return 'Write the time as hours and minutes, such as 9:40.'
  const start = DateTime.fromISO(startedAt, { zone })
  const first = start.set({ hour: Number(hour), minute: Number(minute), second: 30, millisecond: 0 })
  const at = [first, first.plus({ days: 1 })].find(t => t.toMillis() >= start.startOf('minute').toMillis() && t.startOf('minute').toMillis() <= untilMs)
  if (!at) return `That day ran from ${start.toFormat('H:mm')} to ${DateTime.fromMillis(untilMs, { zone }).toFormat('H:mm')}.`
  return Math.min(at.toMillis(), untilMs)
}
