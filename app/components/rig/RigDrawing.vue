<script setup lang="ts">
import { scaleLinear } from 'd3'
import type { Place } from '../../../core/place/kinds'
import { groundedLine, levelReelSpeed, lureWay, restingAt } from '../../../core/rig/lureWay'
import { motionText, type Way } from '../../../core/rig/motionText'
import type { RigAdvice } from '../../../core/rig/rigFor'
import { swingCast } from '../../../core/rig/swingCast'
import type { TiedRig } from '../../../core/rig/tieOn'
import { depthUnitM, formatDepth, formatDistance, formatSeconds, formatSpeed, type Units } from '../../../core/units/format'
import type { BenchDrag } from '../../composables/useBench'
import { lureMarks } from '../../utils/lureMarks'
import { rigPlane, strokes } from '../../utils/rigPlane'

const props = defineProps<{
  place: Place
  rig: RigAdvice
  tied: TiedRig
  held: boolean
  depthM: number
  headroom: number
  fishTopM: number
  fishBottomM: number
  windMS: number
  waterC: number
  lineDiameterM: number
  body: { lengthM: number, depthM: number, dragAreaM2?: number }
  lightAt: (depthM: number) => number
  units: Units
}>()
const emit = defineEmits<{ drag: [change: BenchDrag], settle: [] }>()

const FOOT = 12
const TIP_ROOM = 26
const MOST_WIND_MS = 14
const MOST_TIP_M = 3.5
const MOST_OUT_M = 20
const SHALLOWEST_M = 0.3
const host = ref<HTMLElement | null>(null)
const size = ref({ width: 640, height: 700 })
let observer: ResizeObserver | undefined
onMounted(() => {
  observer = new ResizeObserver(([entry]) => {
    size.value = { width: Math.max(280, entry!.contentRect.width), height: Math.max(240, entry!.contentRect.height) }
  })
  observer.observe(host.value!)
})
onBeforeUnmount(() => observer?.disconnect())

const scale = computed(() => scaleLinear([0, props.depthM], [props.headroom, size.value.height - FOOT]))
/** Over the water the scale is the same as long as the rod tip finds room. */
const y = (m: number) => (m >= 0 ? scale.value(m) : props.headroom + m * Math.min(pxPerM.value, (props.headroom - TIP_ROOM) / Math.max(0.1, props.rig.rodTipM)))
/** One scale both ways: the drawing is not stretched. */
const pxPerM = computed(() => scale.value(1) - scale.value(0))
const mode = computed(() => props.tied.scene.mode)
const baitM = computed(() => props.tied.scene.depthM)
const bottomM = computed(() => Math.max(baitM.value, props.place.attributes.bottomDepthM))

/** The line of a rig on the ground, trailing off the drifting boat. */
const grounded = computed(() => groundedLine(props.tied.scene, { lineDiameterM: props.lineDiameterM, waterTempC: props.waterC }))
const outM = computed(() => (grounded.value ? grounded.value.offsetM : Math.max(0.3, props.rig.distanceM)))
const plane = computed(() => rigPlane({ width: size.value.width, pxPerM: pxPerM.value, distanceM: outM.value, trails: mode.value === 'bottom' }))
const tip = computed(() => ({ x: plane.value.tipX, y: y(-props.rig.rodTipM) }))

/** The boat is on the near side of its line, or the far side of one that it drags behind. */
const side = computed(() => (mode.value === 'bottom' ? -1 : 1))

