<script setup lang="ts">
import { scaleLinear } from 'd3'
import { compassPoint, formatDepth, formatDistance, formatWind } from '../../../core/units/format'
import type { RankedPlace } from '../../stores/ranking'

const props = defineProps<{ ranking: RankedPlace }>()
const session = useSession()
const rows = useWindDay(() => props.ranking)

const WIDTH = 334
const HEIGHT = 128
const BASE = 84
const PAD = 8
const SIDES = { calm: 'Calm', lee: 'In the lee', across: 'Part open to the wind', into: 'Blown into' }

const limitM = computed(() => session.angler?.waveLimitM ?? 0.3)
const step = computed(() => (WIDTH - 2 * PAD) / rows.value.length)
const y = computed(() => scaleLinear([0, Math.max(limitM.value * 1.25, ...rows.value.map(r => r.waveM))], [BASE, 12]))
const now = computed(() => rows.value.find(r => r.now) ?? rows.value[0]!)
const worst = computed(() => rows.value.reduce((a, b) => (b.waveM > a.waveM ? b : a)))
const overs = computed(() => rows.value.filter(r => r.over))
const said = computed(() => {
  const { windMS, windFromDeg, fetchM, side, hour } = now.value
  const here = `${SIDES[side]}${side === 'calm' ? '' : `: ${formatWind(windMS, session.units)} from the ${compassPoint(windFromDeg)} over ${formatDistance(fetchM, session.units)} of water`} at ${hour}:00.`
  const high = `Highest waves ${formatDepth(worst.value.waveM, session.units)} at ${worst.value.hour}:00`
  return `${here} ${high}${overs.value.length ? `, over your limit of ${formatDepth(limitM.value, session.units)} from ${overs.value[0]!.hour}:00 to ${overs.value.at(-1)!.hour + 1}:00.` : ', within your limit.'}`
})
</script>

<template>
  <figure
    class="wind"
    data-test="wind-day"
  >
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="img"
      :aria-label="said"
    >
      <rect
        v-for="(r, i) in rows"
        :key="r.hour"
        :x="PAD + i * step + 2"
        :y="Math.min(BASE - 1, y(r.waveM))"
        :width="step - 4"
        :height="Math.max(1, BASE - y(r.waveM))"
        :class="['wave', { over: r.over, now: r.now, unknown: !r.known }]"
      />
      <line
        :x1="PAD"
        :x2="WIDTH - PAD"
        :y1="y(limitM)"
        :y2="y(limitM)"
        class="limit"
      />
      <text
        :x="PAD"
        :y="y(limitM) - 4"
        class="word"
      >your limit, {{ formatDepth(limitM, session.units) }}</text>
      <line
        :x1="PAD"
        :x2="WIDTH - PAD"
        :y1="BASE"
        :y2="BASE"
        class="base"
      />
      <g
        v-for="(r, i) in rows"
        :key="`w${r.hour}`"
      >
        <path
          :transform="`translate(${PAD + (i + 0.5) * step}, 98) rotate(${r.windFromDeg}) scale(${Math.min(1, 0.45 + r.windMS / 12)})`"
          d="M0,-8 V8 M-4,3 L0,8 L4,3"
          :class="r.side === 'lee' || r.side === 'calm' ? 'arrow lee' : 'arrow'"
        />
        <text
          v-if="r.hour % 3 === 0"
          :x="PAD + (i + 0.5) * step"
          :y="HEIGHT - 5"
          class="word middle"
        >{{ r.hour }}</text>
      </g>
    </svg>
    <figcaption data-test="wind-words">
      {{ said }}
    </figcaption>
  </figure>
</template>

<style scoped>
.wind { margin: 0; }
svg { display: block; width: 100%; }
.wave { fill: var(--mark-3); }
.wave.now { fill: var(--mark); }
.wave.over { fill: var(--careful); }
.wave.unknown { fill-opacity: 0.4; }
.limit { stroke: var(--careful); stroke-width: 1.5; stroke-dasharray: 6 3; }
.base { stroke: var(--ink); }
.word { font-size: 13px; fill: var(--ink-2); }
.word.middle { text-anchor: middle; }
.arrow { fill: none; stroke: var(--ink); stroke-width: 2; }
.arrow.lee { stroke: var(--ink-2); stroke-opacity: 0.6; }
</style>
