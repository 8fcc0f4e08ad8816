<script setup lang="ts">
import type { Place, PlaceOf } from '../../../core/place/kinds'
import { stepLogs, stepsOn } from '../../../core/place/stepsOn'
import { formatDepth, formatPercent } from '../../../core/units/format'
import type { RankedPlace } from '../../stores/ranking'

const props = defineProps<{ ranking: RankedPlace }>()
defineEmits<{ choose: [placeId: string] }>()
const session = useSession()
const waters = useWater()
const conditions = useConditions()
const advice = useAdvice()

const lineName = computed(() => (props.ranking.place.kind === 'brush' ? props.ranking.place.attributes.line ?? null : null))
const inLine = (p: Place): p is PlaceOf<'brush'> => p.kind === 'brush' && p.attributes.line === lineName.value && p.attributes.step !== undefined
const steps = computed(() => waters.places.filter(inLine).sort((a, b) => a.attributes.step! - b.attributes.step!))
const logs = computed(() => stepLogs({ steps: steps.value, visits: waters.record.visits, catches: waters.record.catches, fish: advice.fish, atMs: conditions.atMs }))
const belief = computed(() => advice.beliefIn(waters.deepestM, props.ranking.part))
const chances = computed(() => (logs.value.length > 1 ? stepsOn({ steps: logs.value, belief: belief.value }) : []))
const best = computed(() => chances.value.reduce<(typeof chances.value)[number] | null>((a, c) => (a && a.chance >= c.chance ? a : c), null))
</script>

<template>
  <section
    v-if="best"
    data-test="steps"
  >
    <h2>Which step of {{ lineName }} is on</h2>
    <p>Step {{ best.step }} most likely, {{ formatPercent(best.chance) }}: by the season {{ formatPercent(best.prior) }}, the rest is your last visits.</p>
    <ol>
      <li
        v-for="(c, i) in chances"
        :key="c.id"
      >
        <button
          type="button"
          :aria-current="c.id === ranking.place.id ? 'true' : undefined"
          @click="$emit('choose', c.id)"
        >
          <span>step {{ c.step }}</span>
          <span class="quiet">{{ formatDepth(steps[i]!.attributes.bottomDepthM, session.units) }}</span>
          <span class="meter"><i :style="{ width: `${c.chance * 100}%` }" /></span>
          <strong>{{ formatPercent(c.chance) }}</strong>
        </button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
button { font: inherit; font-size: 15px; color: inherit; width: 100%; background: none; border: 0; border-top: 1px solid var(--rule); display: grid; grid-template-columns: 56px 62px 1fr 44px; gap: 8px; align-items: center; text-align: left; padding: 6px 0; cursor: pointer; min-height: 36px; }
button[aria-current] span:first-child { font-weight: 750; text-decoration: underline; text-underline-offset: 3px; }
.meter { height: 9px; background: var(--tab); }
.meter i { display: block; height: 100%; background: var(--mark); }
strong { text-align: right; }
</style>
