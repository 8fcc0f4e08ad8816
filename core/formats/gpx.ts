import { number } from './kml'
import { cleanText, position, refused, Tally, type GeoItem, type LonLat, type ReadResult } from './readResult'
import { descendants, escapeXml, readXml, textOf, type XmlElement } from './xml'

/** Reads a GPX text: waypoints as points, routes and track segments as lines. A waypoint's `desc` and `type` are kept. */
export function readGpx(text: string): ReadResult<GeoItem> {
  const plain = cleanText(text)
  if (typeof plain !== 'string') return refused(plain.refusal)
  const root = readXml(plain)
  if ('message' in root) return refused(root.message, root.line)
  if (root.name !== 'gpx') return refused(`this XML is not GPX: its first element is ${root.name.slice(0, 40)}`)
  const tally = new Tally<GeoItem>()
  root.children.filter(c => c.name === 'wpt').forEach((wpt, i) => {
    const at = place(wpt)
    if (typeof at === 'string') return tally.leaveOut(null, `waypoint ${i + 1}: ${at}`)
    tally.items.push({ shape: 'point', rings: [[at]], name: textOf(wpt, 'name'), properties: said(wpt) })
  })
  for (const [whole, part, corner] of [['rte', null, 'rtept'], ['trk', 'trkseg', 'trkpt']] as const) {
    root.children.filter(c => c.name === whole).forEach((way, i) => {
      for (const segment of part === null ? [way] : descendants(way, part)) {
        const line: LonLat[] = []
        for (const pt of segment.children.filter(c => c.name === corner)) {
          const at = place(pt)
          if (typeof at === 'string') tally.leaveOut(null, `${whole} ${i + 1}: ${at}`)
          else line.push(at)
        }
        if (line.length < 2) tally.leaveOut(null, `${whole} ${i + 1}: it has too few points for a line`)
        else tally.items.push({ shape: 'line', rings: [line], name: textOf(way, 'name'), properties: said(way) })
      }
    })
  }
  if (tally.items.length === 0 && tally.result().issues.length === 0) tally.note(null, 'there is no waypoint, route or track in this GPX')
  return tally.result()
}

const place = (e: XmlElement) => position(number(e.attributes.lon), number(e.attributes.lat))

function said(e: XmlElement): GeoItem['properties'] {
  return Object.fromEntries(['desc', 'type'].flatMap((key) => {
    const text = textOf(e, key)
    return text === null ? [] : [[key, text]]
  }))
}

/** Writes points as waypoints and lines (and outlines' rings) as tracks; `readGpx` gives points and lines back unchanged. */
export function writeGpx(items: readonly GeoItem[]): string {
  const inner = ({ name, properties }: GeoItem) => [
    name === null ? '' : `<name>${escapeXml(name)}</name>`,
    ...['desc', 'type'].map(key => (properties[key] === undefined ? '' : `<${key}>${escapeXml(String(properties[key]))}</${key}>`)),
  ].join('')
  const points = items.filter(i => i.shape === 'point').map(i => `  <wpt lat="${i.rings[0]![0]!.latDeg}" lon="${i.rings[0]![0]!.lonDeg}">${inner(i)}</wpt>`)
  const ways = items.filter(i => i.shape !== 'point').flatMap(i => i.rings.map((ring) => {
    const corners = i.shape === 'polygon' ? [...ring, ring[0]!] : ring
    return `  <trk>${inner(i)}<trkseg>${corners.map(p => `<trkpt lat="${p.latDeg}" lon="${p.lonDeg}"/>`).join('')}</trkseg></trk>`
  }))
  return `<?xml version="1.0" encoding="UTF-8"?>\n<gpx version="1.1" creator="Remous" xmlns="http://www.topografix.com/GPX/1/1">\n${[...points, ...ways].join('\n')}\n</gpx>\n`
}
