<script setup lang="ts">
import type { RigAdvice } from '../../../core/rig/rigFor'
import { formatDepth, formatDistance, formatSeconds, formatSetting, formatWeight } from '../../../core/units/format'

defineProps<{
  rig: RigAdvice
  /** head that was logged as tied on, kg */
  tiedKg: number | null
}>()
defineEmits<{ tie: [] }>()
const session = useSession()
const units = computed(() => session.units)
</script>

<template>
  <section
    class="card"
    aria-label="Rig card"
  >
    <button
      type="button"
      class="cell"
      @click="$emit('tie')"
    >
      <span class="quiet">{{ tiedKg !== null ? 'rig on, tap to log anew' : 'tap when tied on' }}</span>
      <strong>{{ formatWeight(tiedKg ?? rig.tie.massKg, units) }}</strong>
      <span
        v-if="tiedKg !== null && tiedKg !== rig.tie.massKg"
        class="quiet tone-careful"
      >better: {{ formatWeight(rig.tie.massKg, units) }}</span>
    </button>
    <div class="cell">
      <span class="quiet">count to {{ formatDepth(rig.baitDepthM, units) }}</span>
      <strong>{{ formatSeconds(rig.tie.fallS) }}</strong>
    </div>
    <div class="cell">
      <span class="quiet">or float stop</span>
      <strong>{{ formatSetting(rig.float.setting.stopLengthM, units) }}</strong>
    </div>
    <div class="cell">
      <span class="quiet">hold off</span>
      <strong>{{ formatDistance(rig.standOff.fromM, units) }}</strong>
    </div>
  </section>
</template>

<style scoped>
.card { display: grid; grid-template-columns: 1fr 1fr; border-top: 1px solid var(--rule); border-bottom: 1px solid var(--rule); }
.cell { font: inherit; color: inherit; text-align: left; background: none; border: 0; padding: 7px 4px; display: flex; flex-direction: column; min-height: 56px; }
button.cell { cursor: pointer; text-decoration: underline; text-decoration-color: var(--rule); text-underline-offset: 4px; }
.cell strong { font-size: 22px; line-height: 1.15; }
.cell .quiet { font-size: 14px; }
</style>
