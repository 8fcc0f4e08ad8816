import { lureAt, type LurePoint } from '../../core/rig/lureMotion'

/** Runs a lure along its way in real time, at the pace of the water; where motion is not wanted it stands at the end. */
export function useLurePlay(path: () => readonly LurePoint[]) {
  const t = ref<number | null>(null)
  const playing = ref(false)
  const still = window.matchMedia('(prefers-reduced-motion: reduce)')
  let frame = 0
  let begun = 0
  const endS = computed(() => path().at(-1)?.t ?? 0)
  const at = computed(() => (t.value === null ? null : lureAt(path(), t.value)))

  function step(now: number) {
    t.value = Math.min(endS.value, (now - begun) / 1000)
    if (t.value >= endS.value) playing.value = false
    else frame = requestAnimationFrame(step)
  }
  function play() {
    stop()
    if (still.matches) {
      t.value = endS.value
      return
    }
    playing.value = true
    frame = requestAnimationFrame((now) => {
      begun = now
      step(now)
    })
  }
  function stop() {
    cancelAnimationFrame(frame)
    playing.value = false
    t.value = null
  }
  // Another way is not what was under way; the same, worked out anew, is.
  watch(() => [path()[0], path().at(-1)].map(p => (p ? [p.t, p.x, p.z].map(v => v.toFixed(3)).join() : '')).join(), stop)
  onBeforeUnmount(() => cancelAnimationFrame(frame))
  return { t, at, playing, play, stop }
}
