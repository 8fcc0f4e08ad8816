import type { PlaceKind } from '../core/place/kinds'
import type { SeasonFish } from '../core/season/seasons'

/** What the stand-in's fish do at one temperature, on the way up or down: where in the column, at what, how hungry. */
export interface FishState {
  topM: number
  bottomM: number
  /** fish an hour that a fair angler takes at a place of the best kind */
  appetite: number
  likes: Partial<Record<PlaceKind, number>>
}

interface Station extends FishState { waterC: number }

const at = (waterC: number, topM: number, bottomM: number, appetite: number, likes: Station['likes']): Station => ({ waterC, topM, bottomM, appetite, likes })

/**
 * The fishes' own laws in the stand-in world, apart from any advice and with figures of their own: stations along the warming and the cooling
 * half of the year.
 */
const LAWS: Record<SeasonFish, { rising: Station[], falling: Station[] }> = {
  crappie: {
    rising: [
      at(3, 6, 9.5, 2.2, { basinEdge: 1, channelBend: 1, brush: 0.75, timber: 0.5, hump: 0.4 }),
      at(8.5, 2.4, 4.6, 4.5, { breakEdge: 1, brush: 0.8, insideTurn: 0.8, point: 0.6, timber: 0.55, channelBend: 0.5 }),
      at(12, 1.6, 3.4, 7.5, { brush: 1, breakEdge: 0.85, reedStubble: 0.55, weedEdge: 0.6, dock: 0.5, insideTurn: 0.6, creekMouth: 0.6 }),
      at(17, 0.5, 1.7, 5.5, { reedStubble: 1, flat: 0.75, dock: 0.55, weedEdge: 0.6, brush: 0.45, moorings: 0.5 }),
      at(21, 0.9, 2.8, 5, { dock: 1, moorings: 0.8, weedEdge: 0.75, brush: 0.5 }),
      at(24, 2.4, 4.6, 4.6, { weedEdge: 1, hump: 0.85, dock: 0.75, brush: 0.65, timber: 0.6 }),
      at(28, 2.4, 4.2, 3.8, { brush: 1, timber: 0.95, dock: 0.7, hump: 0.5 }),
    ],
    falling: [
      at(28, 1.8, 3.4, 3, { brush: 1, timber: 0.85, dock: 0.6 }),
      at(21, 4, 6.6, 4, { breakEdge: 1, basinEdge: 0.8, brush: 0.75, channelBend: 0.7, point: 0.5 }),
      at(13, 3, 5.4, 5.5, { brush: 1, breakEdge: 0.7, channelBend: 0.85, timber: 0.6, insideTurn: 0.6 }),
      at(5, 5.4, 8.8, 2.8, { channelBend: 1, basinEdge: 1, brush: 0.8, timber: 0.5 }),
    ],
  },
  yellowPerch: {
    rising: [
      at(3, 6, 11, 3.5, { basinEdge: 1, channelBend: 0.7, hump: 0.5 }), at(8, 1.3, 3, 6.5, { weedEdge: 1, flat: 0.9, reedStubble: 0.8, creekMouth: 0.6 }),
      at(13, 2, 4.5, 4.5, { weedEdge: 1, insideTurn: 0.8, point: 0.7, breakEdge: 0.6 }), at(20, 2.6, 6, 5.5, { weedEdge: 1, hump: 0.95, point: 0.8, breakEdge: 0.5 }), at(25, 5, 9, 3, { basinEdge: 0.9, hump: 1 }),
    ],
    falling: [at(24, 4.5, 8.5, 3.5, { hump: 1, basinEdge: 0.9, point: 0.5 }), at(14, 5, 9, 5.5, { breakEdge: 1, basinEdge: 0.9, insideTurn: 0.6, hump: 0.6 }), at(4, 6.5, 11, 3.5, { basinEdge: 1, channelBend: 0.7 })],
  },
  europeanPerch: {
    rising: [
      at(3, 3, 6.5, 2.6, { lockCut: 1, moorings: 0.9, basinEdge: 0.9, canal: 0.6 }), at(8, 0.9, 2.2, 5.5, { weedEdge: 1, reedStubble: 0.8, flat: 0.75, moorings: 0.5 }),
      at(14, 1.2, 3.4, 4.5, { moorings: 0.9, weedEdge: 1, canal: 0.7, point: 0.7 }), at(20, 1.4, 4, 5.5, { weir: 1, lockCut: 0.95, moorings: 0.8, point: 0.7, weedEdge: 0.6, canal: 0.7 }),
    ],
    falling: [at(22, 1.8, 4.2, 4.5, { weir: 1, lockCut: 0.9, moorings: 0.8, point: 0.6 }), at(12, 2.2, 5, 6, { moorings: 1, lockCut: 0.9, breakEdge: 0.8, canal: 0.6, basinEdge: 0.7 }), at(4, 3, 6.5, 3, { lockCut: 1, moorings: 0.9, basinEdge: 0.9 })],
  },
  whiteBass: {
    rising: [at(4, 6, 11, 2, { basinEdge: 1, channelBend: 0.9 }), at(10, 1, 3.4, 8, { creekMouth: 1, weir: 0.9, point: 0.8, riprap: 0.6 }), at(15, 0.7, 2.6, 8.5, { creekMouth: 1, weir: 1, point: 0.7 }), at(24, 0.8, 5, 5, { hump: 1, point: 0.9, riprap: 0.6 })],
    falling: [at(24, 0.8, 5, 5.5, { hump: 1, point: 0.9 }), at(10, 3, 7, 4.5, { channelBend: 1, point: 0.8, hump: 0.8, basinEdge: 0.7 })],
  },
  bluegill: {
    rising: [at(5, 4, 7, 3, { basinEdge: 0.9, brush: 0.9, weedEdge: 0.5 }), at(16, 1, 2.4, 6, { flat: 1, reedStubble: 0.8, weedEdge: 0.9, dock: 0.6 }), at(22, 0.5, 1.6, 8, { flat: 1, reedStubble: 0.9, dock: 0.6, weedEdge: 0.6 }), at(26, 2, 4.6, 6, { weedEdge: 1, dock: 0.9, brush: 0.7, hump: 0.6 })],
    falling: [at(24, 2.4, 5, 5.5, { weedEdge: 1, brush: 0.8, dock: 0.6 }), at(10, 4, 6.5, 4, { weedEdge: 0.9, brush: 1, basinEdge: 0.7 })],
  },
}

