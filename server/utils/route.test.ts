import { once } from 'node:events'
import { createServer, request, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { createApp, createRouter, toNodeListener } from 'h3'
import Joi from 'joi'
import { afterAll, beforeAll, expect, it, vi } from 'vitest'
import { Fault } from '../services/fault'
import { readBlob, readBytes, readJson, route } from './route'

vi.mock('./database', () => ({ useDb: () => ({ name: 'the database' }) }))
vi.mock('../services/anglers', () => ({ requireLocalAngler: () => ({ id: 'the angler' }) }))

const schema = Joi.object<{ depthM: number }>({ depthM: Joi.number().min(0) })
/** Two bytes, the first told to be how many follow. */
const parse = (body: Uint8Array) => {
  if (body[0] !== body.length - 1) throw new Error(`${body[0]} bytes were promised and ${body.length - 1} came`)
  return { header: { depthM: body[1] === 255 ? -1 : body[1] }, rest: body.subarray(2) }
}
let server: Server
let base: string
beforeAll(async () => {
  const router = createRouter()
    .post('/json', route(async ({ event, db, angler }) => ({ body: await readJson(event, schema, 64), db, angler })))
    .post('/blob', route(({ event }) => readBlob(event, body => [...parse(body).rest])))
    .post('/bytes', route(async ({ event }) => (await readBytes(event, schema, parse)).header))
    .get('/gone', route(() => {
      throw new Fault(404, { message: 'there is no such day' })
    }))
    .get('/broken', route(() => {
      throw new Error('SQLITE_CORRUPT at 0x7f')
    }))
  server = createServer(toNodeListener(createApp().use(router))).listen(0, '127.0.0.1')
  await once(server, 'listening')
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
})
afterAll(() => {
  server.closeAllConnections()
  server.close()
})
async function post(path: string, body: string | Uint8Array<ArrayBuffer>, type = 'application/json') {
  const answer = await fetch(base + path, { method: 'POST', headers: type ? { 'content-type': type } : {}, body })
  return { status: answer.status, body: await answer.json() as Record<string, unknown> & { error?: { field?: string, message: string } } }
}

it('hands a checked body, the database and the angler to the route', async () => {
  expect(await post('/json', '{"depthM":3}')).toEqual({ status: 200, body: { body: { depthM: 3 }, db: { name: 'the database' }, angler: { id: 'the angler' } } })
  expect((await post('/json', '{"depthM":3}', 'application/json; charset=utf-8')).status).toBe(200)
})
it('says what is wrong with a body, and where', async () => {
  expect(await post('/json', '{"depthM":-1}')).toMatchObject({ status: 422, body: { error: { field: 'depthM', message: expect.stringContaining('greater than or equal to 0') as string } } })
  expect(await post('/json', '{"depthM":"3"}')).toMatchObject({ status: 422, body: { error: { field: 'depthM' } } })
  expect(await post('/json', '{"depthM":1,"also":2}')).toMatchObject({ status: 422, body: { error: { field: 'also' } } })
  expect(await post('/json', '{"depthM":')).toMatchObject({ status: 400, body: { error: { message: expect.stringContaining('not JSON') as string } } })
  expect(await post('/json', 'depthM=3', 'application/x-www-form-urlencoded')).toMatchObject({ status: 415, body: { error: { message: expect.stringContaining('x-www-form-urlencoded') as string } } })
})
it('reads no more than it may, whatever length is claimed', async () => {
  expect(await post('/json', JSON.stringify({ depthM: 1, pad: 'x'.repeat(200) }))).toMatchObject({ status: 413, body: { error: { message: 'the body is over 64 bytes' } } })
  // In pieces, without a length.
  const answer = await new Promise<{ status: number | undefined, closes: string | undefined }>((done, failed) => {
    const asked = request(`${base}/json`, { method: 'POST', headers: { 'content-type': 'application/json', 'transfer-encoding': 'chunked' } }, (res) => {
      res.resume()
      done({ status: res.statusCode, closes: res.headers.connection })
    })
    asked.on('error', failed)
    for (let i = 0; i < 5; i++) asked.write(' '.repeat(20))
    asked.end()
  })
  expect(answer).toEqual({ status: 413, closes: 'close' })
})
it('takes binary bodies apart, or says why not', async () => {
  const bytes = (...list: number[]) => new Uint8Array(list)
  expect(await post('/blob', bytes(3, 7, 8, 9), 'application/octet-stream')).toEqual({ status: 200, body: [8, 9] })
  expect(await post('/blob', bytes(5, 7), 'application/octet-stream')).toMatchObject({ status: 400, body: { error: { message: 'the body cannot be read: 5 bytes were promised and 1 came' } } })
  expect((await post('/blob', bytes(1, 7), 'text/plain')).status).toBe(415)
  expect(await post('/bytes', bytes(1, 7), 'application/octet-stream')).toEqual({ status: 200, body: { depthM: 7 } })
  expect(await post('/bytes', bytes(1, 255), 'application/octet-stream')).toMatchObject({ status: 422, body: { error: { field: 'depthM' } } })
})
it('answers its own faults in words, and keeps an unforeseen one to the log', async () => {
  const log = vi.spyOn(console, 'error').mockImplementation(() => undefined)
  const get = async (path: string) => {
    const answer = await fetch(base + path)
    return { status: answer.status, text: await answer.text() }
  }
  expect(await get('/gone')).toEqual({ status: 404, text: JSON.stringify({ error: { message: 'there is no such day' } }) })
  expect(log).not.toHaveBeenCalled()
  const broken = await get('/broken')
  expect(broken.status).toBe(500)
  expect(broken.text).not.toContain('SQLITE')
  expect(log).toHaveBeenCalledWith('GET /broken failed', expect.objectContaining({ message: 'SQLITE_CORRUPT at 0x7f' }))
  log.mockRestore()
})
