<script setup lang="ts">
import type { LimitRule } from '../../core/fish/limits'
import { ruleFish } from '../../core/fish/limits'
import { SPECIES, speciesName, type Species } from '../../core/fish/species'
import { formatLength } from '../../core/units/format'
import { figureOf } from '../utils/tackleFields'

/** Bag and length rules, entered from the local book. */
const session = useSession()
const waters = useWater()
const problem = ref<string | null>(null)
const chosen = ref<Species[]>([])
const texts = reactive({ bag: '', least: '', most: '' })
const INCH_M = 0.0254
const unit = computed(() => (session.units === 'us' ? { name: 'in', m: INCH_M } : { name: 'cm', m: 0.01 }))
const rules = computed(() => session.angler?.limits ?? [])

async function tell(act: () => Promise<void>) {
  problem.value = null
  try {
    await act()
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
onMounted(() => tell(async () => {
  await session.load()
  const [first] = await waters.loadList()
  if (!waters.water && first) await waters.load(first.id)
}))

/** A figure, or null where nothing was given. */
function given(text: string, name: string): number | null {
  if (text.trim() === '') return null
  const value = figureOf(text)
  if (!(value >= 0)) throw new Error(`"${name}" is no number.`)
  return value
}
const add = () => tell(async () => {
  const [bag, least, most] = [given(texts.bag, 'fish a day'), given(texts.least, 'shortest'), given(texts.most, 'longest')]
  if (chosen.value.length === 0) throw new Error('Which fish is it for?')
  if (bag === null && least === null && most === null) throw new Error('A rule needs a bag or a length.')
  const rule: LimitRule = { species: [...chosen.value], bag, leastM: least === null ? null : least * unit.value.m, mostM: most === null ? null : most * unit.value.m }
  await session.set({ limits: [...rules.value, rule] })
  chosen.value = []
  Object.assign(texts, { bag: '', least: '', most: '' })
})
const remove = (index: number) => tell(() => session.set({ limits: rules.value.filter((_, i) => i !== index) }))
const toggle = (s: Species) => {
  chosen.value = chosen.value.includes(s) ? chosen.value.filter(x => x !== s) : [...chosen.value, s]
}
const said = ({ bag, leastM, mostM }: LimitRule) => [bag === null ? null : `${bag} a day`, leastM === null ? null : `${formatLength(leastM, session.units)} at least`, mostM === null ? null : `${formatLength(mostM, session.units)} at most`].filter(Boolean).join(', ')
</script>

<template>
  <div class="page">
    <h1>Bag and length rules</h1>
    <p>
      Enter them from the book for your water. The log counts kept fish against them and warns one before. The book is the law, not this page.
    </p>
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      {{ problem }}
    </p>
    <p v-if="rules.length === 0">
      No rules yet: nothing is counted.
    </p>
    <ul data-test="rules">
      <li
        v-for="(r, i) in rules"
        :key="i"
      >
        <span><strong>{{ ruleFish(r) }}</strong> <span class="quiet">{{ said(r) }}</span></span>
        <button
          type="button"
          class="chip"
          :aria-label="`Take the rule for ${ruleFish(r)} out`"
          @click="remove(i)"
        >
          take out
        </button>
      </li>
    </ul>
    <form
      data-test="rule-form"
      @submit.prevent="add"
    >
      <div
        class="chips"
        role="group"
        aria-label="fish of the rule, counted together"
      >
        <button
          v-for="s in SPECIES"
          :key="s"
          type="button"
          class="chip"
          :aria-pressed="chosen.includes(s)"
          @click="toggle(s)"
        >
          {{ speciesName(s) }}
        </button>
      </div>
      <label>fish a day <input
        v-model="texts.bag"
        inputmode="numeric"
      ></label>
      <label>shortest, {{ unit.name }} <input
        v-model="texts.least"
        inputmode="decimal"
      ></label>
      <label>longest, {{ unit.name }} <input
        v-model="texts.most"
        inputmode="decimal"
      ></label>
      <button
        type="submit"
        class="chip"
      >
        Add the rule
      </button>
    </form>
  </div>
</template>

<style scoped>
.page { height: 100%; overflow-y: auto; padding: 18px 24px 28px; display: flex; flex-direction: column; gap: 14px; font-size: 15.5px; line-height: 1.4; max-width: 820px; }
.page > * { flex: none; }
li { display: flex; justify-content: space-between; align-items: center; gap: 12px; border-top: 1px solid var(--rule); padding: 6px 0; }
form { display: flex; flex-wrap: wrap; gap: 12px; align-items: end; background: var(--sheet); border: 1px solid var(--rule); border-radius: 6px; padding: 12px 14px; }
form .chips { flex: 1 1 100%; }
label { font-size: 14px; color: var(--ink-2); display: flex; flex-direction: column; gap: 3px; }
input { font: inherit; font-size: 16px; color: var(--ink); background: var(--sheet); border: 1px solid var(--rule); border-radius: 6px; padding: 6px 8px; min-height: 38px; width: 110px; }
</style>
