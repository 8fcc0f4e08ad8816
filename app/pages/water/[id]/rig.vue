<script setup lang="ts">
import { coverTop } from '../../../../core/place/kinds'
import { placeStaffDepth } from '../../../../core/water/tints'

const HEADROOM = 152
const session = useSession()
const waters = useWater()
const conditions = useConditions()
const advice = useAdvice()
const tackle = useTackle()
const { ranking, familyId, held, windMS, rig, families, tied, drag, settle, moved, restore, set } = useBench()

/** Words and figures beside the drawing are read, not followed: under a moving hand they keep a pace that can be read. */
const said = useUnhurried(() => ({ rig: rig.value, tied: tied.value, ranking: ranking.value, familyId: familyId.value }), () => Object.keys(drag.value).length > 0)

const body = computed(() => tackle.bodies.find(b => b.id === rig.value?.bodyId) ?? null)
const line = computed(() => tackle.lines.find(l => l.id === rig.value?.lineId) ?? null)
const staff = computed(() => (ranking.value ? placeStaffDepth({ reachM: tied.value?.scene.mode === 'bottom' ? ranking.value.place.attributes.bottomDepthM : ranking.value.belief.quantiles.p80, deepestM: waters.deepestM, units: session.units }) : 1))
</script>

<template>
  <div
    v-if="ranking"
    class="bench"
  >
    <RigCard
      :ranking="ranking"
      :family-id="familyId"
      :families="families"
      :rig="said.rig"
      :tied="said.tied"
      :held="held"
      @set="set"
    />
    <RigDrawing
      v-if="rig && tied && body && line"
      :place="ranking.place"
      :rig="rig"
      :tied="tied"
      :held="held"
      :depth-m="staff"
      :headroom="HEADROOM"
      :fish-top-m="ranking.belief.quantiles.p20"
      :fish-bottom-m="ranking.belief.quantiles.p80"
      :wind-m-s="windMS"
      :water-c="conditions.now.waterC"
      :line-diameter-m="line.attributes.diameterM"
      :body="body.attributes"
      :light-at="advice.lightAt"
      :units="session.units"
      @drag="drag = $event"
      @settle="settle"
    >
      <template #staff>
        <FrameStaff
          :depth-m="staff"
          :units="session.units"
          :belief="ranking.belief"
          :weed-m="advice.weedM"
          :dim-m="advice.dimM"
          :bottom-m="ranking.place.attributes.bottomDepthM"
          :cover-top-m="coverTop(ranking.place)"
          :bait-m="tied.scene.mode === 'float' ? rig.baitDepthM : null"
          :headroom="HEADROOM"
        />
      </template>
      <template #aside>
        <button
          v-if="moved"
          type="button"
          class="chip"
          @click="restore"
        >
          as advised
        </button>
      </template>
    </RigDrawing>
    <div v-else />
    <RigWhy
      :ranking="said.ranking ?? ranking"
      :family-id="said.familyId"
      :rig="said.rig"
      :tied="said.tied"
      :counted="body?.attributes.dragAreaM2 !== undefined"
    />
  </div>
  <p
    v-else
    class="wait"
  >
    Working it out …
  </p>
</template>

<style scoped>
.bench { height: 100%; min-height: 0; display: grid; grid-template-columns: 292px minmax(0, 1fr) 300px; }
.wait { padding: 32px; font-size: 17px; }
@media (max-width: 1100px) { .bench { grid-template-columns: 260px minmax(0, 1fr); grid-template-rows: minmax(0, 1fr) 34%; } .why { grid-column: 1 / 3; } }
@media (max-width: 700px) {
  .bench { display: flex; flex-direction: column; overflow-y: auto; }
  .bench > * { flex: none; }
  .bench :deep(.staff) { display: none; }
}
</style>
