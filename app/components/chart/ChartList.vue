<script setup lang="ts">
import { featureKindName, featureText, featureTitle } from '../../../core/water/featureText'
import { FEATURE_KINDS, type Feature } from '../../../core/water/readWater'

defineProps<{ shown: Feature[], chosenId: string | null, kind: string, search: string, done: number, ready: boolean, problem: string | null }>()
defineEmits<{ choose: [id: string | null], kind: [kind: string], search: [text: string] }>()
const session = useSession()
const list = ref<HTMLElement | null>(null)
</script>

<template>
  <section
    class="list"
    aria-label="Found on the chart"
  >
    <header>
      <select
        aria-label="Kind of feature"
        :value="kind"
        @change="$emit('kind', ($event.target as HTMLSelectElement).value)"
      >
        <option value="best">
          the best of each
        </option>
        <option value="all">
          everything
        </option>
        <option
          v-for="k in FEATURE_KINDS"
          :key="k"
          :value="k"
        >
          {{ featureKindName(k).toLowerCase() }}
        </option>
      </select>
      <input
        type="search"
        aria-label="Search what was found"
        placeholder="search"
        :value="search"
        @input="$emit('search', ($event.target as HTMLInputElement).value)"
      >
    </header>
    <p
      v-if="problem"
      class="tone-now note"
      role="alert"
    >
      The chart could not be read: {{ problem }}
    </p>
    <p
      v-else-if="!ready"
      class="note"
      role="status"
    >
      Reading the chart: {{ Math.round(done * 100) }} %
    </p>
    <p
      v-else-if="shown.length === 0"
      class="note"
    >
      Nothing of that kind was found here.
    </p>
    <ol
      ref="list"
      data-test="features"
      tabindex="0"
      aria-label="Features"
    >
      <li
        v-for="f in shown"
        :key="f.id"
      >
        <button
          type="button"
          class="feature"
          :aria-pressed="f.id === chosenId"
          @click="$emit('choose', f.id === chosenId ? null : f.id)"
        >
          <strong>{{ featureTitle(f, session.units) }}</strong>
          <span
            class="meter"
            :title="`${Math.round(f.rank * 100)} % of the best of its kind here`"
          ><i :style="{ width: `${Math.max(2, f.rank * 100)}%` }" /></span>
          <span class="text">{{ featureText(f, session.units) }}</span>
        </button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.list { display: flex; flex-direction: column; min-height: 0; flex: 1; }
header { display: grid; grid-template-columns: 1fr 1fr; gap: 8px; padding: 10px 16px; border-bottom: 1px solid var(--rule); }
select, input { font: inherit; font-size: 15px; color: var(--ink); background: var(--sheet); border: 1px solid var(--rule); border-radius: 6px; padding: 8px; min-width: 0; min-height: 38px; }
input::placeholder { color: var(--ink-2); opacity: 1; }
.note { padding: 14px 16px; font-size: 15px; }
ol { overflow-y: auto; flex: 1; min-height: 0; }
.feature { font: inherit; color: inherit; text-align: left; width: 100%; background: none; border: 0; border-bottom: 1px solid var(--rule); padding: 10px 16px; cursor: pointer; display: grid; grid-template-columns: 1fr 54px; gap: 2px 10px; align-items: center; }
.feature:hover { background: var(--paper); }
.feature[aria-pressed='true'] { box-shadow: inset 5px 0 0 var(--now); background: var(--paper); }
.feature:focus-visible { outline-offset: -3px; }
.feature strong { font-size: 16px; line-height: 1.25; }
.meter { height: 7px; background: var(--tab); }
.meter i { display: block; height: 100%; background: var(--mark); }
.text { grid-column: 1 / 3; font-size: 14.5px; line-height: 1.38; }
</style>
