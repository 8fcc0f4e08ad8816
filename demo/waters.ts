import type { Place } from '../core/place/kinds'
import type { DepthGrid } from '../core/water/depthGrid'
import type { Release } from '../core/place/releases'
import type { PartNote } from '../shared/weather'
import type { Quarry } from '../sim/tripSeasons'
import { PELLOWICK_ORIGIN, pellowickGrid } from './pellowick'
import { pellowickParts } from './parts'
import { pellowickMore, pellowickPlaces, riverReach } from './places'
import { TAMARROW_ORIGIN, TAMARROW_SECCHI_M, tamarrowGrid } from './tamarrow'
import { tamarrowPlaces } from './tamarrowPlaces'
import { WENNEL_ORIGIN, WENNEL_SECCHI_M, wennelGrid } from './wennel'
import { wennelPlaces } from './wennelPlaces'

/** One of the invented waters, with all that its history is grown from. */
export interface DemoWater {
  name: string
  zone: string
  origin: { lonDeg: number, latDeg: number }
  grid: (cellM?: number) => DepthGrid
  places: (grid: DepthGrid, newId: () => string) => Place[]
  parts: PartNote[]
  releases: Release[]
  secchiM: number
  quarries: Quarry[]
  /** local days of past trips */
  days: string[]
  /** between the survey's tracks, m */
  spacingM: number
}

const crappie = (black: number, meanM: number): Quarry => ({ fish: 'crappie', species: [{ species: 'blackCrappie', share: black }, { species: 'whiteCrappie', share: 1 - black }], meanM, sdM: 0.03, keeps: [0.254, 0.32] })
const only = (fish: 'yellowPerch' | 'europeanPerch' | 'whiteBass' | 'bluegill', meanM: number, sdM: number, keeps: [number, number]): Quarry => ({ fish, species: [{ species: fish, share: 1 }], meanM, sdM, keeps })

/** Two seasons of days out. */
const seasons = (...monthDays: string[]) => [2024, 2025].flatMap(year => monthDays.map(md => `${year}-${md}`))

export const PELLOWICK: DemoWater = {
  name: 'Pellowick Reservoir', zone: 'America/Chicago', origin: PELLOWICK_ORIGIN, grid: pellowickGrid, spacingM: 30, secchiM: 0.9,
  // The oldest places first: what was caught in the weeks before the demo's morning rests on their order.
  places: (grid, newId) => [...pellowickPlaces(grid, newId), ...[riverReach(grid, newId)], ...pellowickMore(grid, newId)],
  parts: pellowickParts(),
  releases: [{ weekdays: [1, 2, 3, 4, 5], from: '07:00', to: '10:00' }, { weekdays: [1, 2, 3, 4, 5], from: '16:30', to: '20:00' }],
  quarries: [crappie(0.6, 0.265)],
  days: seasons('03-23', '04-06', '04-19', '04-27', '05-11', '05-25', '06-15', '07-06', '07-27', '08-24', '09-14', '10-05', '10-26', '11-16'),
}

export const TAMARROW: DemoWater = {
  name: 'Tamarrow Lake', zone: 'America/Chicago', origin: TAMARROW_ORIGIN, grid: tamarrowGrid, places: tamarrowPlaces, spacingM: 25, secchiM: TAMARROW_SECCHI_M, parts: [], releases: [],
  quarries: [crappie(1, 0.25), only('yellowPerch', 0.215, 0.03, [0.22, 0.32]), only('bluegill', 0.17, 0.022, [0.175, 0.22])],
  days: seasons('05-04', '05-18', '06-01', '06-22', '07-13', '08-03', '08-31', '09-21', '10-12'),
}

export const WENNEL: DemoWater = {
  name: 'Wennel Water', zone: 'Europe/Amsterdam', origin: WENNEL_ORIGIN, grid: wennelGrid, places: wennelPlaces, spacingM: 20, secchiM: WENNEL_SECCHI_M, parts: [],
  releases: [{ weekdays: [1, 2, 3, 4, 5, 6, 7], from: '09:00', to: '09:40' }, { weekdays: [1, 2, 3, 4, 5, 6, 7], from: '15:00', to: '15:40' }],
  quarries: [only('europeanPerch', 0.27, 0.055, [0.28, 0.36])],
  days: seasons('03-02', '04-13', '05-25', '07-20', '09-07', '10-19', '11-23'),
}

export const DEMO_WATERS = [PELLOWICK, TAMARROW, WENNEL]
