<script setup lang="ts">
import type { RigAdvice } from '../../../core/rig/rigFor'
import { rejectionText, standOffText } from '../../../core/rig/rigReasons'
import type { SchoolKey } from '../../../core/rig/schools'
import type { TiedRig } from '../../../core/rig/tieOn'
import { formatSeconds, formatSpeed, formatWeight, formatWind } from '../../../core/units/format'
import type { RankedPlace } from '../../stores/ranking'

/** Why it is so: sentences with their figures, the heads beside one another, and the other views where they matter. */
const props = defineProps<{ ranking: RankedPlace, familyId: string, rig: RigAdvice | null, tied: TiedRig | null, /** the body's fall was counted by the angler */ counted: boolean }>()
const session = useSession()
const units = computed(() => session.units)

const reasons = computed(() => {
  const said = props.tied?.reasons ?? []
  return props.counted && props.familyId === 'castJig' ? [...said, { tone: 'plain' as const, text: 'The fall goes by your own count of this body.' }] : said
})
const table = computed(() => {
  const w = props.familyId === 'castJig' ? props.rig?.weight : null
  if (!w) return []
  return [...w.rejected.map(r => ({ ...r, verdict: rejectionText(r.because), best: false })),
    ...w.alsoGood.map(g => ({ ...g, verdict: 'heavier than it needs to be', best: false })),
    ...(w.choice ? [{ ...w.choice, verdict: 'tie this', best: true }] : [])].sort((a, b) => a.massKg - b.massKg)
})
/** The questions that bear on this rig, here, today. */
const questions = computed<SchoolKey[]>(() => {
  const { rig } = props
  if (!rig) return []
  const { kind } = props.ranking.place
  return [
    ...(rig.mood === 'torpid' || rig.mood === 'slow' ? ['coldSize' as const] : []), ...(kind === 'dock' ? ['dockRetrieve' as const] : []), 'line' as const,
    ...(props.familyId === 'lipless' ? ['noise' as const] : []), ...(rig.standOff.because === 'deepStained' || rig.standOff.because === 'farAlways' ? ['overDeep' as const] : []),
  ]
})
</script>

<template>
  <section
    class="why"
    aria-label="Why"
    tabindex="0"
  >
    <h1>Why</h1>
    <ul data-test="why">
      <li
        v-for="(reason, i) in reasons"
        :key="i"
        :class="`bar-${reason.tone}`"
      >
        {{ reason.text }}
      </li>
      <li
        v-if="rig && tied?.scene.mode !== 'bottom'"
        class="bar-plain"
      >
        {{ standOffText(rig.standOff, units) }}
      </li>
    </ul>
    <div
      v-if="questions.length > 0"
      class="schools"
    >
      <RigSchool
        v-for="q in questions"
        :key="q"
        :question="q"
      />
    </div>
    <template v-if="table.length">
      <h2>Every head you carry</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">
              head
            </th>
            <th scope="col">
              felt to
            </th>
            <th scope="col">
              count
            </th>
            <th scope="col">
              level at
            </th>
          </tr>
        </thead>
        <tbody>
          <template
            v-for="row in table"
            :key="row.massKg"
          >
            <tr :class="{ best: row.best }">
              <th scope="row">
                {{ formatWeight(row.massKg, units) }}
              </th>
              <td>{{ formatWind(row.windLimitMS, units) }}</td>
              <td>{{ formatSeconds(row.fallS) }}</td>
              <td>{{ formatSpeed(row.holdSpeedMS, units).replace(' a second', '/s') }}</td>
            </tr>
            <tr class="verdict">
              <td colspan="4">
                {{ row.verdict }}
              </td>
            </tr>
          </template>
        </tbody>
      </table>
    </template>
    <p class="quiet">
      Lead is banned in small sizes on some waters: check the local rules.
    </p>
  </section>
</template>

<style scoped>
.why { contain: content; background: var(--sheet); border-left: 1px solid var(--ink); padding: 14px 18px; overflow-y: auto; display: flex; flex-direction: column; gap: 12px; min-height: 0; }
.why > * { flex: none; }
.why li { border-left: 3px solid var(--rule); padding: 2px 0 2px 11px; margin-bottom: 10px; font-size: 15px; line-height: 1.42; }
.why li.bar-now { border-color: var(--now); }
.why li.bar-careful { border-color: var(--careful); }
.schools { display: flex; flex-direction: column; gap: 8px; border-top: 1px solid var(--rule); border-bottom: 1px solid var(--rule); padding: 8px 0; }
table { border-collapse: collapse; font-size: 14px; width: 100%; }
thead th { font-weight: 450; color: var(--ink-2); text-align: right; padding-bottom: 4px; }
thead th:first-child, tbody th { text-align: left; }
tbody th { font-weight: 700; }
tbody td { text-align: right; white-space: nowrap; }
tbody tr:not(.verdict) > * { border-top: 1px solid var(--rule); padding-top: 5px; }
tr.verdict td { text-align: left; color: var(--ink-2); font-size: 13.5px; padding-bottom: 5px; }
tr.best > * { color: var(--now); }
@media (max-width: 1100px) { .why { border-left: 0; border-top: 1px solid var(--ink); } }
@media (max-width: 700px) { .why { overflow: visible; contain: none; } }
</style>
