import { onScopeDispose, shallowRef, watch } from 'vue'

/**
 * A value for reading: while `moving`, what changes with every frame is let through at most every `everyMs`, and the last of it always.
 * At rest every change comes at once.
 */
export function useUnhurried<T>(source: () => T, moving: () => boolean, everyMs = 120) {
  const shown = shallowRef(source())
  let lastMs = Number.NEGATIVE_INFINITY
  let waiting: ReturnType<typeof setTimeout> | null = null
  function show() {
    if (waiting !== null) clearTimeout(waiting)
    waiting = null
    lastMs = performance.now()
    shown.value = source()
  }
  watch(source, () => {
    const wait = moving() ? lastMs + everyMs - performance.now() : 0
    if (wait <= 0) show()
    else waiting ??= setTimeout(show, wait)
  })
  onScopeDispose(() => {
    if (waiting !== null) clearTimeout(waiting)
  })
  return shown
}