const way = ref<Way>('slack')
/** the angler's own winding speed, m/s; null: the level one */
const ownReelMS = ref<number | null>(null)
const swing = computed(() => swingCast({ distanceM: outM.value, depthM: baitM.value, rodTipM: props.rig.rodTipM }))
const reelMS = computed(() => ownReelMS.value ?? levelReelSpeed(props.tied.scene, outM.value, props.rig.rodTipM))
const path = computed(() => lureWay({ scene: props.tied.scene, way: way.value, outM: outM.value, rodTipM: props.rig.rodTipM, windMS: props.windMS, reelMS: reelMS.value, bottomM: bottomM.value }))
const { at: playedAt, t: playedS, playing, play, stop } = useLurePlay(() => path.value)
const lure = computed(() => playedAt.value ?? restingAt(path.value, props.tied.scene, way.value))
const lurePx = computed(() => ({ x: plane.value.x(lure.value.x), y: y(lure.value.z) }))
/** Where the hand takes hold of it: at the edge of the cut while it is inside. */
const lureAtPx = computed(() => (mode.value === 'float' ? { x: plane.value.baitX, y: y(baitM.value) } : { x: lurePx.value.x ?? plane.value.cutX ?? 0, y: lurePx.value.y }))
const slack = computed(() => mode.value === 'cast' && way.value === 'slack')

/** From the rod tip to the lure: over the air and down the way it fell, or straight when it is tight. */
const lineD = computed(() => {
  const from = { x: 0, z: -props.rig.rodTipM }
  const steps = 60
  if (!slack.value) return strokes(Array.from({ length: steps + 1 }, (_, i) => ({ x: (lure.value.x * i) / steps, z: from.z + ((lure.value.z - from.z) * i) / steps })), plane.value, y)
  const entry = path.value[0]!
  const air = Array.from({ length: steps + 1 }, (_, i) => {
    const s = i / steps
    return { x: entry.x * s, z: from.z * (1 - s) ** 2.2 }
  })
  return strokes([...air, ...path.value.filter(p => p.z < lure.value.z), lure.value], plane.value, y)
})
const pathD = computed(() => (slack.value ? '' : strokes(path.value, plane.value, y)))
const marks = computed(() => (props.tied.scene.mode === 'cast' ? lureMarks({ points: path.value, scene: props.tied.scene, way: way.value, plane: plane.value, y, units: props.units }) : []))

/** Where the water between boat and bait is cut out, the drawing is torn down its whole height. */
const cutD = computed(() => {
  const tear = (side: number) => `q7,${6 * side} 0,${12 * side} q-7,${6 * side} 0,${12 * side} `.repeat(Math.ceil(size.value.height / 24))
  return `M-8,0 ${tear(1)} h16 ${tear(-1)} Z`
})

const words = computed(() => {
  const { scene } = props.tied
  if (scene.mode === 'cast') return motionText({ way: way.value, points: path.value, depthM: scene.depthM, pastM: swing.value.pastM, reelMS: reelMS.value, units: props.units })
  if (scene.mode === 'swim') return `It runs at ${formatDepth(scene.depthM, props.units)} of its own, at about ${formatSpeed(scene.speedMS, props.units)}.`
  if (scene.mode === 'bottom') return grounded.value!.planes ? 'So light a weight never stays down here.' : `The line leans ${Math.round(Math.abs(grounded.value!.meanAngleDeg))}° and trails ${formatDistance(Math.abs(grounded.value!.offsetM), props.units)} behind.`
  return props.held ? 'Held on a tight line the float stands in moving water: the bait swings down-wind.' : 'A free float goes with the surface; the water below is slower, so the bait trails up-wind.'
})
const said = computed(() => `Side view to scale: ${props.tied.family.name}, bait at ${formatDepth(baitM.value, props.units)}, rod tip ${formatDepth(props.rig.rodTipM, props.units)} up, ${formatDistance(outM.value, props.units)} out. ${words.value}`)

