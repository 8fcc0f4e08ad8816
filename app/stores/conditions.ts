import { defineStore } from 'pinia'
import { DateTime } from 'luxon'
import { sunAt, sunTimes } from '../../core/season/sun'
import type { Sky } from '../../core/season/sky'
import { temperatureTrend } from '../../core/season/temperatureTrend'
import { useSession } from './session'
import { useWater } from './water'

export interface WhatIf {
  waterC: number
  trendCPerWeek: number
  secchiM: number
  windMS: number
  windFromDeg: number
  sky: Sky
  /** hour of the water's day, 0–24 */
  hour: number
}
export type ConditionKey = keyof WhatIf

/** Stand-ins until a first reading: a mild, stained, lightly windy day. */
const UNREAD: Omit<WhatIf, 'hour'> = { waterC: 15, trendCPerWeek: 0, secchiM: 1, windMS: 2, windFromDeg: 225, sky: 'broken' }

/** State of the water and the day: the last readings, with any of them changed as a what-if. */
export const useConditions = defineStore('conditions', () => {
  const session = useSession()
  const waters = useWater()
  const whatIf = ref<Partial<WhatIf>>({})

  const zone = computed(() => waters.water?.zone ?? 'utc')
  const local = computed(() => DateTime.fromMillis(session.nowMs, { zone: zone.value }))
  const past = computed(() => waters.record.readings.filter(r => Date.parse(r.at) <= session.nowMs))

  /** Newest reading of one figure, with its time. */
  function newest<K extends 'waterC' | 'secchiM' | 'windMS' | 'windFromDeg' | 'sky'>(key: K) {
    for (let i = past.value.length - 1; i >= 0; i--) {
      const value = past.value[i]!.body[key]
      if (value !== null) return { value, at: past.value[i]!.at }
    }
    return null
  }

  const trend = computed(() => temperatureTrend({
    readings: past.value.flatMap(r => (r.body.waterC === null ? [] : [{ atMs: Date.parse(r.at), waterC: r.body.waterC }])),
    nowMs: session.nowMs,
  }))

  const measured = computed<WhatIf>(() => ({
    waterC: newest('waterC')?.value ?? UNREAD.waterC,
    trendCPerWeek: trend.value?.perWeekC ?? UNREAD.trendCPerWeek,
    secchiM: newest('secchiM')?.value ?? UNREAD.secchiM,
    windMS: newest('windMS')?.value ?? UNREAD.windMS,
    windFromDeg: newest('windFromDeg')?.value ?? UNREAD.windFromDeg,
    sky: newest('sky')?.value ?? UNREAD.sky,
    hour: local.value.hour + local.value.minute / 60,
  }))
  const readAt = computed(() => newest('waterC')?.at ?? null)
  const now = computed<WhatIf>(() => ({ ...measured.value, ...whatIf.value }))

  /** The instant asked about: now, or the what-if's hour of the same day. */
  const atMs = computed(() => {
    if (whatIf.value.hour === undefined) return session.nowMs
    const minutes = Math.round(whatIf.value.hour * 60)
    return local.value.startOf('day').set({ hour: Math.min(23, Math.trunc(minutes / 60)), minute: minutes >= 1440 ? 59 : minutes % 60 }).toMillis()
  })
  const position = computed(() => ({ latDeg: waters.water?.latDeg ?? 0, lonDeg: waters.water?.lonDeg ?? 0 }))
  const sun = computed(() => sunAt({ atMs: atMs.value, ...position.value }))
  const sunToday = computed(() => sunTimes({ noonMs: local.value.set({ hour: 12, minute: 0 }).toMillis(), ...position.value }))

  const isWhatIf = (key: ConditionKey) => whatIf.value[key] !== undefined
  const anyWhatIf = computed(() => Object.keys(whatIf.value).length > 0)

  function suppose<K extends ConditionKey>(key: K, value: WhatIf[K]) {
    whatIf.value = { ...whatIf.value, [key]: value }
  }
  /** Back to what was read. */
  function forget(...keys: ConditionKey[]) {
    whatIf.value = Object.fromEntries(Object.entries(whatIf.value).filter(([key]) => keys.length > 0 && !keys.includes(key as ConditionKey)))
  }

  return { zone, local, measured, readAt, trend, now, atMs, sun, sunToday, isWhatIf, anyWhatIf, suppose, forget }
})
