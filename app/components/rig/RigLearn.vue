<script setup lang="ts">
import { learnBody } from '../../../core/rig/learnBody'
import { depthUnit, depthUnitM, formatDepth, formatSeconds } from '../../../core/units/format'

const props = defineProps<{ bodyId: string, body: { lengthM: number, depthM: number, dragAreaM2?: number }, headKg: number, lineM: number, waterC: number, depthM: number, fallS: number }>()
const session = useSession()
const tackle = useTackle()

const depth = ref('')
const seconds = ref('')
const problem = ref<string | null>(null)
const said = ref<string | null>(null)
const learned = computed(() => (props.body.dragAreaM2 === undefined ? null : props.body.dragAreaM2 / (props.body.lengthM * props.body.depthM)))
watch(() => props.bodyId, () => {
  said.value = null
  problem.value = null
})
const figure = (text: string) => Number(text.trim().replace(',', '.'))

async function keep(dragAreaM2: number | null) {
  try {
    await tackle.change(props.bodyId, { dragAreaM2 })
  }
  catch (error) {
    problem.value = `Not saved: ${error instanceof Error ? error.message : String(error)}`
  }
}
async function learn() {
  problem.value = null
  said.value = null
  const depthM = figure(depth.value) * depthUnitM(session.units)
  if (!(depthM > 0) || !(figure(seconds.value) > 0)) {
    problem.value = 'Both are needed: the depth, and the seconds you counted.'
    return
  }
  try {
    const { dragAreaM2, ratio } = learnBody({ headMassKg: props.headKg, body: props.body, lineDiameterM: props.lineM, depthM, seconds: figure(seconds.value), waterTempC: props.waterC })
    await keep(dragAreaM2)
    said.value = `Learned: this body falls ${ratio > 1 ? 'slower' : 'faster'} than its size says (${ratio.toFixed(2)} times the drag).`
  }
  catch (error) {
    if (!(error instanceof RangeError)) throw error
    problem.value = /count again/.test(error.message) ? 'That is too far off for this body: count again, on a tight drop to a depth you know.' : 'So short a count cannot be: the line alone takes longer.'
  }
}
</script>

<template>
  <details
    class="learn"
    data-test="learn"
  >
    <summary>{{ learned === null ? 'Teach it this rig\'s fall' : `By your own count: ${learned.toFixed(2)} times the drag of its size` }}</summary>
    <p class="quiet">
      Let this head and body fall on slack line to a depth you know, and count. Here it says {{ formatSeconds(fallS) }} to {{ formatDepth(depthM, session.units) }}.
    </p>
    <form @submit.prevent="learn">
      <label>depth, {{ depthUnit(session.units) }} <input
        v-model="depth"
        inputmode="decimal"
      ></label>
      <label>seconds <input
        v-model="seconds"
        inputmode="decimal"
      ></label>
      <button
        type="submit"
        class="chip"
      >
        Learn it
      </button>
      <button
        v-if="learned !== null"
        type="button"
        class="chip"
        @click="keep(null)"
      >
        Forget it
      </button>
    </form>
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      {{ problem }}
    </p>
    <p
      v-else-if="said"
      role="status"
    >
      {{ said }}
    </p>
  </details>
</template>

<style scoped>
summary { cursor: pointer; font-size: 15px; font-weight: 650; text-decoration: underline; text-underline-offset: 3px; padding: 4px 0; }
form { display: flex; flex-wrap: wrap; gap: 8px; align-items: end; padding: 6px 0; }
label { font-size: 14px; color: var(--ink-2); display: flex; flex-direction: column; gap: 3px; }
input { font: inherit; font-size: 16px; width: 78px; color: var(--ink); background: var(--sheet); border: 1px solid var(--rule); border-radius: 6px; padding: 6px 8px; min-height: 38px; }
</style>
