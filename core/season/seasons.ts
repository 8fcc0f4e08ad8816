import type { Species } from '../fish/species'
import type { Phase, PhasePrior } from './phases'

/** Kinds of fish whose year runs differently. */
export const SEASON_FISH = ['crappie', 'yellowPerch', 'europeanPerch', 'whiteBass', 'bluegill'] as const
export type SeasonFish = (typeof SEASON_FISH)[number]

const ft = (a: number, b: number): [number, number] => [a * 0.3048, b * 0.3048]

/** The phases of each fish's year in order, from the field handbook's tables (temperatures rounded as there). */
export const SEASONS: Record<SeasonFish, readonly PhasePrior[]> = {
  crappie: [
    { phase: 'winter', name: 'winter', waterC: [-2, 7], direction: 'either', half: null, depthM: ft(18, 32), mood: 'torpid', fishPerHour: 1.2, meaning: 'In the basins and the deepest brush, hardly moving. Small, slow, still.' },
    { phase: 'staging', name: 'staging', waterC: [7, 10], direction: 'rising', half: 'warming', depthM: ft(6, 12), mood: 'slow', fishPerHour: 2.0, meaning: 'Hanging off the first steep break outside the spawning ground, in roaming schools. Bigger fish ride higher.' },
    { phase: 'preSpawn', name: 'pre-spawn', waterC: [10, 14.2], direction: 'rising', half: 'warming', depthM: ft(6, 10), mood: 'steady', fishPerHour: 3.0, meaning: 'Gathered beside the spawning ground, the most willing they will be all year. A bait that hangs still does best.' },
    { phase: 'spawn', name: 'on the beds', waterC: [14.2, 20], direction: 'rising', half: 'warming', depthM: ft(1, 5), mood: 'steady', fishPerHour: 2.2, meaning: 'On the beds in the shallows. Males guard: fish lightly, or leave them alone.' },
    { phase: 'postSpawn', name: 'post-spawn', waterC: [19, 23], direction: 'rising', half: 'warming', depthM: ft(3, 9), mood: 'slow', fishPerHour: 1.5, meaning: 'Sliding back to docks and shade near the bays. Bites come on the fall; the females are thin.' },
    { phase: 'earlySummer', name: 'early summer', waterC: [20, 24], direction: 'rising', half: 'warming', depthM: ft(9, 15), mood: 'keen', fishPerHour: 2.0, meaning: 'Along the deep weed edge and on weedy humps. Search lures find them; wind groups them.' },
    { phase: 'summer', name: 'summer', waterC: [24, 30], direction: 'either', half: null, depthM: ft(8, 14), mood: 'steady', fishPerHour: 1.6, meaning: 'High in the crowns of brush and timber over deep water. They follow without taking.' },
    { phase: 'lateSummer', name: 'late summer', waterC: [25, 31], direction: 'falling', half: 'cooling', depthM: ft(6, 10), mood: 'slow', fishPerHour: 0.8, meaning: 'Same brush, nervous. Keep far off, go small, change fast and move often.' },
    { phase: 'fallTransition', name: 'fall transition', waterC: [15, 25], direction: 'falling', half: 'cooling', depthM: ft(14, 22), mood: 'steady', fishPerHour: 1.6, meaning: 'Scattered near the bottom between the deep brush. A bait that drops fast gets the bite.' },
    { phase: 'fall', name: 'fall', waterC: [8.5, 15.5], direction: 'falling', half: 'cooling', depthM: ft(9, 17), mood: 'steady', fishPerHour: 2.0, meaning: 'Steady in the brush and along the channel edges.' },
  ],
  yellowPerch: [
    { phase: 'winter', name: 'deep winter', waterC: [-2, 6], direction: 'either', half: null, depthM: ft(15, 40), mood: 'torpid', fishPerHour: 1.5, meaning: 'On the bottom and slow to rise. A bait that stays still five seconds and longer; one feeding spell, most often early in the afternoon.' },
    { phase: 'preSpawn', name: 'pre-spawn', waterC: [6, 9], direction: 'rising', half: 'warming', depthM: ft(4, 10), mood: 'slow', fishPerHour: 3.0, meaning: 'The fattest of the year, in shallow bays with last year\'s weed. The best time for a large one.' },
    { phase: 'spawn', name: 'spawning', waterC: [7, 12], direction: 'rising', half: 'warming', depthM: ft(3, 8), mood: 'slow', fishPerHour: 1.5, meaning: 'On weed, twigs and flooded brush.' },
    { phase: 'postSpawn', name: 'after the spawn', waterC: [12, 16], direction: 'rising', half: 'warming', depthM: ft(6, 15), mood: 'steady', fishPerHour: 1.8, meaning: 'Spreading out from the bays along the first weed.' },
    { phase: 'summer', name: 'spread out', waterC: [15, 23], direction: 'either', half: null, depthM: ft(8, 20), mood: 'keen', fishPerHour: 2.2, meaning: 'Spread out and hunting, near shoals of small fish and along structure. Fast lures.' },
    { phase: 'lateSummer', name: 'high summer', waterC: [22, 30], direction: 'either', half: null, depthM: ft(15, 30), mood: 'steady', fishPerHour: 1.2, meaning: 'Down where the water is cooler, as far as the air in it lasts.' },
    { phase: 'fall', name: 'autumn', waterC: [6, 14.5], direction: 'falling', half: 'cooling', depthM: ft(20, 55), mood: 'steady', fishPerHour: 2.4, meaning: 'Regrouping, slower; deep schools on big water. Drift and cover ground.' },
  ],
  europeanPerch: [
    { phase: 'winter', name: 'deep winter', waterC: [-2, 6], direction: 'either', half: null, depthM: [4, 10], mood: 'torpid', fishPerHour: 1.0, meaning: 'On the bottom, hardly rising more than a hand. A lure that stays still five to ten seconds; one feeding spell, most often early in the afternoon.' },
    { phase: 'preSpawn', name: 'pre-spawn', waterC: [6, 10], direction: 'rising', half: 'warming', depthM: [1, 2.5], mood: 'slow', fishPerHour: 2.2, meaning: 'The fattest of the year, in weedy bays one to two metres deep with last year\'s weed. The best time for a record.' },
    { phase: 'spawn', name: 'spawning', waterC: [8, 15], direction: 'rising', half: 'warming', depthM: [0.8, 2.5], mood: 'slow', fishPerHour: 1.0, meaning: 'On weed, twigs and flooded brush.' },
    { phase: 'postSpawn', name: 'after the spawn', waterC: [13, 17], direction: 'rising', half: 'warming', depthM: [1.5, 4], mood: 'steady', fishPerHour: 1.6, meaning: 'Spreading out from the bays along the first weed.' },
    { phase: 'summer', name: 'spread out', waterC: [15, 22.5], direction: 'either', half: null, depthM: [1.5, 5], mood: 'fast', fishPerHour: 2.0, meaning: 'Spread out and hunting: structure, current, air (weirs, lock cuts), near shoals of small fish. Fast lures.' },
    { phase: 'lateSummer', name: 'high summer', waterC: [22, 30], direction: 'either', half: null, depthM: [3, 7], mood: 'steady', fishPerHour: 1.1, meaning: 'Where there is current, shade or cooler water with air in it.' },
    { phase: 'fall', name: 'autumn', waterC: [6, 14.5], direction: 'falling', half: 'cooling', depthM: [4, 12], mood: 'steady', fishPerHour: 2.0, meaning: 'Regrouping over deeper ground, slower each week.' },
  ],
  whiteBass: [
    { phase: 'winter', name: 'winter', waterC: [-2, 7], direction: 'either', half: null, depthM: ft(20, 40), mood: 'slow', fishPerHour: 1.0, meaning: 'In tight schools on the bottom of the main basin and its channel.' },
    { phase: 'staging', name: 'running up', waterC: [7, 12.5], direction: 'rising', half: 'warming', depthM: ft(4, 12), mood: 'keen', fishPerHour: 4.0, meaning: 'Moving up the river and creeks, the same reaches as every year, and feeding hard. Easy to overfish: mind the limit.' },
    { phase: 'spawn', name: 'spawning run', waterC: [12.2, 20], direction: 'rising', half: 'warming', depthM: ft(2, 8), mood: 'keen', fishPerHour: 4.0, meaning: 'On the shoals of the river. Easy to overfish: mind the limit.' },
    { phase: 'postSpawn', name: 'dropping back', waterC: [19, 23], direction: 'rising', half: 'warming', depthM: ft(5, 15), mood: 'steady', fishPerHour: 2.0, meaning: 'Back down to the river\'s mouth and the points beside it.' },
    { phase: 'summer', name: 'open water', waterC: [22, 31], direction: 'either', half: null, depthM: ft(2, 20), mood: 'fast', fishPerHour: 2.5, meaning: 'Chasing shad in open water, often at the surface: a boil lasts minutes. Dawn and dusk lead; keep to its outer edge.' },
    { phase: 'fall', name: 'fall schools', waterC: [7, 22], direction: 'falling', half: 'cooling', depthM: ft(6, 25), mood: 'keen', fishPerHour: 2.5, meaning: 'Chasing shad over humps and off points, deeper as it cools. Watch for birds.' },
  ],
  bluegill: [
    { phase: 'winter', name: 'winter', waterC: [-2, 10], direction: 'either', half: null, depthM: ft(12, 25), mood: 'torpid', fishPerHour: 1.5, meaning: 'Tight, low schools near the bottom of the basin.' },
    { phase: 'preSpawn', name: 'pre-spawn', waterC: [12, 19.5], direction: 'rising', half: 'warming', depthM: ft(3, 8), mood: 'steady', fishPerHour: 3.0, meaning: 'Moving into the warm shallows beside the beds.' },
    { phase: 'spawn', name: 'on the beds', waterC: [19.4, 26.7], direction: 'rising', half: 'warming', depthM: ft(1, 5), mood: 'keen', fishPerHour: 3.5, meaning: 'In colonies of beds in the shallows. Take a few and leave the guarding males.' },
    { phase: 'summer', name: 'summer', waterC: [24, 32], direction: 'either', half: null, depthM: ft(6, 16), mood: 'steady', fishPerHour: 2.5, meaning: 'Along the weed edge and under docks; the larger ones deeper.' },
    { phase: 'fall', name: 'fall', waterC: [10, 24], direction: 'falling', half: 'cooling', depthM: ft(8, 20), mood: 'steady', fishPerHour: 2.2, meaning: 'Drawing back to the deep weed edge and brush.' },
  ],
}

