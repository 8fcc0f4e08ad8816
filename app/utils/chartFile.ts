import { contourItems, featureItems, placeItems } from '../../core/formats/chartItems'
import { writeGeoJson } from '../../core/formats/geoJson'
import { writeGpx } from '../../core/formats/gpx'
import { writeKml } from '../../core/formats/kml'
import type { Place } from '../../core/place/kinds'
import type { Units } from '../../core/units/format'
import type { DepthGrid } from '../../core/water/depthGrid'
import type { LocalFrame } from '../../core/water/localFrame'
import type { WaterReading } from '../../core/water/readWater'

export interface ChartFileOptions {
  what: 'contours' | 'features' | 'places'
  as: 'geojson' | 'kml' | 'gpx'
  water: string
  frame: LocalFrame
  grid: DepthGrid
  levelsM: number[]
  reading: Pick<WaterReading, 'features' | 'roads'>
  places: readonly Place[]
  units: Units
}

const TYPES = { geojson: 'application/geo+json', kml: 'application/xml', gpx: 'application/gpx+xml' }

/** Part of a chart as a file in an open format. */
export function chartFile({ what, as, water, frame, grid, levelsM, reading, places, units }: ChartFileOptions): { name: string, text: string, type: string } {
  const items = what === 'contours' ? contourItems(grid, levelsM, frame) : what === 'features' ? featureItems(reading, frame, units) : placeItems(places)
  const text = as === 'geojson' ? writeGeoJson(items) : as === 'kml' ? writeKml(items, `${water}: ${what}`) : writeGpx(items)
  return { name: `${water.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-${what}.${as}`, text, type: TYPES[as] }
}
