import type { Place } from '../place/kinds'
import { placeKindName } from '../place/kinds'
import { contourLines } from '../water/contourLines'
import type { DepthGrid } from '../water/depthGrid'
import { featureText, featureTitle } from '../water/featureText'
import type { LocalFrame } from '../water/localFrame'
import type { Feature, WaterReading } from '../water/readWater'
import type { XY } from '../water/turns'
import type { Units } from '../units/format'
import type { GeoItem, LonLat } from './readResult'

const DECIMALS = 7
const rounded = ({ lonDeg, latDeg }: LonLat): LonLat => ({ lonDeg: Number(lonDeg.toFixed(DECIMALS)), latDeg: Number(latDeg.toFixed(DECIMALS)) })

/** Contours as lines, named by their depth in metres. */
export function contourItems(grid: DepthGrid, levelsM: number[], frame: LocalFrame): GeoItem[] {
  return contourLines({ grid, levelsM }).flatMap(({ levelM, lines }) => lines.map((line): GeoItem => ({
    shape: 'line', rings: [line.map(([x, y]) => rounded(frame.toLonLat(x, y)))], name: `${Number(levelM.toFixed(2))} m`, properties: { depthM: Number(levelM.toFixed(3)) },
  })))
}

/** Features as points with what they are in words; breaks and roads as the lines they are. */
export function featureItems({ features, roads }: Pick<WaterReading, 'features' | 'roads'>, frame: LocalFrame, units: Units): GeoItem[] {
  const line = (points: XY[]) => points.map(([x, y]) => rounded(frame.toLonLat(x, y)))
  const said = (f: Feature) => ({ type: f.kind, desc: featureText(f, units) })
  return [
    ...features.map((f): GeoItem => (f.kind === 'break' && f.line.length > 1
      ? { shape: 'line', rings: [line(f.line)], name: featureTitle(f, units), properties: said(f) }
      : { shape: 'point', rings: [[rounded(frame.toLonLat(f.x, f.y))]], name: featureTitle(f, units), properties: said(f) })),
    ...roads.filter(r => r.line.length > 1).map((r): GeoItem => ({ shape: 'line', rings: [line(r.line)], name: `Road from ${r.basinId} to ${r.flatId}`, properties: { type: 'road' } })),
  ]
}

/** Places as points, or as the lines and outlines they are: kind, words and figures by their own names, so that `readPlaces` can give them back. */
export function placeItems(places: readonly Place[]): GeoItem[] {
  return places.map(({ name, kind, shape, notes, attributes, ...at }) => ({
    shape: shape === undefined ? 'point' : shape.type === 'LineString' ? 'line' : 'polygon',
    rings: shape === undefined
      ? [[rounded(at)]]
      : shape.type === 'LineString' ? [shape.coordinates.map(corner)] : shape.coordinates.map(ring => ring.slice(0, -1).map(corner)),
    name, properties: { ...plain(attributes), type: kind, desc: notes ?? placeKindName(kind) },
  }))
}

const corner = ([lonDeg, latDeg]: [number, number]): LonLat => ({ lonDeg, latDeg })
const plain = (attributes: Place['attributes']): GeoItem['properties'] => Object.fromEntries(Object.entries(attributes).filter(([, v]) => v !== undefined))
