import * as Comlink from 'comlink'
import { rankPlaces, type RankDay, type RankTable, type StandingPlace } from '../../core/place/rankPlaces'
import { depthAt, type DepthGrid } from '../../core/water/depthGrid'
import { fetchRose } from '../../core/water/fetchRose'

type Sited = Pick<StandingPlace, 'place' | 'part'> & { x: number, y: number }

let grid: DepthGrid | null = null
let standing: Omit<StandingPlace, 'record'>[] = []
/** Roses stay while the grid does: a place that is only renamed is not looked round again. */
const roses = new Map<string, Float32Array>()
const NEVER: StandingPlace['record'] = { catches: 0, effortHours: 0, visits: 0, lastVisitMs: null }

const api = {
  open(given: DepthGrid) {
    grid = given
    roses.clear()
  },
  /** Takes the places of the open water; gives back what was read of the chart at each. */
  stand(places: Sited[]): { depthM: number, roseM: Float32Array }[] {
    if (!grid) throw new Error('no water has been opened')
    const chart = grid
    standing = places.map(({ place, part, x, y }) => {
      const key = `${x.toFixed(1)},${y.toFixed(1)}`
      const roseM = roses.get(key) ?? fetchRose({ grid: chart, x, y })
      roses.set(key, roseM)
      return { place, part, depthM: depthAt({ grid: chart, x, y }), roseM }
    })
    return standing.map(({ depthM, roseM }) => ({ depthM, roseM }))
  },
  rank(day: RankDay, records: Map<string, StandingPlace['record']>): { table: RankTable, tookMs: number } {
    const from = performance.now()
    const table = rankPlaces({ places: standing.map(s => ({ ...s, record: records.get(s.place.id) ?? NEVER })), day })
    return { table, tookMs: performance.now() - from }
  },
}
export type RankWorker = typeof api

Comlink.expose(api)
