import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { KeptAnswer } from './deviceDb'

const store = { answers: new Map<string, KeptAnswer>(), taken: new Set<string>(), broken: false }
function answering<T>(value: () => T): Promise<T> {
  return store.broken ? Promise.reject(new Error('the store is gone')) : Promise.resolve(value())
}
vi.mock('./deviceDb', () => ({
  deviceDb: () => ({
    answers: { get: (path: string) => answering(() => store.answers.get(path)), put: (row: KeptAnswer) => answering(() => store.answers.set(row.path, row)) },
    taken: { toCollection: () => ({ primaryKeys: () => answering(() => [...store.taken]) }) },
  }),
}))
const { isAway, NoNetwork, reach, readKept, takenChanged } = await import('./keptAnswers')

const WATER = '0192d3a0-0000-7000-8000-000000000001'
const GRID = `waters/${WATER}/grid`
const copy = (body: unknown, path = GRID): KeptAnswer => ({ path, waterId: WATER, savedMs: 1000, body })
const away = () => Promise.reject(new TypeError('Failed to fetch'))

describe('answers that go along', () => {
  beforeEach(() => {
    store.answers.clear()
    store.taken.clear()
    store.broken = false
    reach.down = false
    takenChanged()
    vi.stubGlobal('navigator', { onLine: true })
    vi.spyOn(console, 'warn').mockImplementation(() => undefined)
  })
  afterEach(() => {
    vi.unstubAllGlobals()
    vi.restoreAllMocks()
  })

  it('come from the network first, and renew the copy of a water that was taken', async () => {
    store.taken.add(WATER)
    store.answers.set(GRID, copy('old'))
    const read = await readKept(GRID, () => Promise.resolve('new'))
    expect(read.value).toBe('new')
    expect(store.answers.get(GRID)).toMatchObject({ body: 'new', waterId: WATER, savedMs: read.savedMs })
  })
  it('leave no copy of a water that was not taken', async () => {
    await readKept(GRID, () => Promise.resolve('new'))
    expect(store.answers.size).toBe(0)
  })
  it('keep what belongs to no water as soon as any was taken', async () => {
    await readKept('me', () => Promise.resolve('me'))
    expect(store.answers.size).toBe(0)
    store.taken.add(WATER)
    takenChanged()
    await readKept('me', () => Promise.resolve('me'))
    expect(store.answers.get('me')).toMatchObject({ body: 'me', waterId: null })
  })
  it('come from the device, with their age, when nobody answers', async () => {
    store.answers.set(GRID, copy('old'))
    expect(await readKept(GRID, away)).toEqual({ value: 'old', savedMs: 1000 })
    expect(reach.down).toBe(true)
    expect(await readKept(GRID, () => Promise.resolve('new'))).toMatchObject({ value: 'new' })
    expect(reach.down).toBe(false)
  })
  it('are not even asked for where the browser knows that there is no network', async () => {
    vi.stubGlobal('navigator', { onLine: false })
    store.answers.set(GRID, copy('old'))
    const ask = vi.fn(() => Promise.resolve('new'))
    expect((await readKept(GRID, ask)).value).toBe('old')
    expect(ask).not.toHaveBeenCalled()
  })
  it('do not wait for a slow network with a copy at hand, and wait without one', async () => {
    const signals: (AbortSignal | undefined)[] = []
    const ask = (signal?: AbortSignal) => {
      signals.push(signal)
      return Promise.resolve('new')
    }
    await readKept(GRID, ask)
    store.answers.set(GRID, copy('old'))
    await readKept(GRID, ask)
    expect(signals[0]).toBeUndefined()
    expect(signals[1]).toBeInstanceOf(AbortSignal)
    const late = () => Promise.reject(new DOMException('took too long', 'TimeoutError'))
    expect((await readKept(GRID, late)).value).toBe('old')
  })
  it('say that they are nowhere', async () => {
    await expect(readKept(GRID, away)).rejects.toThrow(NoNetwork)
    expect(reach.down).toBe(true)
  })
  it('never hide a refusal behind an old copy', async () => {
    store.answers.set(GRID, copy('old'))
    const refused = Object.assign(new Error('no such water'), { status: 404 })
    await expect(readKept(GRID, () => Promise.reject(refused))).rejects.toBe(refused)
    expect(reach.down).toBe(false)
  })
  it('never leave the desk where they are no part of what goes along', async () => {
    store.taken.add(WATER)
    const path = `waters/${WATER}/imports`
    await readKept(path, () => Promise.resolve([]))
    expect(store.answers.size).toBe(0)
    store.answers.set(path, copy('old', path))
    await expect(readKept(path, away)).rejects.toThrow(NoNetwork)
  })
  it('come through where the device keeps nothing', async () => {
    store.taken.add(WATER)
    store.broken = true
    expect((await readKept(GRID, () => Promise.resolve('new'))).value).toBe('new')
    await expect(readKept(GRID, away)).rejects.toThrow(NoNetwork)
  })
})

describe('who is away', () => {
  it('is a network that fails, a wait that ends, and a server behind its gate', () => {
    for (const error of [new TypeError('Failed to fetch'), new DOMException('', 'TimeoutError'), new DOMException('', 'AbortError'), ...[502, 503, 504].map(status => Object.assign(new Error('x'), { status }))]) expect(isAway(error)).toBe(true)
  })
  it('is not one who refuses', () => {
    for (const error of [new Error('x'), new DOMException('', 'DataError'), null, 'x', ...[400, 404, 409, 500].map(status => Object.assign(new Error('x'), { status }))]) expect(isAway(error)).toBe(false)
  })
})