/** What was so when a hand took hold. */
let grasped: { tipM: number, outM: number, baitM: number, windMS: number } | null = null
const bound = (value: number, least: number, most: number) => Math.max(least, Math.min(most, value))
function take() {
  stop()
  grasped = { tipM: props.rig.rodTipM, outM: props.rig.distanceM, baitM: baitM.value, windMS: props.windMS }
}
const now = () => grasped ?? { tipM: props.rig.rodTipM, outM: props.rig.distanceM, baitM: baitM.value, windMS: props.windMS }
/** Metres up and out, metres down, m/s: from what was held, or from what is. */
const moveTip = (up: number, out: number) => emit('drag', { tipM: bound(now().tipM + up, 0, MOST_TIP_M), outM: bound(now().outM + out, 0, MOST_OUT_M) })
const moveLure = (down: number) => emit('drag', { baitM: bound(now().baitM + down, SHALLOWEST_M, props.place.attributes.bottomDepthM) })
const moveWind = (more: number) => emit('drag', { windMS: bound(now().windMS + more, 0, MOST_WIND_MS) })
function settle() {
  grasped = null
  emit('settle')
}
/** A key's step: half a foot, or ten centimetres. */
const stepM = computed(() => (props.units === 'us' ? depthUnitM('us') / 2 : 0.1))
function choose(next: Way) {
  stop()
  way.value = next
}
</script>

<template>
  <div class="scene">
    <slot name="staff" />
    <div
      ref="host"
      class="drawing"
    >
      <div class="alone">
        <svg
          :width="size.width"
          :height="size.height"
          role="group"
          :aria-label="said"
        >
          <RigScenery
            :place="place"
            :width="size.width"
            :height="size.height"
            :y="y"
            :depth-m="depthM"
            :fish-top-m="fishTopM"
            :fish-bottom-m="fishBottomM"
            :light-at="lightAt"
            :units="units"
          />
          <RigWaves
            :width="size.width"
            :surface-y="y(0)"
            :wind-m-s="windMS"
          />
          <path
            :d="`M${tip.x - side * 130},${headroom - 20} l${side * 8},26 h${side * 104} l${side * 12},-26 Z`"
            class="boat"
          />
          <path
            :d="`M${tip.x - side * 70},${headroom - 24} Q${tip.x - side * 24},${(headroom - 30 + tip.y) / 2} ${tip.x},${tip.y}`"
            class="rod"
          />
          <path
            v-if="mode === 'cast' || mode === 'swim'"
            :d="pathD"
            class="way"
          />
          <path
            v-if="mode === 'cast' || mode === 'swim'"
            :d="lineD"
            class="line"
            data-test="line"
          />
          <RigMarks
            :marks="marks"
            :slack="slack"
          />
          <RigFloatLine
            v-if="mode === 'float'"
            :rig="rig"
            :held="held"
            :wind-m-s="windMS"
            :water-c="waterC"
            :line-diameter-m="lineDiameterM"
            :body="body"
            :tip="tip"
            :bait-x="plane.baitX"
            :y="y"
            :px-per-m="pxPerM"
            :width="size.width"
            :units="units"
          />
          <RigGrounded
            v-if="tied.scene.mode === 'bottom' && grounded"
            :scene="tied.scene"
            :line="grounded"
            :plane="plane"
            :y="y"
            :rod-tip-m="rig.rodTipM"
            :units="units"
          />
          <path
            v-if="plane.cutX !== null"
            :d="cutD"
            :transform="`translate(${plane.cutX} 0)`"
            class="cut"
          />
          <text
            v-if="mode !== 'bottom'"
            :x="plane.cutX ?? (tip.x + plane.baitX) / 2"
            :y="headroom - 34"
            text-anchor="middle"
            class="label"
          >{{ formatDistance(outM, units) }}</text>

          <RigGrip
            v-if="mode !== 'bottom'"
            label="depth of the bait"
            vertical
            :value="baitM"
            :least="SHALLOWEST_M"
            :most="place.attributes.bottomDepthM"
            :text="formatDepth(baitM, units)"
            :x="lureAtPx.x"
            :y="lureAtPx.y"
            data-test="grip-lure"
            @take="take"
            @drag="(_dx, dy) => moveLure(dy / pxPerM)"
            @drop="settle"
            @step="(right, up) => { moveLure(-(up || right) * stepM); settle() }"
          >
            <template v-if="mode === 'float' || lurePx.x !== null">
              <path
                :d="`M${lureAtPx.x},${lureAtPx.y} m0,-4 q9,1 12,12`"
                class="lure"
              />
              <circle
                :cx="lureAtPx.x"
                :cy="lureAtPx.y - 3"
                r="4.5"
                class="head"
              />
            </template>
          </RigGrip>
          <text
            v-if="playedS !== null"
            :x="(lurePx.x ?? plane.cutX ?? 0) + 18"
            :y="lurePx.y + 5"
            class="label now"
            data-test="clock"
          >{{ formatSeconds(playedS) }}, {{ formatDepth(lure.z, units) }}</text>
          <RigGrip
            label="rod tip: up and down its height, left and right how far off"
            vertical
            :value="rig.rodTipM"
            :least="0"
            :most="MOST_TIP_M"
            :text="`${formatDepth(rig.rodTipM, units)} up, ${formatDistance(outM, units)} off`"
            :x="tip.x"
            :y="tip.y"
            data-test="grip-tip"
            @take="take"
            @drag="(dx, dy) => moveTip(-dy / pxPerM, mode === 'bottom' ? 0 : -dx / pxPerM)"
            @drop="settle"
            @step="(right, up) => { moveTip(up * stepM, -2 * right * stepM); settle() }"
          >
            <circle
              :cx="tip.x"
              :cy="tip.y"
              r="6"
              class="knob"
            />
            <text
              :x="tip.x - side * 14"
              :y="tip.y - 2"
              :text-anchor="side > 0 ? 'end' : 'start'"
              class="small"
            >tip {{ formatDepth(rig.rodTipM, units) }}</text>
          </RigGrip>
          <RigWind
            :wind-m-s="windMS"
            :most-m-s="MOST_WIND_MS"
            :width="size.width"
            :units="units"
            @take="take"
            @move="moveWind"
            @drop="settle"
          />
        </svg>
      </div>
    </div>
    <RigMotion
      :mode="mode"
      :way="way"
      :reel-m-s="reelMS"
      :words="words"
      :playing="playing || playedS !== null"
      :units="units"
      @way="choose"
      @reel="ownReelMS = $event"
      @play="play"
      @stop="stop"
    >
      <slot name="aside" />
    </RigMotion>
  </div>
