<script setup lang="ts">
import Sortable from 'sortablejs'
import type { Rung } from '../../../core/rig/ladder'
import { dayText } from '../../utils/time'

/** The order of changes for a school that looks and does not take: dragged or moved by keys, and taken along to the water. */
const props = defineProps<{ placeId: string, built: readonly Rung[] }>()
const route = useRoute()
const waters = useWater()
const ladders = useLadders()
const { set } = useQuery()
const problem = ref<string | null>(null)

/** The angler's own order of the rungs, in the address; rungs that are not named come after. */
const ladder = computed(() => {
  const order = typeof route.query.ladder === 'string' ? route.query.ladder.split(',') : []
  const at = (r: Rung) => (order.includes(r.id) ? order.indexOf(r.id) : order.length + props.built.indexOf(r))
  return [...props.built].sort((a, b) => at(a) - at(b))
})
function move(from: number, to: number) {
  if (to < 0 || to >= ladder.value.length || from === to) return
  const order = ladder.value.map(r => r.id)
  order.splice(to, 0, order.splice(from, 1)[0]!)
  set({ ladder: order.join(',') })
}

const list = ref<HTMLElement | null>(null)
/** Bumped after a drop, so that the list is drawn from the new order and not left as the hand put it. */
const drawn = ref(0)
let sortable: Sortable | null = null
watch([list, drawn], async () => {
  await nextTick()
  sortable?.destroy()
  sortable = list.value && Sortable.create(list.value, {
    // The same by mouse, pen and thumb, and a thumb that only scrolls does not drag.
    forceFallback: true, fallbackTolerance: 4, delay: 120, delayOnTouchOnly: true, filter: 'button', preventOnFilter: false, animation: 0, ghostClass: 'dragged',
    onEnd: ({ oldIndex, newIndex }) => {
      drawn.value++
      if (oldIndex !== undefined && newIndex !== undefined) move(oldIndex, newIndex)
    },
  })
}, { immediate: true, flush: 'post' })
onBeforeUnmount(() => sortable?.destroy())

const kept = computed(() => ladders.at(props.placeId))
const same = computed(() => kept.value !== null && JSON.stringify(kept.value.rungs.map(r => [r.change, r.to])) === JSON.stringify(ladder.value.map(r => [r.change, r.to])))
async function keep(rungs: readonly Rung[]) {
  try {
    await ladders.keep(props.placeId, rungs)
    problem.value = null
  }
  catch (error) {
    problem.value = `Not taken along: ${error instanceof Error ? error.message : String(error)}`
  }
}
</script>

<template>
  <section
    class="ladder"
    aria-label="Ladder"
    tabindex="0"
  >
    <h1>Ladder</h1>
    <p class="quiet">
      For a school that looks and does not take: one change at a time, from what you carry. Looks and no takes: next rung. Nothing looks: go.
    </p>
    <p v-if="ladder.length === 0">
      The box you carry has nothing to change to.
    </p>
    <ol
      :key="drawn"
      ref="list"
      data-test="ladder"
    >
      <li
        v-for="(rung, i) in ladder"
        :key="rung.id"
      >
        <span class="rank">{{ i + 1 }}</span>
        <div>
          <strong>{{ rung.change }}: {{ rung.to }}</strong>
          <span class="quiet">instead of {{ rung.from }}; give it {{ rung.presentations }} casts</span>
        </div>
        <span class="moves">
          <button
            type="button"
            :aria-label="`Move ${rung.change} to ${rung.to} up`"
            :disabled="i === 0"
            @click="move(i, i - 1)"
          >↑</button>
          <button
            type="button"
            :aria-label="`Move ${rung.change} to ${rung.to} down`"
            :disabled="i === ladder.length - 1"
            @click="move(i, i + 1)"
          >↓</button>
        </span>
      </li>
    </ol>
    <div
      v-if="ladder.length > 0"
      class="along"
    >
      <button
        v-if="!same"
        type="button"
        class="chip"
        data-test="take-along"
        @click="keep(ladder)"
      >
        {{ kept ? 'Take this order along instead' : 'Take it along to the water' }}
      </button>
      <template v-if="kept">
        <span
          class="quiet"
          data-test="along"
        >{{ same ? 'Goes along' : 'Another order goes along' }}, kept {{ dayText(Date.parse(kept.at), waters.water!.zone) }}.</span>
        <button
          type="button"
          class="chip"
          @click="keep([])"
        >
          Leave it at home
        </button>
      </template>
    </div>
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      {{ problem }}
    </p>
    <slot />
  </section>
</template>

<style scoped>
li { display: grid; grid-template-columns: 32px 1fr auto; gap: 4px; align-items: center; padding: 9px 0; border-top: 1px solid var(--rule); cursor: grab; background: var(--sheet); }
li.dragged { opacity: 0.45; }
.rank { font-size: 22px; font-weight: 750; color: var(--mark); line-height: 1.15; }
.quiet { display: block; }
.moves { display: flex; gap: 4px; }
.moves button { font: inherit; font-weight: 700; width: 36px; height: 36px; color: var(--ink); background: none; border: 1px solid var(--rule); border-radius: 6px; cursor: pointer; }
.moves button:disabled { opacity: 0.35; cursor: default; }
.along { display: flex; flex-wrap: wrap; gap: 8px; align-items: center; }
</style>
