import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

vi.mock('./deviceDb', () => ({ deviceDb: () => ({ answers: { get: () => Promise.resolve(undefined) }, taken: { toCollection: () => ({ primaryKeys: () => Promise.resolve([]) }) } }) }))
const { api, ApiError, apiBytes, apiRead, apiSend } = await import('./api')
const { NoNetwork, reach } = await import('./keptAnswers')

describe('calls to the server', () => {
  let asked: { url: string, init: RequestInit }[]
  function answer(make: () => Response | Promise<Response>) {
    asked = []
    vi.stubGlobal('fetch', (url: string, init: RequestInit) => {
      asked.push({ url, init })
      return Promise.resolve().then(make)
    })
  }
  const json = (body: unknown, status = 200) => () => new Response(JSON.stringify(body), { status })
  beforeEach(() => {
    reach.down = false
    vi.spyOn(console, 'warn').mockImplementation(() => undefined)
  })
  afterEach(() => {
    vi.unstubAllGlobals()
    vi.restoreAllMocks()
  })

  it('read by default, and send JSON when there is something to send', async () => {
    answer(json({ name: 'Pellowick Reservoir' }))
    expect(await api('waters/1')).toEqual({ name: 'Pellowick Reservoir' })
    await api('waters/1', { method: 'PATCH', body: { name: 'Tamarrow Lake' } })
    expect(asked[0]).toMatchObject({ url: '/api/waters/1' })
    expect(asked[1]!.init).toMatchObject({ method: 'PATCH', body: '{"name":"Tamarrow Lake"}', headers: { 'Content-Type': 'application/json' } })
    await api('waters/1', { method: 'DELETE' })
    expect(asked[2]!.init).toMatchObject({ method: 'DELETE', body: undefined, headers: {} })
  })
  it('say when the answer was given', async () => {
    answer(json(7))
    const before = Date.now()
    const read = await apiRead<number>('count')
    expect(read.value).toBe(7)
    expect(read.savedMs).toBeGreaterThanOrEqual(before)
  })
  it('take and give bytes', async () => {
    answer(() => new Response(new Uint8Array([1, 2, 250])))
    expect([...await apiBytes('waters/1/grid')]).toEqual([1, 2, 250])
    answer(json({ id: 'x' }))
    expect(await apiSend('imports', new Uint8Array([9]))).toEqual({ id: 'x' })
    expect(asked[0]!.init.headers).toEqual({ 'Content-Type': 'application/octet-stream' })
  })
  it('pass a refusal on in the server\'s own words, with the field', async () => {
    answer(json({ error: { field: 'depthM', message: 'depthM must be at least 0' } }, 400))
    const error = await api('places', { method: 'POST', body: {} }).catch((e: unknown) => e)
    expect(error).toBeInstanceOf(ApiError)
    expect(error).toMatchObject({ status: 400, field: 'depthM', message: 'depthM must be at least 0' })
    expect(reach.down).toBe(false)
  })
  it('name the status where a refusal has no words', async () => {
    answer(() => new Response('<h1>?</h1>', { status: 418 }))
    await expect(api('x')).rejects.toThrow('the server answered 418')
    answer(json({}, 500))
    await expect(api('x')).rejects.toMatchObject({ status: 500, message: 'the server answered 500' })
  })
  it('say that nothing was changed when nobody could be told', async () => {
    answer(() => Promise.reject(new TypeError('Failed to fetch')))
    await expect(api('places', { method: 'POST', body: {} })).rejects.toThrow(/nothing was changed/)
    expect(reach.down).toBe(true)
    await expect(api('places')).rejects.toThrow(NoNetwork)
    answer(json({}, 503))
    await expect(api('places', { method: 'POST', body: {} })).rejects.toThrow(NoNetwork)
    answer(json({}))
    await api('places', { method: 'POST', body: {} })
    expect(reach.down).toBe(false)
  })
})
