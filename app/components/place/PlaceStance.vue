<script setup lang="ts">
import { stanceText, eighth } from '../../../core/place/stanceText'
import { CURRENT_SIDES } from '../../../core/place/stance'
import { STILL_MS } from '../../../core/place/placeFactors'
import { formatDistance, formatWind, formatSpeed } from '../../../core/units/format'
import type { RankedPlace } from '../../stores/ranking'
import { boatHull } from '../../utils/boatHull'

const props = defineProps<{ ranking: RankedPlace, printed?: boolean }>()
defineEmits<{ look: [] }>()
const session = useSession()
const conditions = useConditions()
const { stance, target, outline, packed, currentMS } = useStance(() => props.ranking)

const SIZE = 320
const MARGIN_M = 9
const NICE_M = { us: [10, 20, 30, 50, 100].map(ft => ft * 0.3048), metric: [2, 5, 10, 20, 30] }
const SIDES = { up: 'up-current', slack: 'slack side' }
const problem = ref<string | null>(null)

const words = computed(() => stance.value && stanceText(stance.value, session.units))
/** Metres either way of the picture's middle, between target and boat. */
const reach = computed(() => (stance.value ? stance.value.distanceM / 2 + Math.max(MARGIN_M, (stance.value.casts[0]!.distanceM - stance.value.distanceM) * 1.6) : 20))
const middle = computed(() => ({ x: (stance.value!.hold.x + target.value!.x) / 2, y: (stance.value!.hold.y + target.value!.y) / 2 }))
const px = computed(() => SIZE / (2 * reach.value))
const at = (p: { x: number, y: number }) => ({ x: SIZE / 2 + (p.x - middle.value.x) * px.value, y: SIZE / 2 - (p.y - middle.value.y) * px.value })
const line = (list: { x: number, y: number }[]) => list.map(at).map(({ x, y }, i) => `${i ? 'L' : 'M'}${x.toFixed(1)},${y.toFixed(1)}`).join('')
const casts = computed(() => stance.value!.casts.map(({ towardDeg, distanceM }) => {
  const rad = (towardDeg * Math.PI) / 180
  return line([stance.value!.hold, { x: stance.value!.hold.x + Math.sin(rad) * distanceM, y: stance.value!.hold.y + Math.cos(rad) * distanceM }])
}))
const scale = computed(() => {
  const m = NICE_M[session.units].filter(v => v * px.value < SIZE * 0.34).at(-1) ?? NICE_M[session.units][0]!
  return { width: m * px.value, text: formatDistance(m, session.units) }
})
const runs = computed(() => (currentMS.value ?? 0) >= STILL_MS)

async function prefer(currentSide: 'up' | 'slack') {
  try {
    await session.set({ currentSide })
    problem.value = null
  }
  catch (error) {
    problem.value = `Not saved: ${error instanceof Error ? error.message : String(error)}`
  }
}
</script>

