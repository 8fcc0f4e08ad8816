<script setup lang="ts">
import { CALCULATORS } from '../../../../core/rig/calculators'

const route = useRoute()
const { set } = useQuery()
/** Which calculator is open lives in the address. */
const chosen = computed(() => CALCULATORS.find(c => c.id === route.query.of) ?? CALCULATORS[0]!)
const print = () => window.print()
</script>

<template>
  <div class="page">
    <header class="noprint">
      <RigPages />
      <div
        class="chips"
        role="group"
        aria-label="Calculators"
      >
        <button
          v-for="c in CALCULATORS"
          :key="c.id"
          type="button"
          class="chip"
          :aria-pressed="c.id === chosen.id"
          @click="set({ of: c.id })"
        >
          {{ c.title }}
        </button>
      </div>
    </header>
    <RigCalculator :calculator="chosen" />
    <v-btn
      class="plain noprint"
      @click="print"
    >
      Print this table
    </v-btn>
  </div>
</template>

<style scoped>
.page { height: 100%; overflow-y: auto; padding: 16px 22px 26px; display: flex; flex-direction: column; gap: 16px; }
.page > * { flex: none; }
header { display: flex; flex-direction: column; gap: 10px; }
.page > .v-btn { align-self: flex-start; }
</style>

<style>
@media print {
  html { overflow: visible; }
  .frame { display: block !important; height: auto !important; }
  .frame-line, .frame-tabs, .noprint { display: none !important; }
}
</style>
