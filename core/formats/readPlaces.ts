import { placeKindName, type PlaceKind, type PlaceShape } from '../place/kinds'
import { placeKindOf } from '../place/placeKindOf'
import { readCsvPlaces } from './csvPlaces'
import { fileKind, type FileKind } from './readAny'
import { readGeoJson } from './geoJson'
import { readGpx } from './gpx'
import { readKml } from './kml'
import type { GeoItem, LonLat, ReadResult } from './readResult'

/** A place as a file has it. */
export interface FoundPlace {
  name: string
  /** null where the file does not say what it is */
  kind: PlaceKind | null
  /** of a line or an outline, its middle */
  lonDeg: number
  latDeg: number
  shape: PlaceShape | null
  notes: string | null
  depthM: number | null
  /** everything else that the file says of it, by the file's own names */
  properties: GeoItem['properties']
}

export type PlacesRead = ReadResult<FoundPlace> & { kind: FileKind }

/** Reads places from GPX, KML, GeoJSON or a table. Never throws for what is in the file. */
export function readPlaces(name: string, text: string): PlacesRead {
  const kind = fileKind(name, text)
  if (kind === 'nmea') return { kind, items: [], skipped: 0, issues: [{ line: null, message: 'this is a boat\'s log, not a list of places' }] }
  const read = kind === 'csv' ? readCsvPlaces(text) : kind === 'geojson' ? readGeoJson(text) : kind === 'gpx' ? readGpx(text) : readKml(text)
  return { ...read, kind, items: read.items.map(toPlace) }
}

const DEPTHS = ['bottomDepthM', 'depthM', 'depth_m', 'depth']

function toPlace(item: GeoItem, i: number): FoundPlace {
  const { shape, rings, name, properties } = item
  const text = (key: string) => (typeof properties[key] === 'string' && properties[key].trim() !== '' ? properties[key].trim() : null)
  const kind = placeKindOf([text('kind'), text('type'), text('sym'), name, text('desc')])
  const depth = Number(DEPTHS.map(key => properties[key]).find(v => v !== undefined && v !== ''))
  const middle = middleOf(rings[0]!)
  const notes = text('notes') ?? text('desc') ?? text('description')
  return {
    name: (name ?? text('name') ?? `${kind ? placeKindName(kind) : 'place'} ${i + 1}`).trim().slice(0, 120),
    kind, ...middle, properties,
    shape: shape === 'point' ? null : shape === 'line' ? { type: 'LineString', coordinates: rings[0]!.map(pair) } : { type: 'Polygon', coordinates: rings.map(ring => [...ring, ring[0]!].map(pair)) },
    notes: notes !== null && kind !== null && notes === placeKindName(kind) ? null : notes?.slice(0, 4000) ?? null,
    depthM: Number.isFinite(depth) && depth > 0 ? depth : null,
  }
}

const pair = ({ lonDeg, latDeg }: LonLat): [number, number] => [lonDeg, latDeg]

/** The corner nearest to the middle of all: a point that surely lies on the line. */
function middleOf(ring: readonly LonLat[]): LonLat {
  const mean = { lonDeg: ring.reduce((a, p) => a + p.lonDeg, 0) / ring.length, latDeg: ring.reduce((a, p) => a + p.latDeg, 0) / ring.length }
  const away = (p: LonLat) => (p.lonDeg - mean.lonDeg) ** 2 + (p.latDeg - mean.latDeg) ** 2
  const { lonDeg, latDeg } = ring.reduce((best, p) => (away(p) < away(best) ? p : best))
  return { lonDeg, latDeg }
}
