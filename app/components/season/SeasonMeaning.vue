<script setup lang="ts">
import { MOOD_WORDS } from '../../utils/moodWords'
import { chaseSpeed } from '../../../core/rig/mood'
import { seasonFishName, type SeasonFish } from '../../../core/season/seasons'
import { formatDepthBand, formatPercent, formatSpeed, formatTemperatureDifference } from '../../../core/units/format'

const props = defineProps<{ fish: SeasonFish, part: number }>()
const session = useSession()
const season = useSeason()
const phases = usePhases()

const advice = useAdvice()
const shares = computed(() => (season.model ? advice.phasesOf(props.fish, props.part) : null))
const first = computed(() => shares.value?.[0] ?? null)
const others = computed(() => shares.value?.slice(1, 3).filter(s => s.probability >= 0.03) ?? [])
const where = computed(() => season.model?.names[props.part] ?? '')
const shift = computed(() => {
  const { shiftC, schools } = phases.shift
  return props.fish === 'crappie' && schools > 0 && Math.abs(shiftC) >= 0.2
    ? `By your ${schools} logged schools the phases run ${formatTemperatureDifference(shiftC, session.units)} ${shiftC < 0 ? 'cooler' : 'warmer'} here than usual.`
    : null
})
</script>

<template>
  <section
    v-if="first"
    class="meaning"
    data-test="season-meaning"
  >
    <p class="quiet">
      {{ seasonFishName(fish) }}, {{ where }}
    </p>
    <h2>{{ first.prior.name }} {{ formatPercent(first.probability) }}</h2>
    <p
      v-if="others.length"
      class="quiet"
    >
      or {{ others.map(o => `${o.prior.name} ${formatPercent(o.probability)}`).join(', ') }}
    </p>
    <p class="said">
      {{ first.prior.meaning }}
    </p>
    <dl>
      <dt>how deep</dt>
      <dd>{{ formatDepthBand(first.prior.depthM[0], first.prior.depthM[1], session.units) }}</dd>
      <dt>mood</dt>
      <dd>{{ MOOD_WORDS[first.prior.mood] }}: they chase up to {{ formatSpeed(chaseSpeed(first.prior.mood), session.units) }}</dd>
    </dl>
    <p
      v-if="shift"
      class="quiet"
    >
      {{ shift }}
    </p>
  </section>
</template>

<style scoped>
h2 { color: var(--now); font-size: 20px; }
.said { margin: 6px 0 8px; line-height: 1.4; }
dl { display: grid; grid-template-columns: auto 1fr; gap: 2px 12px; font-size: 14.5px; }
dt { color: var(--ink-2); }
dd { font-weight: 600; }
</style>
