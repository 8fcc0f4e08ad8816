<script setup lang="ts">
const ranking = useRanking()
const waters = useWater()
/** As many as a thumb will scroll through. */
const MOST = 30
const journal = useJournal()
defineEmits<{ arrive: [placeId: string | null], end: [], undo: [] }>()
</script>

<template>
  <div>
    <slot />
    <h2>Where are you?</h2>
    <p
      v-if="ranking.rows.length === 0"
      class="quiet"
    >
      {{ ranking.problem ?? (waters.places.length === 0 ? 'No place is kept on this water yet.' : 'Working out the order …') }}
    </p>
    <ol data-test="where">
      <li
        v-for="r in ranking.rows.filter(row => !row.candidate).slice(0, MOST).map(ranking.full)"
        :key="r.place.id"
      >
        <button
          type="button"
          class="row"
          @click="$emit('arrive', r.place.id)"
        >
          <span class="rank">{{ r.rank }}</span>
          <span class="name">{{ r.place.name }}</span>
          <span class="quiet">{{ r.reasons[0]?.text }}</span>
        </button>
      </li>
      <li>
        <button
          type="button"
          class="row"
          @click="$emit('arrive', null)"
        >
          <span class="rank">·</span><span class="name">Somewhere else</span><span class="quiet">none of these places</span>
        </button>
      </li>
    </ol>
    <div class="foot">
      <button
        v-if="journal.undoable"
        type="button"
        class="chip thumb"
        @click="$emit('undo')"
      >
        Undo
      </button>
      <button
        type="button"
        class="chip thumb"
        data-test="end-day"
        @click="$emit('end')"
      >
        End the day
      </button>
    </div>
  </div>
</template>

<style scoped>
ol { flex: 1; overflow-y: auto; min-height: 120px; }
.row { font: inherit; color: inherit; width: 100%; text-align: left; display: grid; grid-template-columns: 34px 1fr; align-items: baseline; background: var(--sheet); border: 1px solid var(--rule); border-radius: 8px; padding: 10px 12px; margin-bottom: 8px; min-height: 60px; cursor: pointer; }
.rank { grid-row: 1 / 3; font-size: 21px; font-weight: 750; color: var(--mark); }
.name { font-size: 18px; font-weight: 700; }
.foot { display: flex; gap: 8px; }
</style>
