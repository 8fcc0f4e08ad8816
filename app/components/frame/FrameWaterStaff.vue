<script setup lang="ts">
import { coverTop } from '../../../core/place/kinds'
import { staffDepth } from '../../../core/water/tints'
import type { RankedPlace } from '../../stores/ranking'

/** The open water's staff, always to the same scale: what the day says of the column, and of a place when one is chosen. */
const props = defineProps<{ ranking?: RankedPlace | null }>()
defineEmits<{ scale: [pxPerM: number] }>()
const session = useSession()
const waters = useWater()
const advice = useAdvice()
const depthM = computed(() => staffDepth({ deepestM: Math.max(1, waters.deepestM), units: session.units }))
const place = computed(() => props.ranking?.place ?? null)
</script>

<template>
  <FrameStaff
    :depth-m="depthM"
    :units="session.units"
    :belief="ranking ? ranking.belief : advice.belief"
    :weed-m="advice.weedM"
    :dim-m="advice.dimM"
    :layer="advice.layer"
    :bottom-m="place?.attributes.bottomDepthM"
    :cover-top-m="place ? coverTop(place) : null"
    @scale="$emit('scale', $event)"
  />
</template>
