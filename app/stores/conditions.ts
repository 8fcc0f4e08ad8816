import { defineStore } from 'pinia'
import { DateTime } from 'luxon'
import { sunAt, sunTimes } from '../../core/season/sun'
import { skyOf, type Sky } from '../../core/season/sky'
import { temperatureTrend } from '../../core/season/temperatureTrend'
import { useSeason } from './season'
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
  /** day of the water, "2026-07-14" */
  day: string
}
export type ConditionKey = keyof WhatIf

/** Stand-ins until a first reading: a mild, stained, lightly windy day. */
const UNREAD: Omit<WhatIf, 'hour' | 'day'> = { waterC: 15, trendCPerWeek: 0, secchiM: 1, windMS: 2, windFromDeg: 225, sky: 'broken' }

/** A reading speaks for so long of what changes by the hour, and of the water's temperature, ms. */
const SKY_HOLDS_MS = 3 * 3_600_000
const WATER_HOLDS_MS = 6 * 3_600_000

/** Advice moves on in steps of this much: a figure that flickers under the finger is worse than one five minutes old. */
const STEADY_MS = 5 * 60_000

/** Where a figure comes from. */
export type Source = 'read' | 'model' | 'forecast' | 'usual' | 'unread'

/** State of the water and the day: readings and, where they have grown old, the model and the forecast; any of them changed as a what-if. */
export const useConditions = defineStore('conditions', () => {
  const session = useSession()
  const waters = useWater()
  const season = useSeason()
  const whatIf = ref<Partial<WhatIf>>({})

  const zone = computed(() => waters.water?.zone ?? 'utc')
  /** The clock in steps, so that what rests on it is worked out once a step and not at every tick and tap. */
  const steadyMs = computed(() => Math.ceil(session.nowMs / STEADY_MS) * STEADY_MS)
  const clock = computed(() => DateTime.fromMillis(steadyMs.value, { zone: zone.value }))
  /** The instant asked about: now, or the what-if's day and hour. */
  const atMs = computed(() => {
    const { day, hour } = whatIf.value
    if (day === undefined && hour === undefined) return steadyMs.value
    const start = (day === undefined ? clock.value : DateTime.fromISO(day, { zone: zone.value })).startOf('day')
    const minutes = hour === undefined ? clock.value.hour * 60 + clock.value.minute : Math.round(hour * 60)
    return start.set({ hour: Math.min(23, Math.trunc(minutes / 60)), minute: minutes >= 1440 ? 59 : minutes % 60 }).toMillis()
  })
  const local = computed(() => DateTime.fromMillis(atMs.value, { zone: zone.value }))
  const past = computed(() => waters.record.readings.filter(r => Date.parse(r.at) <= steadyMs.value))

  /** Newest reading of one figure, with its time. */
  function newest<K extends 'waterC' | 'secchiM' | 'windMS' | 'windFromDeg' | 'sky'>(key: K) {
    for (let i = past.value.length - 1; i >= 0; i--) {
      const value = past.value[i]!.body[key]
      if (value !== null) return { value, at: past.value[i]!.at }
    }
    return null
  }
  /** The newest reading while it holds for the instant asked about. */
  function holding<K extends 'waterC' | 'windMS' | 'windFromDeg' | 'sky'>(key: K, holdsMs: number) {
    const found = newest(key)
    return found && Math.abs(atMs.value - Date.parse(found.at)) <= holdsMs ? found.value : null
  }

  const trend = computed(() => temperatureTrend({
    readings: past.value.flatMap(r => (r.body.waterC === null ? [] : [{ atMs: Date.parse(r.at), waterC: r.body.waterC }])),
    nowMs: steadyMs.value,
  }))
  const forecast = computed(() => season.weatherAt(atMs.value))
  /** A reading, carried on by the model to the instant asked about; without one that holds, the model alone. */
  const water = computed<{ waterC: number, source: Source }>(() => {
    const model = season.partCAt(0, atMs.value)
    const read = newest('waterC')
    const held = holding('waterC', WATER_HOLDS_MS)
    if (held !== null) return { waterC: held + (model ?? 0) - (season.partCAt(0, Date.parse(read!.at)) ?? model ?? 0), source: 'read' }
    if (model !== null) return { waterC: model, source: season.sourceAt(atMs.value) === 'usual' ? 'usual' : season.sourceAt(atMs.value) === 'forecast' ? 'forecast' : 'model' }
    return read ? { waterC: read.value, source: 'read' } : { waterC: UNREAD.waterC, source: 'unread' }
  })
  const windMS = computed(() => holding('windMS', SKY_HOLDS_MS) ?? finite(forecast.value?.windMS) ?? newest('windMS')?.value ?? UNREAD.windMS)
  const windFromDeg = computed(() => holding('windFromDeg', SKY_HOLDS_MS) ?? finite(forecast.value?.windFromDeg) ?? newest('windFromDeg')?.value ?? UNREAD.windFromDeg)
  const sky = computed<Sky>(() => holding('sky', SKY_HOLDS_MS) ?? (forecast.value ? skyOf(forecast.value) : null) ?? newest('sky')?.value ?? UNREAD.sky)
  const measured = computed<WhatIf>(() => ({
    waterC: water.value.waterC,
    trendCPerWeek: season.trendAt(0, atMs.value) ?? trend.value?.perWeekC ?? UNREAD.trendCPerWeek,
    secchiM: newest('secchiM')?.value ?? UNREAD.secchiM,
    windMS: windMS.value,
    windFromDeg: windFromDeg.value,
    sky: sky.value,
    hour: clock.value.hour + clock.value.minute / 60,
    day: clock.value.toISODate()!,
  }))
  const readAt = computed(() => newest('waterC')?.at ?? null)
  const now = computed<WhatIf>(() => ({ ...measured.value, ...whatIf.value }))
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

  return { zone, local, measured, water, forecast, readAt, now, atMs, position, sun, sunToday, isWhatIf, anyWhatIf, suppose, forget }
})

const finite = (value: number | undefined) => (value === undefined || Number.isNaN(value) ? null : value)
