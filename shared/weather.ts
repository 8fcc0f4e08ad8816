import Joi from 'joi'
import { WEATHER_RANGE, type WeatherField } from '../core/season/weather'
import type { Release } from '../core/place/releases'
import { PHASES, type Phase } from '../core/season/phases'
import { SEASON_FISH, type SeasonFish } from '../core/season/seasons'
import { instant } from './journal'

/** What a weather service answers: hours one after another from `start`, null where it knows nothing. */
export interface ServiceAnswer {
  /** when its forecast was made */
  issued: string
  start: string
  air_c: (number | null)[]
  dew_point_c: (number | null)[]
  wind_m_s: (number | null)[]
  wind_from_deg: (number | null)[]
  cloud: (number | null)[]
  pressure_hpa: (number | null)[]
  rain_mm: (number | null)[]
}

export const SERVICE_FIELDS = { airC: 'air_c', dewPointC: 'dew_point_c', windMS: 'wind_m_s', windFromDeg: 'wind_from_deg', cloud: 'cloud', pressureHpa: 'pressure_hpa', rainMm: 'rain_mm' } as const satisfies Record<WeatherField, keyof ServiceAnswer>

export const MOST_HOURS = 20_000
const figures = (field: WeatherField) => Joi.array().items(Joi.number().min(WEATHER_RANGE[field][0]).max(WEATHER_RANGE[field][1]).allow(null)).max(MOST_HOURS)

export const serviceAnswerSchema = Joi.object<ServiceAnswer>({
  issued: instant,
  start: instant,
  ...Object.fromEntries(Object.entries(SERVICE_FIELDS).map(([field, name]) => [name, figures(field as WeatherField)])),
})

/** Where a water's weather comes from and how old it is. */
export interface WeatherState {
  /** null: no service is set up */
  service: {
    /** last answer; null: never answered */
    issuedAt: string | null
    /** last hour that it reaches to */
    untilAt: string | null
    /** why the last try failed; null when it did not */
    problem: string | null
  } | null
  /** hours the angler brought in from a file */
  file: { fromAt: string, untilAt: string, hours: number } | null
  /** changes with every change of the hours */
  tag: string
}

/** What the angler knows of a part of the lake: it belongs to the part that its point lies in. */
export interface PartNote {
  lonDeg: number
  latDeg: number
  name: string
  /** clarity there, m; null: as the rest of the lake */
  secchiM: number | null
  /** stream that runs in, m³/s; 0 for none */
  inflowM3S: number
  /** it is a river's mouth or arm, which white bass run up */
  river: boolean
}

/** A phase's water as the angler has set it for this water, °C. */
export interface PriorNote { fish: SeasonFish, phase: Phase, fromC: number, toC: number }

/** What the angler knows of a water's year: its parts, its phases, and when water is let through. */
export interface SeasonNotes { parts: PartNote[], priors: PriorNote[], releases: Release[] }

const clock = Joi.string().pattern(/^([01]\d|2[0-3]):[0-5]\d$/)

export const seasonNotesSchema = Joi.object<SeasonNotes>({
  parts: Joi.array().max(200).items(Joi.object<PartNote>({
    lonDeg: Joi.number().min(-180).max(180), latDeg: Joi.number().min(-90).max(90), name: Joi.string().trim().min(1).max(60),
    secchiM: Joi.number().min(0.05).max(30).allow(null), inflowM3S: Joi.number().min(0).max(500), river: Joi.boolean(),
  })),
  priors: Joi.array().max(200).items(Joi.object<PriorNote>({
    fish: Joi.valid(...SEASON_FISH), phase: Joi.valid(...PHASES), fromC: Joi.number().min(-2).max(40), toC: Joi.number().max(45).greater(Joi.ref('fromC')),
  })),
  releases: Joi.array().max(50).items(Joi.object<Release>({ weekdays: Joi.array().items(Joi.number().integer().min(1).max(7)).unique().min(1), from: clock, to: clock.disallow(Joi.ref('from')) })),
})
