import { index, integer, real, sqliteTable, text, blob, primaryKey } from 'drizzle-orm/sqlite-core'
import type { PlaceAttributes, PlaceKind, PlaceShape } from '../../core/place/kinds'
import type { CurrentSide } from '../../core/place/stance'
import type { BoatFix, EntryBodies, EntryKind, Fate, Tightness } from '../../core/school/entries'
import type { Rung } from '../../core/rig/ladder'
import type { Schools } from '../../core/rig/schools'
import type { LimitRule } from '../../core/fish/limits'
import type { Species } from '../../core/fish/species'
import type { TackleAttributes, TackleKind } from '../../shared/tackle'
import type { Units } from '../../core/units/format'
import type { InstrumentsAt } from '../../shared/angler'
import type { Water } from '../../shared/waters'
import type { SeasonNotes } from '../../shared/weather'

export const anglers = sqliteTable('anglers', {
  id: text().primaryKey(),
  name: text().notNull(),
  units: text().$type<Units>().notNull(),
  waveLimitM: real().notNull(),
  /** which side of a place to hold on in a current */
  currentSide: text().$type<CurrentSide>().notNull().default('up'),
  rodM: real().notNull().default(2.13),
  /** answers to what practitioners disagree on; those left out are the defaults */
  schools: text({ mode: 'json' }).$type<Partial<Schools>>().notNull().default({}),
  /** bag and length rules, as the angler entered them */
  limits: text({ mode: 'json' }).$type<LimitRule[]>().notNull().default([]),
  /** where the boat's instruments speak, over TCP */
  instruments: text({ mode: 'json' }).$type<InstrumentsAt>(),
  /** how fast the boat runs between places, m/s */
  runMS: real().notNull().default(6),
})

const owner = () => text().notNull().references(() => anglers.id)

export const waters = sqliteTable('waters', {
  id: text().primaryKey(),
  ownerId: owner(),
  name: text().notNull(),
  zone: text().notNull(),
  lonDeg: real().notNull(),
  latDeg: real().notNull(),
  shoreline: text({ mode: 'json' }).$type<Water['shoreline']>().notNull(),
  /** width of the grid's cells, m */
  cellM: real().notNull().default(5),
  /** pool level that the chart's depths are for, in the water's own datum, m */
  referenceLevelM: real().notNull().default(0),
  /** how far off the chart was on tracks left out, m; null when never measured */
  heldOutM: real(),
})

/** Soundings of one import: `encodeSoundings`'s bytes, gzipped. Undone ones are kept and left out of the grid. */
export const imports = sqliteTable('imports', {
  id: text().primaryKey(),
  ownerId: owner(),
  waterId: text().notNull().references(() => waters.id),
  at: text().notNull(),
  label: text().notNull(),
  /** pool level on the day they were taken, m; null: the reference level */
  levelM: real(),
  count: integer().notNull(),
  excluded: integer().notNull(),
  undone: integer({ mode: 'boolean' }).notNull(),
  bytes: blob({ mode: 'buffer' }).notNull(),
}, table => [index('imports_by_water').on(table.ownerId, table.waterId)])

/** Pool levels by instant, in the water's own datum. */
export const levels = sqliteTable('levels', {
  ownerId: owner(),
  waterId: text().notNull().references(() => waters.id),
  at: text().notNull(),
  levelM: real().notNull(),
}, table => [primaryKey({ columns: [table.waterId, table.at] })])

/** Depth grid of a water: `encodeDepthGrid`'s bytes, gzipped; the tag is a hash of the bytes before that. */
export const grids = sqliteTable('grids', {
  waterId: text().primaryKey().references(() => waters.id),
  tag: text().notNull(),
  bytes: blob({ mode: 'buffer' }).notNull(),
})

/** Weather of a water by its source: `encodeWeather`'s bytes, gzipped. */
export const weather = sqliteTable('weather', {
  waterId: text().notNull().references(() => waters.id),
  source: text().$type<'service' | 'file'>().notNull(),
  ownerId: owner(),
  /** when the forecast in it was made; of a file, when it was brought in */
  issuedAt: text().notNull(),
  bytes: blob({ mode: 'buffer' }).notNull(),
}, table => [primaryKey({ columns: [table.waterId, table.source] })])

/** What the angler set for a water's season: names, stain and streams of its parts, temperatures of its phases. */
export const seasonNotes = sqliteTable('season_notes', {
  waterId: text().primaryKey().references(() => waters.id),
  ownerId: owner(),
  body: text({ mode: 'json' }).$type<SeasonNotes>().notNull(),
})

export const places = sqliteTable('places', {
  id: text().primaryKey(),
  ownerId: owner(),
  waterId: text().notNull().references(() => waters.id),
  name: text().notNull(),
  kind: text().$type<PlaceKind>().notNull(),
  lonDeg: real().notNull(),
  latDeg: real().notNull(),
  attributes: text({ mode: 'json' }).$type<PlaceAttributes[PlaceKind]>().notNull(),
  /** a line or an outline; null: a point */
  shape: text({ mode: 'json' }).$type<PlaceShape>(),
  notes: text(),
  /** taken off the chart then; its log stays, and it can be put back */
  removedAt: text(),
}, table => [index('places_by_water').on(table.ownerId, table.waterId)])

/** Pictures of a place, made smaller, without anything the camera wrote beside the picture. */
export const photos = sqliteTable('photos', {
  id: text().primaryKey(),
  ownerId: owner(),
  waterId: text().notNull().references(() => waters.id),
  placeId: text().notNull().references(() => places.id),
  at: text().notNull(),
  widthPx: integer().notNull(),
  heightPx: integer().notNull(),
  bytes: blob({ mode: 'buffer' }).notNull(),
}, table => [index('photos_by_place').on(table.ownerId, table.placeId)])

