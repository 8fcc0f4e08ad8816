<script setup lang="ts">
import { FAMILIES } from '../../../core/rig/families'
import { MOODS } from '../../../core/rig/mood'
import type { RigAdvice } from '../../../core/rig/rigFor'
import type { TiedRig } from '../../../core/rig/tieOn'
import { formatLength, formatLine, formatWeight } from '../../../core/units/format'
import type { RankedPlace } from '../../stores/ranking'

/** The rig in words and figures, and what the angler may choose of it. */
const props = defineProps<{ ranking: RankedPlace, familyId: string, families: readonly { family: { id: string, name: string } }[], rig: RigAdvice | null, tied: TiedRig | null, held: boolean }>()
const emit = defineEmits<{ set: [change: Record<string, string | undefined>] }>()
const session = useSession()
const conditions = useConditions()
const advice = useAdvice()
const ranks = useRanking()
const tackle = useTackle()
const problem = ref<string | null>(null)

const units = computed(() => session.units)
const body = computed(() => tackle.bodies.find(b => b.id === props.rig?.bodyId) ?? null)
const line = computed(() => tackle.lines.find(l => l.id === props.rig?.lineId) ?? null)
const placeItems = computed(() => ranks.rows.map(r => ({ value: r.place.id, title: `${r.rank}. ${r.place.name}` })))
const familyItems = computed(() => {
  const ranked = props.families.map((r, i) => ({ value: r.family.id, title: `${i + 1}. ${r.family.name}` }))
  const known = ranked.some(r => r.value === props.familyId)
  return known ? ranked : [...ranked, { value: props.familyId, title: FAMILIES.find(f => f.id === props.familyId)!.name }]
})
const bodyItems = computed(() => tackle.bodies.filter(b => b.carried).map(b => ({ value: b.id, title: `${formatLength(b.attributes.lengthM, units.value)}, ${b.attributes.colour}` })))
const lineItems = computed(() => tackle.lines.filter(l => l.carried).map(l => ({ value: l.id, title: `${formatLine(l.attributes, units.value)} ${l.attributes.material}, ${(l.attributes.diameterM * 1000).toFixed(2)} mm` })))
const choosesBody = computed(() => props.familyId === 'castJig' || props.tied?.scene.mode === 'float')
/** Body and line are chosen below; the rest is told. */
const told = computed(() => props.tied?.parts.filter(p => p.part !== 'line' && !(choosesBody.value && p.part === 'body')) ?? [])
/** One list for good: a new one for every drawing would have the select made anew while something is dragged. */
const MOOD_ITEMS = [...MOODS]
const FIRST: Record<string, string> = { float: 'stop', bottom: 'weight', swim: 'runs' }

async function carry(id: string, carried: boolean) {
  try {
    await tackle.carry(id, carried)
    problem.value = null
  }
  catch (error) {
    problem.value = `Not saved: ${error instanceof Error ? error.message : String(error)}`
  }
}
</script>

