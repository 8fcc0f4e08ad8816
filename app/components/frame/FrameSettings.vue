<script setup lang="ts">
import { formatDepth, formatWind, type Units } from '../../../core/units/format'

const emit = defineEmits<{ keys: [] }>()
const session = useSession()
const keySheet = useShortcutSheet()
const UNITS: { value: Units, label: string }[] = [{ value: 'us', label: 'feet and ounces' }, { value: 'metric', label: 'metres and grams' }]
const GROUNDS = [{ value: 'day', label: 'day' }, { value: 'night', label: 'before dawn' }] as const
const SIDES = [{ value: 'left', label: 'left' }, { value: 'right', label: 'right' }] as const
const problem = ref<string | null>(null)
const waters = useWater()
onMounted(async () => {
  try {
    await waters.loadList()
  }
  catch (error) {
    problem.value = `The list of waters cannot be read: ${error instanceof Error ? error.message : String(error)}`
  }
})

/** The menu makes room: one thing lies over the page, and Escape closes it. */
function showKeys() {
  emit('keys')
  keySheet.open.value = true
}

async function save(change: Parameters<typeof session.set>[0]) {
  try {
    await session.set(change)
    problem.value = null
  }
  catch (error) {
    problem.value = `Not saved: ${error instanceof Error ? error.message : String(error)}`
  }
}
</script>

<template>
  <div class="settings">
    <div>
      <span class="quiet">waters</span>
      <div class="chips">
        <NuxtLink
          v-for="w in waters.list ?? []"
          :key="w.id"
          class="chip"
          :to="`/water/${w.id}`"
          :aria-current="w.id === waters.water?.id ? 'true' : undefined"
        >
          {{ w.name }}
        </NuxtLink>
        <NuxtLink
          class="chip"
          to="/bring"
        >
          Bring in a water
        </NuxtLink>
      </div>
    </div>
    <div>
      <span class="quiet">figures in</span>
      <div class="chips">
        <button
          v-for="u in UNITS"
          :key="u.value"
          type="button"
          class="chip"
          :aria-pressed="session.units === u.value"
          @click="save({ units: u.value })"
        >
          {{ u.label }}
        </button>
      </div>
    </div>
    <div>
      <span class="quiet">paper for</span>
      <div class="chips">
        <button
          v-for="g in GROUNDS"
          :key="g.value"
          type="button"
          class="chip"
          :aria-pressed="session.ground === g.value"
          @click="session.ground = g.value"
        >
          {{ g.label }}
        </button>
      </div>
    </div>
    <div>
      <span class="quiet">staff on the water</span>
      <div class="chips">
        <button
          v-for="s in SIDES"
          :key="s.value"
          type="button"
          class="chip"
          :aria-pressed="session.staffSide === s.value"
          @click="session.staffSide = s.value"
        >
          {{ s.label }}
        </button>
      </div>
    </div>
    <FrameSlider
      label="highest waves for your boat"
      :model-value="session.angler?.waveLimitM ?? 0.3"
      :min="0.1"
      :max="1.2"
      :step="0.05"
      :text="formatDepth(session.angler?.waveLimitM ?? 0.3, session.units)"
      @update:model-value="save({ waveLimitM: $event })"
    />
    <FrameSlider
      label="length of your rod"
      :model-value="session.angler?.rodM ?? 2.13"
      :min="1.2"
      :max="4.8"
      :step="0.0762"
      :text="formatDepth(session.angler?.rodM ?? 2.13, session.units)"
      @update:model-value="save({ rodM: Number($event.toFixed(4)) })"
    />
    <FrameSlider
      label="your boat runs at"
      :model-value="session.angler?.runMS ?? 6"
      :min="1"
      :max="22"
      :step="session.units === 'us' ? 0.44704 : 0.5"
      :text="formatWind(session.angler?.runMS ?? 6, session.units)"
      @update:model-value="save({ runMS: Number($event.toFixed(3)) })"
    />
    <nav aria-label="Settings">
      <NuxtLink to="/instruments">
        Boat's instruments
      </NuxtLink>
      <NuxtLink to="/along">
        Take waters along
      </NuxtLink>
      <NuxtLink to="/rules">
        Bag and length rules
      </NuxtLink>
      <button
        type="button"
        class="keys"
        @click="showKeys"
      >
        Keys of the keyboard
      </button>
    </nav>
    <p
      v-if="session.angler?.demo"
      class="quiet"
    >
      Demo water, demo clock. Waters, places and people are invented.
    </p>
    <p
      v-if="problem"
      class="tone-now"
      role="alert"
    >
      {{ problem }}
    </p>
  </div>
</template>

<style scoped>
.settings { display: flex; flex-direction: column; gap: 14px; }
nav { display: grid; grid-template-columns: 1fr 1fr; gap: 10px 16px; font-size: 15px; }
.keys { font: inherit; color: inherit; background: none; border: 0; padding: 0; text-align: left; text-decoration: underline; cursor: pointer; }
a.chip { text-decoration: none; display: inline-flex; align-items: center; }
a.chip[aria-current] { border: 2px solid var(--ink); box-shadow: inset 0 -4px 0 var(--ink); }
</style>
