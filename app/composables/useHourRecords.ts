import { DateTime } from 'luxon'
import type { HourRecord } from '../../core/season/feeding'
import { seasonOf, type SeasonFish } from '../../core/season/seasons'

const SLICE_MIN = 30

/** Effort and fish of the open water's log by hour of its day, one slice at a time. */
export function useHourRecords(fish: () => SeasonFish) {
  const waters = useWater()
  const conditions = useConditions()
  return computed<HourRecord[]>(() => {
    const hours: HourRecord[] = []
    const local = (ms: number) => {
      const at = DateTime.fromMillis(ms, { zone: conditions.zone })
      return at.hour + at.minute / 60
    }
    for (const { at, minutes } of waters.record.visits) {
      for (let done = 0; done < minutes; done += SLICE_MIN) hours.push({ hour: local(Date.parse(at) + (done + SLICE_MIN / 2) * 60_000), hours: Math.min(SLICE_MIN, minutes - done) / 60, fish: 0 })
    }
    for (const { at, species } of waters.record.catches) {
      if (species === null ? fish() === 'crappie' : seasonOf(species) === fish()) hours.push({ hour: local(Date.parse(at)), hours: 0, fish: 1 })
    }
    return hours
  })
}
