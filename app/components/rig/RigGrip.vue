<script setup lang="ts">
/** A thing in the drawing that a hand takes hold of, or the arrow keys move. */
const props = defineProps<{ label: string, value: number, least: number, most: number, text: string, vertical?: boolean, x: number, y: number }>()
const emit = defineEmits<{ take: [], drag: [dx: number, dy: number], drop: [], step: [right: number, up: number] }>()

let from: { x: number, y: number } | null = null
let latest: { x: number, y: number } | null = null
let frame = 0

function take(event: PointerEvent) {
  (event.currentTarget as Element).setPointerCapture(event.pointerId)
  from = { x: event.clientX, y: event.clientY }
  emit('take')
}
/** Many moves may come in a frame: the last of them counts. */
function move(event: PointerEvent) {
  if (!from) return
  latest = { x: event.clientX, y: event.clientY }
  if (frame === 0) frame = requestAnimationFrame(follow)
}
function follow() {
  frame = 0
  if (from && latest) emit('drag', latest.x - from.x, latest.y - from.y)
}
function drop() {
  if (!from) return
  cancelAnimationFrame(frame)
  follow()
  from = null
  latest = null
  emit('drop')
}
const STEPS: Record<string, [number, number]> = { ArrowUp: [0, 1], ArrowDown: [0, -1], ArrowRight: [1, 0], ArrowLeft: [-1, 0] }
function key(event: KeyboardEvent) {
  const step = STEPS[event.key]
  if (!step) return
  event.preventDefault()
  emit('step', ...step)
}
onBeforeUnmount(() => cancelAnimationFrame(frame))
</script>

<template>
  <g
    class="handle"
    role="slider"
    tabindex="0"
    :aria-label="props.label"
    :aria-orientation="vertical ? 'vertical' : 'horizontal'"
    :aria-valuenow="Number(value.toFixed(2))"
    :aria-valuemin="least"
    :aria-valuemax="most"
    :aria-valuetext="text"
    @pointerdown="take"
    @pointermove="move"
    @pointerup="drop"
    @pointercancel="drop"
    @keydown="key"
  >
    <slot />
    <circle
      :cx="x"
      :cy="y"
      r="22"
      class="grip"
    />
  </g>
</template>

<style scoped>
.handle { cursor: grab; outline: none; }
.handle:active { cursor: grabbing; }
.grip { fill: transparent; stroke: none; }
.handle:hover .grip { stroke: var(--ink-2); stroke-dasharray: 3 4; }
.handle:focus-visible .grip { stroke: var(--now); stroke-width: 3; }
</style>