const NAMES: Record<SeasonFish, string> = { crappie: 'crappie', yellowPerch: 'yellow perch', europeanPerch: 'European perch', whiteBass: 'white bass', bluegill: 'bluegill' }
export const seasonFishName = (fish: SeasonFish) => NAMES[fish]

/** Whose year a species follows; null for one that has no table of its own. */
export function seasonOf(species: Species): SeasonFish | null {
  switch (species) {
    case 'blackCrappie': case 'whiteCrappie': return 'crappie'
    case 'yellowBass': return null
    default: return species
  }
}

/** Water a fish is at ease in, °C: in summer it keeps to the layer that has it. Priors from practice. */
export const COMFORT_C: Record<SeasonFish, [number, number]> = { crappie: [18, 27], yellowPerch: [15, 23], europeanPerch: [14, 22], whiteBass: [17, 27], bluegill: [19, 29] }

const BY_PHASE = Object.fromEntries(SEASON_FISH.map(fish => [fish, new Map(SEASONS[fish].map(p => [p.phase, p]))])) as Record<SeasonFish, Map<Phase, PhasePrior>>

/** A phase of a fish's year, or undefined where its year has none of that name. */
export const phaseOf = (fish: SeasonFish, phase: Phase) => BY_PHASE[fish].get(phase)
