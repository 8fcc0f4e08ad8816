<script setup lang="ts">
import { line as d3line } from 'd3'
import type { CalcField, CalcResult, Calculator } from '../../../core/rig/calculators'
import { depthUnitM, formatDepth, formatDistance, formatSmall, formatSpeed, formatTemperature, formatWeight, formatWind } from '../../../core/units/format'

const props = defineProps<{ calculator: Calculator }>()
const session = useSession()

const WIDTH = 420
const HEIGHT = 230
const PAD = { left: 34, right: 8, top: 14, bottom: 10 }
const values = reactive<Record<string, number>>({})
watch(() => props.calculator, (calculator) => {
  for (const key of Object.keys(values)) Reflect.deleteProperty(values, key)
  for (const field of calculator.fields) values[field.key] = field.value
}, { immediate: true })

function shown({ as }: CalcField, value: number): string {
  const units = session.units
  switch (as) {
    case 'depth': return formatDepth(value, units)
    case 'distance': return formatDistance(value, units)
    case 'small': return formatSmall(value, units)
    case 'weight': return formatWeight(value, units)
    case 'wind': return formatWind(value, units)
    case 'speed': return formatSpeed(value, units)
    case 'temperature': return formatTemperature(value, units)
    case 'degrees': return `${Math.round(value)}°`
    case 'count': return String(Math.round(value))
    case 'millimetres': return `${(value * 1000).toFixed(2)} mm`
    case 'grams': return `${(value * 1000).toFixed(2)} g`
  }
}
/** What cannot be is said in the calculator's own words. */
const worked = computed<{ result: CalcResult | null, problem: string | null }>(() => {
  try {
    return { result: props.calculator.work({ ...values }, session.units), problem: null }
  }
  catch (error) {
    if (error instanceof RangeError) return { result: null, problem: error.message.replace(/^\S+ is /, 'That cannot be: it is ') }
    throw error
  }
})
const view = computed(() => worked.value.result?.view ?? null)
/** One scale for both ways where it fits, so that angles are true. */
/** What stands over the water, such as a rod tip, needs room too, m. */
const aboveM = computed(() => Math.max(0, ...view.value!.lines.flatMap(l => l.points.map(p => -p.z))))
const scale = computed(() => Math.min((WIDTH - PAD.left - PAD.right) / view.value!.widthM, (HEIGHT - PAD.top - PAD.bottom) / (view.value!.depthM + aboveM.value)))
const x = (m: number) => PAD.left + m * scale.value
const y = (m: number) => PAD.top + (m + aboveM.value) * scale.value
const path = (points: { x: number, z: number }[]) => d3line<{ x: number, z: number }>().x(p => x(p.x)).y(p => y(p.z))(points) ?? ''
const ticks = computed(() => {
  const unitM = depthUnitM(session.units)
  const count = Math.floor(view.value!.depthM / unitM)
  const every = [1, 2, 5, 10, 20].find(n => count / n <= 6) ?? 20
  return Array.from({ length: Math.floor(count / every) + 1 }, (_, i) => ({ value: i * every, y: y(i * every * unitM) }))
})
const said = computed(() => worked.value.result?.said ?? worked.value.problem ?? '')
</script>

<template>
  <article
    class="calc"
    :data-test="`calc-${calculator.id}`"
  >
    <h2>{{ calculator.title }}</h2>
    <div class="fields">
      <FrameSlider
        v-for="field in calculator.fields"
        :key="field.key"
        :label="field.label"
        :model-value="values[field.key]!"
        :min="field.min"
        :max="field.max"
        :step="field.step"
        :text="shown(field, values[field.key]!)"
        @update:model-value="values[field.key] = $event"
      />
    </div>
    <p
      class="said"
      :class="{ 'tone-careful': worked.problem }"
      data-test="said"
    >
      {{ said }}
    </p>
    <div class="halves">
      <svg
        v-if="view"
        :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
        role="img"
        :aria-label="said"
      >
        <rect
          :x="PAD.left"
          :y="y(0)"
          :width="WIDTH - PAD.left - PAD.right"
          :height="HEIGHT - y(0)"
          class="water"
        />
        <rect
          v-if="view.bottomM !== null"
          :x="PAD.left"
          :y="y(view.bottomM)"
          :width="WIDTH - PAD.left - PAD.right"
          :height="Math.max(0, HEIGHT - y(view.bottomM))"
          class="ground"
        />
        <line
          :x1="PAD.left"
          :x2="WIDTH - PAD.right"
          :y1="y(0)"
          :y2="y(0)"
          class="surface"
        />
        <g
          v-for="t in ticks"
          :key="t.value"
        >
          <line
            :x1="PAD.left - 5"
            :x2="PAD.left"
            :y1="t.y"
            :y2="t.y"
            class="tick"
          />
          <text
            :x="PAD.left - 8"
            :y="t.y + 4"
            class="number"
          >{{ t.value }}</text>
        </g>
        <path
          v-for="(l, i) in view.lines"
          :key="i"
          :d="path(l.points)"
          :class="`stroke ${l.kind}`"
        />
        <circle
          v-for="(m, i) in view.marks"
          :key="`m${i}`"
          :cx="x(m.x)"
          :cy="y(m.z)"
          :r="m.kind === 'weight' ? 6 : 5"
          :class="`mark ${m.kind}`"
        />
      </svg>
      <table v-if="worked.result">
        <thead>
          <tr>
            <th
              v-for="h in worked.result.head"
              :key="h"
              scope="col"
            >
              {{ h }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="(row, i) in worked.result.rows"
            :key="i"
          >
            <td
              v-for="(cell, j) in row"
              :key="j"
            >
              {{ cell }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </article>
</template>

<style scoped>
.calc { background: var(--sheet); border: 1px solid var(--rule); border-radius: 6px; padding: 16px 20px 18px; display: flex; flex-direction: column; gap: 12px; break-inside: avoid; }
.fields { display: grid; grid-template-columns: repeat(auto-fill, minmax(190px, 1fr)); gap: 8px 22px; }
.said { font-size: 17px; line-height: 1.4; font-weight: 650; max-width: 70ch; }
.halves { display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1fr); gap: 22px; align-items: start; }
svg { width: 100%; display: block; }
.water { fill: var(--paper); }
.ground { fill: var(--sand); }
.surface { stroke: var(--ink); stroke-width: 2; }
.tick { stroke: var(--ink); }
.number { font-size: 13px; text-anchor: end; fill: var(--ink); }
.stroke { fill: none; stroke: var(--ink); stroke-width: 1.8; }
.stroke.swing { stroke: var(--mark); stroke-width: 2.4; }
.stroke.fall, .stroke.rope { stroke-dasharray: 5 4; }
.mark { fill: var(--sheet); stroke: var(--ink); stroke-width: 2.2; }
.mark.lure { fill: var(--now); stroke: var(--sheet); }
.mark.fish { fill: var(--kept); }
.mark.float { fill: var(--careful); }
table { border-collapse: collapse; font-size: 15px; width: 100%; }
th { text-align: left; font-weight: 450; color: var(--ink-2); font-size: 14px; padding-bottom: 3px; }
td { border-top: 1px solid var(--rule); padding: 4px 10px 4px 0; }
td:first-child { font-weight: 650; }
@media (max-width: 800px) { .halves { grid-template-columns: 1fr; } }
</style>
