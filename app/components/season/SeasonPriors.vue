<script setup lang="ts">
import { SEASONS, seasonFishName, type SeasonFish } from '../../../core/season/seasons'
import type { Phase } from '../../../core/season/phases'

const props = defineProps<{ fish: SeasonFish, part: number }>()
const session = useSession()
const season = useSeason()
const weather = useWeather()
const waters = useWater()
const phases = usePhases()

const us = computed(() => session.units === 'us')
const shown = (c: number) => Number((us.value ? c * 1.8 + 32 : c).toFixed(us.value ? 0 : 1))
const read = (text: string) => {
  const value = Number(text.trim().replace(',', '.'))
  return us.value ? (value - 32) / 1.8 : value
}
const problem = ref<string | null>(null)
const rows = computed(() => phases.seasons[props.fish].map(p => ({
  phase: p.phase, name: p.name, from: shown(p.waterC[0]), to: shown(p.waterC[1]), own: weather.notes.priors.some(n => n.fish === props.fish && n.phase === p.phase),
})))

async function keep(change: () => void | Promise<void>) {
  problem.value = null
  try {
    await change()
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
const without = (phase: Phase) => weather.notes.priors.filter(n => !(n.fish === props.fish && n.phase === phase))
function set(phase: Phase, end: 'from' | 'to', event: Event) {
  const now = phases.seasons[props.fish].find(p => p.phase === phase)!.waterC
  const value = read((event.target as HTMLInputElement).value)
  const [fromC, toC] = end === 'from' ? [value, now[1]] : [now[0], value]
  return keep(async () => {
    if (!(fromC >= -2 && toC <= 45 && fromC < toC)) throw new RangeError('the first temperature must be below the second, and both of open water')
    await weather.setNotes({ ...weather.notes, priors: [...without(phase), { fish: props.fish, phase, fromC, toC }] })
  })
}
const back = (phase: Phase) => keep(() => weather.setNotes({ ...weather.notes, priors: without(phase) }))

const part = computed(() => season.parts[props.part])
const note = computed(() => weather.notes.parts.find((n) => {
  const { x, y } = waters.frame!.toLocal(n.lonDeg, n.latDeg)
  return season.partAt({ x, y }) === props.part
}))
function setPart(change: { name?: string, inflowM3S?: number, river?: boolean }) {
  const at = part.value
  if (!at) return
  const before = note.value ?? { ...waters.frame!.toLonLat(at.x, at.y), name: season.model!.names[props.part]!, secchiM: null, inflowM3S: 0, river: false }
  return keep(async () => {
    const next = { ...before, ...change }
    if (next.name.trim() === '') throw new RangeError('a part needs a name')
    await weather.setNotes({ ...weather.notes, parts: [...weather.notes.parts.filter(n => n !== note.value), next] })
  })
}
/** Streams by eye; m³/s stand behind the words. */
const STREAMS = [{ title: 'none', value: 0 }, { title: 'a trickle', value: 0.05 }, { title: 'a creek', value: 0.4 }, { title: 'a river', value: 1.6 }, { title: 'a strong river', value: 8 }]
const streams = computed(() => (STREAMS.some(s => s.value === (note.value?.inflowM3S ?? 0)) ? STREAMS : [...STREAMS, { title: `${note.value!.inflowM3S} m³/s`, value: note.value!.inflowM3S }]))
</script>

<template>
  <details class="priors">
    <summary>Set what you know better</summary>
    <div
      v-if="part"
      class="part"
    >
      <v-text-field
        :model-value="season.model?.names[props.part]"
        label="name of this part"
        @change="setPart({ name: ($event.target as HTMLInputElement).value })"
      />
      <v-select
        :model-value="note?.inflowM3S ?? 0"
        :items="streams"
        label="stream that runs in"
        @update:model-value="setPart({ inflowM3S: $event })"
      />
      <label class="check"><input
        type="checkbox"
        :checked="note?.river ?? false"
        @change="setPart({ river: ($event.target as HTMLInputElement).checked })"
      > white bass run up it</label>
    </div>
    <table>
      <caption>Water in which each phase of {{ seasonFishName(fish) }} runs here, °{{ us ? 'F' : 'C' }}</caption>
      <tbody>
        <tr
          v-for="row in rows"
          :key="row.phase"
        >
          <th scope="row">
            {{ row.name }}
          </th>
          <td>
            <input
              :value="row.from"
              inputmode="decimal"
              :aria-label="`${row.name} from`"
              @change="set(row.phase, 'from', $event)"
            > to <input
              :value="row.to"
              inputmode="decimal"
              :aria-label="`${row.name} to`"
              @change="set(row.phase, 'to', $event)"
            >
          </td>
          <td>
            <button
              v-if="row.own"
              type="button"
              class="undo"
              @click="back(row.phase)"
            >
              as in the handbook
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      {{ problem }}
    </p>
    <p class="quiet">
      {{ SEASONS[fish].length }} phases; they overlap, and a temperature is never a hard line.
    </p>
  </details>
</template>

<style scoped>
summary { font-weight: 700; cursor: pointer; padding: 6px 0; }
.part { display: grid; gap: 10px; padding: 8px 0 12px; }
.check { font-size: 15px; display: flex; gap: 8px; align-items: center; min-height: 32px; }
caption { text-align: left; font-size: 13.5px; color: var(--ink-2); padding-bottom: 4px; }
table { border-collapse: collapse; font-size: 14px; width: 100%; }
th { text-align: left; font-weight: 600; padding: 3px 8px 3px 0; }
input[inputmode] { width: 52px; font: inherit; padding: 3px 5px; border: 1px solid var(--ink-2); border-radius: 4px; background: var(--sheet); color: var(--ink); text-align: right; }
.undo { font: inherit; font-size: 13px; background: none; border: 0; text-decoration: underline; cursor: pointer; color: var(--ink); }
</style>