</template>

<style scoped>
.scene { min-height: 0; min-width: 0; display: grid; grid-template: minmax(0, 1fr) auto / auto minmax(0, 1fr); }
.drawing { position: relative; min-height: 0; min-width: 0; overflow: hidden; grid-column: 2; }
/* What moves with the hand is laid out by itself. A child of a grid or a row never is, whatever it contains: hence a frame inside, out of the flow. */
.alone { position: absolute; inset: 0; contain: strict; }
svg { display: block; touch-action: none; }
.boat { fill: var(--sheet); stroke: var(--ink); stroke-width: 2.2; }
.rod { fill: none; stroke: var(--ink); stroke-width: 3; }
.line { fill: none; stroke: var(--ink); stroke-width: 1.4; }
.way { fill: none; stroke: var(--now); stroke-width: 1.8; stroke-dasharray: 2 5; }
.head { fill: var(--ink); }
.lure { fill: none; stroke: var(--now); stroke-width: 6; stroke-linecap: round; }
.cut { fill: var(--paper); stroke: var(--ink); stroke-width: 1.2; }
.knob { fill: var(--sheet); stroke: var(--ink); stroke-width: 2.4; }
.small { font-size: 13.5px; fill: var(--ink); }
.label { font-size: 15px; font-weight: 700; fill: var(--ink); paint-order: stroke; stroke: var(--paper); stroke-width: 4px; }
.label.now { fill: var(--now); }
@media (max-width: 700px) { .scene { grid-template: 420px auto / minmax(0, 1fr); } .drawing { grid-column: 1; } }
</style>
