import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { writeGeoJson } from '../core/formats/geoJson'
import { depthAreas } from '../core/water/contourLines'
import { localFrame } from '../core/water/localFrame'
import { PELLOWICK_ORIGIN, pellowickGrid } from '../demo/pellowick'
import { boatLog } from './boatLog'

/** Writes a made-up shoreline and a boat's log of its water into a folder, to try an import with: `npx tsx sim/writeSurvey.ts FOLDER`. */
const folder = process.argv[2]
if (!folder) throw new Error('name the folder to write to')
const truth = pellowickGrid(10)
const frame = localFrame(PELLOWICK_ORIGIN)
const rings = depthAreas({ grid: truth, levelsM: [0] })[0]!.polygons[0]!.map(ring => ring.slice(0, -1).map(([x, y]) => frame.toLonLat(x, y)))
writeFileSync(join(folder, 'vessel-tarn.geojson'), writeGeoJson([{ shape: 'polygon', rings, name: 'Vessel Tarn', properties: {} }]))
writeFileSync(join(folder, 'tracks.nmea'), boatLog({ truth, frame, startMs: Date.UTC(2026, 3, 1, 14), spacingM: 50, seed: 3 }))