/** The order of changes that was agreed on for a place, taken along to the water. */
export const ladders = sqliteTable('ladders', {
  ownerId: owner(),
  placeId: text().notNull().references(() => places.id),
  at: text().notNull(),
  rungs: text({ mode: 'json' }).$type<Rung[]>().notNull(),
}, table => [primaryKey({ columns: [table.ownerId, table.placeId] })])

export const tackle = sqliteTable('tackle', {
  id: text().primaryKey(),
  ownerId: owner(),
  kind: text().$type<TackleKind>().notNull(),
  name: text().notNull(),
  carried: integer({ mode: 'boolean' }).notNull(),
  /** pieces in the box; null: not counted */
  stock: integer(),
  attributes: text({ mode: 'json' }).$type<TackleAttributes[TackleKind]>().notNull(),
}, table => [index('tackle_by_owner').on(table.ownerId)])

/** The journal itself: append-only. Everything below it can be made again from it. */
export const entries = sqliteTable('entries', {
  id: text().primaryKey(),
  ownerId: owner(),
  tripId: text().notNull(),
  at: text().notNull(),
  kind: text().$type<EntryKind>().notNull(),
  body: text({ mode: 'json' }).$type<EntryBodies[EntryKind]>().notNull(),
  /** device that made it; older entries have none */
  by: text(),
  fix: text({ mode: 'json' }).$type<BoatFix>(),
}, table => [index('entries_by_trip').on(table.ownerId, table.tripId)])

/** Trips whose journal has grown since their read tables were made: marked in the commit of the entries, made again before the next reading. */
export const staleTrips = sqliteTable('stale_trips', {
  ownerId: owner(),
  tripId: text().notNull(),
}, table => [primaryKey({ columns: [table.ownerId, table.tripId] })])

/** Read table: a trip as the journal stands. */
export const trips = sqliteTable('trips', {
  id: text().notNull(),
  ownerId: owner(),
  waterId: text().notNull().references(() => waters.id),
  startedAt: text().notNull(),
  endedAt: text(),
}, table => [primaryKey({ columns: [table.ownerId, table.id] })])

/** Read table: days that count as part of an earlier one. */
export const joins = sqliteTable('joins', {
  ownerId: owner(),
  tripId: text().notNull(),
  intoId: text().notNull(),
}, table => [primaryKey({ columns: [table.ownerId, table.tripId] }), index('joins_by_day').on(table.ownerId, table.intoId)])

/** Read table: visits to places. */
export const visits = sqliteTable('visits', {
  ownerId: owner(),
  tripId: text().notNull(),
  placeId: text(),
  arrivedAt: text().notNull(),
  leftAt: text(),
  minutes: real().notNull(),
  fish: integer().notNull(),
}, table => [index('visits_by_trip').on(table.ownerId, table.tripId)])

/** Read table: schools. */
export const schools = sqliteTable('schools', {
  id: text().primaryKey(),
  ownerId: owner(),
  tripId: text().notNull(),
  placeId: text(),
  at: text().notNull(),
  topM: real().notNull(),
  bottomM: real().notNull(),
  waterDepthM: real().notNull(),
  tightness: text().$type<Tightness>().notNull(),
  waterC: real(),
  secchiM: real(),
  minutes: real().notNull(),
  presentations: integer().notNull(),
}, table => [index('schools_by_trip').on(table.ownerId, table.tripId)])

/** Read table: rigs, with what was fished on each. */
export const rigs = sqliteTable('rigs', {
  id: text().primaryKey(),
  ownerId: owner(),
  tripId: text().notNull(),
  at: text().notNull(),
  colour: text(),
  secchiM: real(),
  minutes: real().notNull(),
  presentations: integer().notNull(),
  fish: integer().notNull(),
}, table => [index('rigs_by_trip').on(table.ownerId, table.tripId)])

/** Read table: fish. */
export const fish = sqliteTable('fish', {
  id: text().primaryKey(),
  ownerId: owner(),
  tripId: text().notNull(),
  schoolId: text(),
  placeId: text(),
  at: text().notNull(),
  species: text().$type<Species>(),
  lengthM: real(),
  fate: text().$type<Fate>(),
  depthM: real(),
}, table => [index('fish_by_trip').on(table.ownerId, table.tripId)])

/** Read table: readings of the water's state. */
export const readings = sqliteTable('readings', {
  id: text().primaryKey(),
  ownerId: owner(),
  tripId: text().notNull(),
  waterId: text().notNull().references(() => waters.id),
  at: text().notNull(),
  body: text({ mode: 'json' }).$type<EntryBodies['conditions']>().notNull(),
}, table => [index('readings_by_water').on(table.ownerId, table.waterId), index('readings_by_trip').on(table.ownerId, table.tripId)])

export const boils = sqliteTable('boils', {
  id: text().primaryKey(),
  ownerId: owner(),
  tripId: text().notNull(),
  waterId: text().notNull().references(() => waters.id),
  at: text().notNull(),
  body: text({ mode: 'json' }).$type<EntryBodies['boil']>().notNull(),
}, table => [index('boils_by_water').on(table.ownerId, table.waterId), index('boils_by_trip').on(table.ownerId, table.tripId)])

export const settings = sqliteTable('settings', {
  key: text().primaryKey(),
  value: text().notNull(),
})
