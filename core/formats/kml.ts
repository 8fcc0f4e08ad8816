import { cleanText, position, refused, Tally, unclosed, type GeoItem, type LonLat, type ReadResult } from './readResult'
import { childOf, descendants, escapeXml, readXml, textOf, type XmlElement } from './xml'

/** Reads the placemarks of a KML text: points, lines and outlines with their holes. Styles, links and overlays are left alone. */
export function readKml(text: string): ReadResult<GeoItem> {
  const plain = cleanText(text)
  if (typeof plain !== 'string') return refused(plain.refusal)
  const root = readXml(plain)
  if ('message' in root) return refused(root.message, root.line)
  if (root.name !== 'kml' && root.name !== 'Document' && root.name !== 'Folder') return refused(`this XML is not KML: its first element is ${root.name.slice(0, 40)}`)
  const tally = new Tally<GeoItem>()
  descendants(root, 'Placemark').forEach((mark, i) => {
    const name = textOf(mark, 'name')
    const properties: GeoItem['properties'] = Object.fromEntries(descendants(mark, 'Data').flatMap(d => (d.attributes.name === undefined ? [] : [[d.attributes.name, textOf(d, 'value') ?? '']])))
    const description = textOf(mark, 'description')
    if (description !== null && properties.desc === undefined) properties.desc = description
    const where = `placemark ${i + 1}${name ? ` (${name.slice(0, 40)})` : ''}`
    const before = tally.items.length
    const add = (shape: GeoItem['shape'], rings: (LonLat[] | string)[], fewest: number) => {
      const wrong = rings.find(r => typeof r === 'string')
      const short = rings.length === 0 || rings.some(r => r.length < fewest)
      if (wrong !== undefined) tally.leaveOut(null, `${where}: ${String(wrong)}`)
      else if (short) tally.leaveOut(null, `${where}: it has too few corners for a ${shape}`)
      else tally.items.push({ shape, rings: rings as LonLat[][], name, properties })
    }
    for (const p of descendants(mark, 'Point')) add('point', [coordinates(p)], 1)
    for (const l of descendants(mark, 'LineString')) add('line', [coordinates(l)], 2)
    for (const p of descendants(mark, 'Polygon')) {
      const holes = p.children.filter(c => c.name === 'innerBoundaryIs').flatMap(c => descendants(c, 'LinearRing'))
      const outer = childOf(p, 'outerBoundaryIs')
      add('polygon', [...(outer ? descendants(outer, 'LinearRing') : []), ...holes].map((r) => {
        const ring = coordinates(r)
        return typeof ring === 'string' ? ring : unclosed(ring)
      }), 3)
    }
    if (tally.items.length === before && descendants(mark, 'coordinates').length === 0) tally.leaveOut(null, `${where} has no coordinates`)
  })
  if (tally.items.length === 0 && tally.result().issues.length === 0) tally.note(null, 'there is no placemark in this KML')
  return tally.result()
}

/** "lon,lat[,height]" tuples apart by white space. */
function coordinates(e: XmlElement): LonLat[] | string {
  const text = textOf(e, 'coordinates')
  if (text === null) return 'it has no coordinates'
  const out: LonLat[] = []
  for (const tuple of text.split(/\s+/)) {
    const [lon, lat] = tuple.split(',')
    const at = position(number(lon), number(lat))
    if (typeof at === 'string') return at
    out.push(at)
  }
  return out
}

/** A missing figure is no number, never 0. */
export const number = (text: string | undefined): number => (text === undefined || !/^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(text.trim()) ? Number.NaN : Number(text))

/** Writes items as KML; `readKml` gives them back unchanged (properties as texts). */
export function writeKml(items: readonly GeoItem[], title: string): string {
  const tuple = ({ lonDeg, latDeg }: LonLat) => `${lonDeg},${latDeg}`
  const ring = (r: LonLat[]) => `<LinearRing><coordinates>${[...r, r[0]!].map(tuple).join(' ')}</coordinates></LinearRing>`
  const shape = ({ shape: kind, rings }: GeoItem) => kind === 'point'
    ? `<Point><coordinates>${tuple(rings[0]![0]!)}</coordinates></Point>`
    : kind === 'line'
      ? `<LineString><coordinates>${rings[0]!.map(tuple).join(' ')}</coordinates></LineString>`
      : `<Polygon><outerBoundaryIs>${ring(rings[0]!)}</outerBoundaryIs>${rings.slice(1).map(h => `<innerBoundaryIs>${ring(h)}</innerBoundaryIs>`).join('')}</Polygon>`
  const marks = items.map((item) => {
    const data = Object.entries(item.properties).map(([k, v]) => `<Data name="${escapeXml(k)}"><value>${escapeXml(String(v))}</value></Data>`).join('')
    return `  <Placemark>${item.name === null ? '' : `<name>${escapeXml(item.name)}</name>`}${data ? `<ExtendedData>${data}</ExtendedData>` : ''}${shape(item)}</Placemark>`
  })
  return `<?xml version="1.0" encoding="UTF-8"?>\n<kml xmlns="http://www.opengis.net/kml/2.2"><Document><name>${escapeXml(title)}</name>\n${marks.join('\n')}\n</Document></kml>\n`
}
