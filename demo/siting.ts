import type { DepthGrid } from '../core/water/depthGrid'
import { depthAt } from '../core/water/depthGrid'
import type { LocalFrame } from '../core/water/localFrame'
import type { Place, PlaceAttributes, PlaceKind } from '../core/place/kinds'

export interface Walk { x: number, y: number, toward: number }

const STEP_M = 2.5
const LONGEST_WALK_M = 1500

/** First point along a bearing where the water is at least `depthM` deep. */
export function outTo(grid: DepthGrid, { x, y, toward }: Walk, depthM: number): { x: number, y: number } {
  return walk(grid, { x, y, toward }, depth => depth >= depthM)
}

/** Last point along a bearing before the water is shallower than `depthM`: from open water in to the bank. */
export function inTo(grid: DepthGrid, { x, y, toward }: Walk, depthM: number): { x: number, y: number } {
  return walk(grid, { x, y, toward }, (_, next) => !(next >= depthM))
}

function walk(grid: DepthGrid, { x, y, toward }: Walk, stop: (depth: number, next: number) => boolean): { x: number, y: number } {
  const dx = Math.sin((toward * Math.PI) / 180) * STEP_M
  const dy = Math.cos((toward * Math.PI) / 180) * STEP_M
  for (let n = 0; n < LONGEST_WALK_M / STEP_M; n++) {
    const here = { x: x + n * dx, y: y + n * dy }
    if (stop(depthAt({ grid, ...here }), depthAt({ grid, x: here.x + dx, y: here.y + dy }))) return here
  }
  throw new Error(`no such depth within ${LONGEST_WALK_M} m of ${x}, ${y} toward ${toward}`)
}

/** A place by where it should stand and what it is once the depth there is known. */
export type Sited = { [K in PlaceKind]: { name: string, kind: K, at: { x: number, y: number }, line?: { x: number, y: number }[], notes?: string, attributes: (bottomDepthM: number) => PlaceAttributes[K] } }[PlaceKind]

export const round = (m: number) => Math.round(m * 10) / 10

/** Stands places on a grid, each with the depth that is there. @throws Error for one that would stand on land */
export function stand(sited: readonly Sited[], grid: DepthGrid, frame: LocalFrame, newId: () => string): Place[] {
  return sited.map(({ name, kind, at, line, notes, attributes }) => {
    const depth = depthAt({ grid, ...at })
    if (Number.isNaN(depth)) throw new Error(`${name} would stand on land`)
    const coordinates = line?.map(({ x, y }): [number, number] => {
      const { lonDeg, latDeg } = frame.toLonLat(x, y)
      return [lonDeg, latDeg]
    })
    return { id: newId(), name, kind, ...frame.toLonLat(at.x, at.y), ...(coordinates && { shape: { type: 'LineString', coordinates } }), ...(notes && { notes }), attributes: attributes(round(depth)) } as Place
  })
}

/** The edge of a depth along a bank: points where it is first reached from each start, walking one way. */
export function edgeLine(grid: DepthGrid, starts: readonly { x: number, y: number }[], toward: number, depthM: number): { x: number, y: number }[] {
  return starts.map(start => outTo(grid, { ...start, toward }, depthM))
}