<template>
  <figure
    class="stance"
    data-test="stance"
  >
    <p
      v-if="!stance || !words"
      class="tone-careful"
    >
      The chart has no water to float on round this place.
    </p>
    <template v-else>
      <svg
        :viewBox="`0 0 ${SIZE} ${SIZE}`"
        role="img"
        :aria-label="`Plan, north up. ${words.hold} ${words.bow}`"
      >
        <rect
          :width="SIZE"
          :height="SIZE"
          class="water"
        />
        <path
          v-if="outline.length > 1"
          :d="line(outline)"
          class="bed"
        />
        <path
          v-if="stance.drift"
          :d="line(stance.drift)"
          class="drift"
        />
        <path
          v-for="(d, i) in casts"
          :key="i"
          :d="d"
          :class="i === 0 ? 'cast first' : 'cast'"
        />
        <g v-if="stance.anchor">
          <path
            :d="line([stance.anchor, stance.hold])"
            class="rope"
          />
          <path
            class="anchor"
            :transform="`translate(${at(stance.anchor).x}, ${at(stance.anchor).y})`"
            d="M0,-8 V7 M-6,2 C-5,8 5,8 6,2 M-3,-5 H3"
          />
        </g>
        <g :transform="`translate(${at(target!).x}, ${at(target!).y})`">
          <circle
            r="7"
            class="target"
          />
          <circle
            r="2"
            class="target-dot"
          />
        </g>
        <path
          :d="boatHull(px)"
          :transform="`translate(${at(stance.hold).x}, ${at(stance.hold).y}) rotate(${stance.bowDeg})`"
          class="boat"
          data-test="boat"
        />
        <g
          class="arrow"
          :transform="`translate(34, 40) rotate(${conditions.now.windFromDeg})`"
        ><path d="M0,-20 V18 M-6,9 L0,19 L6,9" /></g>
        <text
          x="34"
          y="80"
          class="word"
        >{{ formatWind(conditions.now.windMS, session.units) }}</text>
        <g
          v-if="runs"
          class="arrow flow"
          :transform="`translate(${SIZE - 34}, 46) rotate(${ranking.place.attributes.currentTowardDeg! + 180})`"
        ><path d="M-5,-18 V14 M5,-18 V14 M-9,6 L0,19 L9,6" /></g>
        <text
          v-if="runs"
          :x="SIZE - 8"
          y="84"
          class="word end"
        >{{ formatSpeed(currentMS!, session.units) }}</text>
        <g :transform="`translate(12, ${SIZE - 14})`">
          <path
            :d="`M0,-5 V0 H${scale.width} V-5`"
            class="scale"
          />
          <text
            :x="scale.width + 6"
            y="2"
            class="word start"
          >{{ scale.text }}</text>
        </g>
        <text
          :x="SIZE - 12"
          :y="SIZE - 12"
          class="word end"
        >north up</text>
      </svg>
      <figcaption>
        <p data-test="stance-words">
          {{ words.hold }} {{ words.bow }}
        </p>
        <p v-if="packed">
          The wind packs the {{ eighth((conditions.now.windFromDeg + 180) % 360) }} end of it; they may lie up to {{ formatDistance(Math.max(0.5, packed.pushedM), session.units) }} off.
        </p>
        <p
          v-if="words.caution"
          class="tone-careful"
        >
          {{ words.caution }}
        </p>
        <p class="quiet">
          {{ words.anchor }} {{ words.drift }}
        </p>
        <div
          v-if="!printed"
          class="row"
        >
          <button
            type="button"
            class="chip"
            @click="$emit('look')"
          >
            See it on the chart
          </button>
          <template v-if="runs">
            <button
              v-for="s in CURRENT_SIDES"
              :key="s"
              type="button"
              class="chip"
              :aria-pressed="session.angler?.currentSide === s"
              @click="prefer(s)"
            >
              {{ SIDES[s] }}
            </button>
          </template>
        </div>
        <p
          v-if="problem"
          role="alert"
          class="tone-now"
        >
          {{ problem }}
        </p>
      </figcaption>
    </template>
  </figure>
</template>

<style scoped>
.stance { margin: 0; }
svg { display: block; width: 100%; max-width: 340px; border: 1px solid var(--rule); }
.water { fill: var(--paper); }
.bed { fill: var(--weed-1); fill-opacity: 0.7; stroke: var(--kept); stroke-width: 2; }
.drift { fill: none; stroke: var(--mark); stroke-width: 2; stroke-dasharray: 9 5; }
.cast { fill: none; stroke: var(--ink); stroke-width: 1; stroke-dasharray: 2 3; }
.cast.first { stroke-width: 2.2; stroke-dasharray: none; }
.rope { fill: none; stroke: var(--ink-2); stroke-width: 1.6; stroke-dasharray: 1 3; }
.anchor { fill: none; stroke: var(--ink); stroke-width: 2.2; }
.target { fill: var(--sheet); stroke: var(--now); stroke-width: 3; }
.target-dot { fill: var(--now); }
.boat { fill: var(--sheet); stroke: var(--ink); stroke-width: 2.4; stroke-linejoin: round; }
.arrow { fill: none; stroke: var(--ink); stroke-width: 2.6; }
.flow { stroke: var(--mark); }
.word { font-size: 13.5px; font-weight: 650; fill: var(--ink); text-anchor: middle; paint-order: stroke; stroke: var(--paper); stroke-width: 3px; }
.word.end { text-anchor: end; }
.word.start { text-anchor: start; }
.scale { fill: none; stroke: var(--ink); stroke-width: 2; }
figcaption { padding-top: 6px; display: flex; flex-direction: column; gap: 5px; }
.row { display: flex; flex-wrap: wrap; gap: 6px; }
</style>
