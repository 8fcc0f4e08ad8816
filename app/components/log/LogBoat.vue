<script setup lang="ts">
import type { Place } from '../../../core/place/kinds'
import { compassPoint, formatDepth, formatDistance, formatTemperature, formatWind } from '../../../core/units/format'

/** What the boat's instruments say just now, in one line; nothing old is shown. */
const props = defineProps<{ place: Place | null }>()
const session = useSession()
const waters = useWater()
const boat = useBoat()

const off = computed(() => {
  if (!boat.position || !props.place || !waters.frame) return null
  const [a, b] = [waters.frame.toLocal(boat.position.lonDeg, boat.position.latDeg), waters.frame.toLocal(props.place.lonDeg, props.place.latDeg)]
  return `${formatDistance(Math.hypot(a.x - b.x, a.y - b.y), session.units)} off the mark`
})
const says = computed(() => {
  const { now } = boat
  if (!now) return []
  const { units } = session
  return [
    now.depthM === null ? 'no bottom' : formatDepth(now.depthM, units), now.waterC === null ? null : formatTemperature(now.waterC, units),
    now.windMS === null ? null : `${formatWind(now.windMS, units)}${now.windFromDeg === null ? '' : ` ${compassPoint(now.windFromDeg)}`}`, now.position ? off.value : 'no position',
  ].filter(Boolean)
})
</script>

<template>
  <p
    v-if="boat.link !== 'off'"
    class="boat-line"
    data-test="boat"
  >
    <template v-if="boat.link === 'on'">
      <span class="quiet">boat</span>{{ ' ' }}<template
        v-for="(part, i) in says"
        :key="i"
      >
        {{ i > 0 ? ' · ' : '' }}<span class="figure">{{ part }}</span>
      </template>
    </template>
    <template v-else>
      <span class="tone-careful">The boat's instruments are silent.</span>
    </template>
  </p>
</template>

<style scoped>
.boat-line { font-size: 16px; font-weight: 650; padding: 4px; border-bottom: 1px solid var(--rule); }
/* A figure and its unit stay on one line. */
.figure { white-space: nowrap; }
</style>