/** Liking for a kind that no station names. */
const STRANGE = 0.2

/** A fish's state at a temperature of the warming or the cooling half-year, between its stations. */
export function fishState(fish: SeasonFish, waterC: number, rising: boolean): FishState {
  const stations = [...LAWS[fish][rising ? 'rising' : 'falling']].sort((a, b) => a.waterC - b.waterC)
  const above = stations.findIndex(s => s.waterC >= waterC)
  const b = stations[above === -1 ? stations.length - 1 : above]!
  const a = stations[above === -1 ? stations.length - 1 : Math.max(0, above - 1)]!
  const t = b.waterC === a.waterC ? 0 : (waterC - a.waterC) / (b.waterC - a.waterC)
  const mix = (p: number, q: number) => p + (q - p) * t
  const kinds = new Set([...Object.keys(a.likes), ...Object.keys(b.likes)] as PlaceKind[])
  return {
    topM: mix(a.topM, b.topM), bottomM: mix(a.bottomM, b.bottomM), appetite: mix(a.appetite, b.appetite),
    likes: Object.fromEntries([...kinds].map(k => [k, mix(a.likes[k] ?? STRANGE, b.likes[k] ?? STRANGE)])),
  }
}

export const likingOf = (state: FishState, kind: PlaceKind) => state.likes[kind] ?? STRANGE
