import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, ref, type EffectScope } from 'vue'
import { useUnhurried } from './useUnhurried'

describe('a value for reading', () => {
  let scope: EffectScope
  beforeEach(() => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'performance'] })
    scope = effectScope()
  })
  afterEach(() => {
    scope.stop()
    vi.useRealTimers()
  })
  function reader() {
    const [value, moving] = [ref(0), ref(false)]
    const shown = scope.run(() => useUnhurried(() => value.value, () => moving.value, 100))!
    const set = async (n: number) => {
      value.value = n
      await nextTick()
    }
    return { value, moving, shown, set }
  }

  it('comes at once at rest', async () => {
    const { shown, set } = reader()
    for (const n of [1, 2, 3]) {
      await set(n)
      expect(shown.value).toBe(n)
    }
  })
  it('keeps its pace under a moving hand, and ends with the last', async () => {
    const { shown, set, moving } = reader()
    moving.value = true
    await set(1)
    expect(shown.value).toBe(1)
    await set(2)
    await set(3)
    expect(shown.value).toBe(1)
    vi.advanceTimersByTime(99)
    expect(shown.value).toBe(1)
    vi.advanceTimersByTime(1)
    expect(shown.value).toBe(3)
  })
  it('shows the rest at once when the hand lets go', async () => {
    const { shown, set, moving } = reader()
    moving.value = true
    await set(1)
    await set(2)
    moving.value = false
    await set(5)
    expect(shown.value).toBe(5)
    vi.advanceTimersByTime(500)
    expect(shown.value).toBe(5)
  })
  it('says nothing more once its screen is gone', async () => {
    const { shown, set, moving } = reader()
    moving.value = true
    await set(1)
    await set(2)
    scope.stop()
    vi.advanceTimersByTime(500)
    expect(shown.value).toBe(1)
  })
})
