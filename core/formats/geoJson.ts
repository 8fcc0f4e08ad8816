import { cleanText, position, refused, Tally, unclosed, type GeoItem, type LonLat, type ReadResult } from './readResult'

const DEEPEST_NESTING = 12

/** Reads GeoJSON (RFC 7946): features, collections of them, bare geometries; [longitude, latitude] in WGS 84. */
export function readGeoJson(text: string): ReadResult<GeoItem> {
  const plain = cleanText(text)
  if (typeof plain !== 'string') return refused(plain.refusal)
  let root: unknown
  try {
    root = JSON.parse(plain)
  }
  catch (error) {
    return refused(`this is not JSON: ${error instanceof Error ? error.message : String(error)}`)
  }
  const tally = new Tally<GeoItem>()
  visit(root, null, {}, 'the file', 0)
  if (tally.items.length === 0 && tally.result().issues.length === 0) tally.note(null, 'there is no point, line or outline in this GeoJSON')
  return tally.result()

  function visit(node: unknown, name: string | null, properties: GeoItem['properties'], where: string, depth: number): void {
    if (!isRecord(node) || typeof node.type !== 'string') return tally.leaveOut(null, `${where} has no type`)
    if (depth > DEEPEST_NESTING) return tally.leaveOut(null, `${where} is nested more than ${DEEPEST_NESTING} deep`)
    switch (node.type) {
      case 'FeatureCollection':
        return each(node.features, where, 'features', (f, w) => visit(f, name, properties, w, depth + 1))
      case 'GeometryCollection':
        return each(node.geometries, where, 'geometries', (g, w) => visit(g, name, properties, w, depth + 1))
      case 'Feature': {
        const own = isRecord(node.properties) ? plainProperties(node.properties) : {}
        const label = typeof own.name === 'string' ? own.name : null
        if (node.geometry === null || node.geometry === undefined) return tally.leaveOut(null, `${where} has no geometry`)
        return visit(node.geometry, label, own, where, depth + 1)
      }
      case 'Point': return add('point', [[node.coordinates]], where, name, properties)
      case 'MultiPoint': return each(node.coordinates, where, 'coordinates', (c, w) => add('point', [[c]], w, name, properties))
      case 'LineString': return add('line', [node.coordinates], where, name, properties)
      case 'MultiLineString': return each(node.coordinates, where, 'coordinates', (c, w) => add('line', [c], w, name, properties))
      case 'Polygon': return add('polygon', node.coordinates, where, name, properties)
      case 'MultiPolygon': return each(node.coordinates, where, 'coordinates', (c, w) => add('polygon', c, w, name, properties))
      default: return tally.leaveOut(null, `${where} is of the unknown type ${node.type.slice(0, 40)}`)
    }
  }

  function each(list: unknown, where: string, key: string, visitOne: (one: unknown, where: string) => void): void {
    if (!Array.isArray(list)) return tally.leaveOut(null, `${where} has no list of ${key}`)
    list.forEach((one, i) => visitOne(one, `${where === 'the file' ? '' : `${where} `}${key}[${i}]`))
  }

  function add(shape: GeoItem['shape'], rings: unknown, where: string, name: string | null, properties: GeoItem['properties']): void {
    const read = readRings(rings, shape)
    if (typeof read === 'string') return tally.leaveOut(null, `${where}: ${read}`)
    tally.items.push({ shape, rings: read, name, properties })
  }
}

const FEWEST = { point: 1, line: 2, polygon: 3 }

function readRings(rings: unknown, shape: GeoItem['shape']): LonLat[][] | string {
  if (!Array.isArray(rings) || rings.length === 0) return 'it has no coordinates'
  const out: LonLat[][] = []
  for (const ring of rings as unknown[]) {
    if (!Array.isArray(ring)) return 'its coordinates are not a list'
    const read: LonLat[] = []
    for (const pair of ring as unknown[]) {
      if (!Array.isArray(pair) || typeof pair[0] !== 'number' || typeof pair[1] !== 'number') return 'a coordinate is missing or no number'
      const at = position(pair[0], pair[1])
      if (typeof at === 'string') return at
      read.push(at)
    }
    const corners = shape === 'polygon' ? unclosed(read) : read
    if (corners.length < FEWEST[shape]) return `it has ${corners.length} corners; a ${shape} needs ${FEWEST[shape]}`
    out.push(corners)
  }
  return out
}

const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value)

function plainProperties(record: Record<string, unknown>): GeoItem['properties'] {
  return Object.fromEntries(Object.entries(record).filter((e): e is [string, string | number | boolean] => ['string', 'number', 'boolean'].includes(typeof e[1])))
}

/** Writes items as a GeoJSON feature collection; `readGeoJson` gives them back unchanged. */
export function writeGeoJson(items: readonly GeoItem[]): string {
  const pair = ({ lonDeg, latDeg }: LonLat) => [lonDeg, latDeg]
  const features = items.map(({ shape, rings, name, properties }) => ({
    type: 'Feature',
    properties: name === null ? properties : { ...properties, name },
    geometry: shape === 'point'
      ? { type: 'Point', coordinates: pair(rings[0]![0]!) }
      : shape === 'line'
        ? { type: 'LineString', coordinates: rings[0]!.map(pair) }
        : { type: 'Polygon', coordinates: rings.map(ring => [...ring, ring[0]!].map(pair)) },
  }))
  return `${JSON.stringify({ type: 'FeatureCollection', features }, null, 1)}\n`
}