<template>
  <section
    class="card"
    aria-label="The rig"
    tabindex="0"
  >
    <RigPages />
    <v-select
      :model-value="ranking.place.id"
      :items="placeItems"
      label="place"
      @update:model-value="emit('set', { place: $event ?? undefined })"
    />
    <div
      class="chips how"
      role="group"
      aria-label="how to fish it"
    >
      <button
        type="button"
        class="chip"
        :aria-pressed="familyId === 'castJig'"
        @click="emit('set', { how: undefined })"
      >
        cast jig
      </button>
      <button
        type="button"
        class="chip"
        :aria-pressed="familyId === 'slipFloat'"
        @click="emit('set', { how: 'float' })"
      >
        slip float
      </button>
    </div>
    <v-select
      :model-value="familyId"
      :items="familyItems"
      label="way of fishing, best first"
      @update:model-value="emit('set', { how: $event === 'castJig' ? undefined : $event === 'slipFloat' ? 'float' : ($event ?? undefined) })"
    />
    <template v-if="rig && tied">
      <div class="answer">
        <template
          v-for="(f, i) in tied.figures"
          :key="f.label"
        >
          <span class="quiet">{{ f.label }}</span>
          <strong
            class="big"
            :data-test="i === 0 ? (FIRST[tied.scene.mode] ?? 'tie') : tied.scene.mode === 'cast' ? 'count' : 'second'"
            :class="{ 'tone-careful': f.label.startsWith('nearest') }"
          >{{ f.value }}</strong>
        </template>
      </div>
      <p class="work">
        {{ tied.work }}
      </p>
      <dl data-test="parts">
        <div
          v-for="p in told"
          :key="p.part"
        >
          <dt>{{ p.part }}</dt>
          <dd :data-test="p.part">
            {{ p.what }}<span
              v-if="!p.have"
              class="lacks"
            >not in the box</span>
          </dd>
        </div>
      </dl>
      <v-select
        v-if="choosesBody"
        :model-value="rig.bodyId"
        :items="bodyItems"
        label="body"
        @update:model-value="emit('set', { body: $event ?? undefined })"
      />
      <v-select
        :model-value="rig.lineId"
        :items="lineItems"
        label="line"
        @update:model-value="emit('set', { line: $event ?? undefined })"
      />
      <div
        v-if="tied.scene.mode === 'float'"
        class="chips"
        role="group"
        aria-label="float drifts or is held"
      >
        <button
          type="button"
          class="chip"
          :aria-pressed="!held"
          @click="emit('set', { held: undefined })"
        >
          drifts free
        </button>
        <button
          type="button"
          class="chip"
          :aria-pressed="held"
          @click="emit('set', { held: '1' })"
        >
          held on the line
        </button>
      </div>
      <v-select
        :model-value="rig.mood"
        :items="MOOD_ITEMS"
        label="mood of the fish"
        @update:model-value="emit('set', { mood: $event ?? undefined })"
      />
    </template>
    <RigLearn
      v-if="rig && body && line && familyId === 'castJig'"
      :body-id="rig.bodyId"
      :body="body.attributes"
      :head-kg="rig.tie.massKg"
      :line-m="line.attributes.diameterM"
      :water-c="conditions.now.waterC"
      :depth-m="rig.baitDepthM"
      :fall-s="rig.tie.fallS"
    />
    <p
      v-if="!rig"
      class="tone-careful"
    >
      No {{ advice.boxLacks }} in the box you carry. Tick some below.
    </p>
    <div>
      <span class="quiet">heads you carry</span>
      <div class="chips heads">
        <button
          v-for="head in tackle.leadHeads"
          :key="head.id"
          type="button"
          class="chip"
          :aria-pressed="head.carried"
          @click="carry(head.id, !head.carried)"
        >
          {{ formatWeight(head.attributes.massKg, units).replace(' oz', '') }}
        </button>
      </div>
    </div>
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      {{ problem }}
    </p>
  </section>
</template>

<style scoped>
.card { contain: content; background: var(--sheet); border-right: 1px solid var(--ink); padding: 16px; overflow-y: auto; display: flex; flex-direction: column; gap: 12px; min-height: 0; }
.card > * { flex: none; }
.how .chip { flex: 1; }
.answer { display: grid; grid-template: auto auto / 1fr 1fr; grid-auto-flow: column; gap: 0 12px; }
.answer .big { font-size: 28px; line-height: 1.15; white-space: nowrap; }
.card :deep(.v-select__selection-text) { white-space: normal; line-height: 1.2; }
.work { font-size: 15px; line-height: 1.4; }
dl > div { display: flex; justify-content: space-between; align-items: baseline; border-top: 1px solid var(--rule); padding: 6px 0; gap: 10px; }
dt { font-size: 14px; color: var(--ink-2); white-space: nowrap; }
dd { font-size: 15.5px; font-weight: 650; text-align: right; }
.lacks { display: block; font-size: 13.5px; color: var(--careful); }
.heads { margin-top: 5px; }
.heads .chip { min-width: 52px; }
@media (max-width: 700px) { .card { border-right: 0; overflow: visible; contain: none; } }
</style>
