import { readWater, type Feature, type FeatureKind } from '../core/water/readWater'
import { turns, type XY } from '../core/water/turns'
import { PELLOWICK_ORIGIN, PELLOWICK_TRUTH, pellowickGrid, pellowickTerrain } from '../demo/pellowick'

interface Place { x: number, y: number }
export interface Found { kind: string, recall: number, precision: number, truths: number, found: number }

const near = (reachM: number) => (a: Place, b: Place) => Math.hypot(a.x - b.x, a.y - b.y) <= reachM

/**
 * A bulge of the ground itself, by area and not by curvature: around a point the land within 90 m that is higher
 * fills less than half the circle. Read off the generator, which no feature finder sees.
 */
function bulges({ x, y }: Place): boolean {
  const terrain = pellowickTerrain()
  const here = terrain(x, y)
  let [higher, all] = [0, 0]
  for (let dx = -90; dx <= 90; dx += 6) {
    for (let dy = -90; dy <= 90; dy += 6) {
      if (dx * dx + dy * dy > 8100) continue
      all++
      if (terrain(x + dx, y + dy) > here) higher++
    }
  }
  return higher / all < 0.45
}

function compare(kind: string, truths: Place[], found: Place[], reachM: number, right: (f: Place) => boolean = f => truths.some(t => near(reachM)(t, f))): Found {
  const recall = truths.filter(t => found.some(f => near(reachM)(t, f))).length / truths.length
  return { kind, recall, precision: found.length ? found.filter(right).length / found.length : 0, truths: truths.length, found: found.length }
}

/** What the reading finds on the demo reservoir against what the generator put there. */
export function featuresFound(): Found[] {
  const { features } = readWater({ grid: pellowickGrid(), latDeg: PELLOWICK_ORIGIN.latDeg })
  const of = (kind: FeatureKind): Feature[] => features.filter(f => f.kind === kind)
  const tips = PELLOWICK_TRUTH.points.map(({ from, to }) => ({ x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }))
  const bed = PELLOWICK_TRUTH.channel.map((p): XY => [p.x, p.y])
  const bends = turns(bed, { windowM: 70, leastDeg: 45, closed: false })
  const beds = [...new Set(of('channelBend').map(b => b.line))].flat().map(([x, y]) => ({ x, y }))
  // A shallow valley's own level floor is as good a flat as one that was put there.
  const levelFloor = ({ x, y }: Place) => {
    const heights = [[0, 0], [40, 0], [-40, 0], [0, 40], [0, -40]].map(([dx, dy]) => pellowickTerrain()(x + dx!, y + dy!))
    return Math.min(...heights) > -3 && Math.max(...heights) - Math.min(...heights) < 1.6
  }
  return [
    compare('humps', PELLOWICK_TRUTH.humps, of('hump'), 50),
    compare('points', tips, of('point'), 140, bulges),
    compare('flats', PELLOWICK_TRUTH.flats, of('flat'), 130, f => PELLOWICK_TRUTH.flats.some(t => near(130)(t, f)) || levelFloor(f)),
    compare('channel bends', bends, of('channelBend'), 70),
    compare('channel', bed.filter((_, i) => i % 6 === 0).map(([x, y]) => ({ x, y })), beds, 40, f => bed.some(([x, y]) => near(40)({ x, y }, f))),
  ]
}

export function featuresBench() {
  return {
    what: 'features read off the demo reservoir against the generator\'s own',
    lines: featuresFound().map(({ kind, recall, precision, truths, found }) => `${kind}: recall ${recall.toFixed(2)} of ${truths}, precision ${precision.toFixed(2)} of ${found}`),
  }
}
