import { defineEventHandler, getHeader, getRouterParam, setResponseHeader, setResponseStatus, type EventHandlerRequest, type H3Event } from 'h3'
import type Joi from 'joi'
import { check, type FieldError } from '../../shared/validate'
import { requireLocalAngler, type AnglerRow } from '../services/anglers'
import { Fault } from '../services/fault'
import type { Db } from '../db/open'
import { useDb } from './database'

const MOST_BYTES = 1_048_576
/** Room for a file's places, lines and outlines. */
export const MOST_BATCH_BYTES = 8 * MOST_BYTES
/** About two million soundings. */
const MOST_BINARY_BYTES = 67_108_864

export interface RouteContext {
  event: H3Event<EventHandlerRequest>
  db: Db
  angler: AnglerRow
}

/** A route: the handler gets the database and the angler; every error leaves as `{ error: { field?, message } }`. */
export function route<T>(handler: (context: RouteContext) => T | Promise<T>) {
  return defineEventHandler(async (event): Promise<Awaited<T> | { error: FieldError }> => {
    try {
      const db = useDb()
      return await handler({ event, db, angler: requireLocalAngler(db) })
    }
    catch (error) {
      if (error instanceof Fault) {
        setResponseStatus(event, error.status)
        return { error: error.field === undefined ? { message: error.message } : { field: error.field, message: error.message } }
      }
      console.error(`${event.method} ${event.path} failed`, error)
      setResponseStatus(event, 500)
      return { error: { message: 'something went wrong on the server; nothing was changed' } }
    }
  })
}

/**
 * The request's JSON body, checked.
 * @throws Fault 415 for another content type, 413 over 1 MB (or the given size), 400 when it is not JSON, 422 when a field is wrong
 */
export async function readJson<T>(event: H3Event, schema: Joi.Schema<T>, mostBytes = MOST_BYTES): Promise<T> {
  const type = getHeader(event, 'content-type') ?? ''
  if (!/^application\/json\b/i.test(type)) throw new Fault(415, { message: `the body must be application/json, not ${type === '' ? 'nothing' : type}` })
  const text = (await readBody(event, mostBytes)).toString('utf8')
  let input: unknown
  try {
    input = JSON.parse(text)
  }
  catch (cause) {
    throw new Fault(400, { message: `the body is not JSON: ${cause instanceof Error ? cause.message : String(cause)}` })
  }
  const result = check(schema, input)
  if (!result.ok) throw new Fault(422, result.error)
  return result.value
}

/**
 * The request's body as it is.
 * @throws Fault 415 for another content type than the pattern's, 413 over the given size
 */
export async function readRaw(event: H3Event, types: RegExp, wanted: string, mostBytes: number): Promise<Buffer> {
  const type = getHeader(event, 'content-type') ?? ''
  if (!types.test(type)) throw new Fault(415, { message: `the body must be ${wanted}, not ${type === '' ? 'nothing' : type}` })
  return await readBody(event, mostBytes)
}

/**
 * The request's binary body, taken apart by `parse`.
 * @throws Fault 415 for another content type, 413 over 64 MB, 400 when it cannot be taken apart
 */
export async function readBlob<T>(event: H3Event, parse: (body: Uint8Array) => T): Promise<T> {
  const body = await readRaw(event, /^application\/octet-stream\b/i, 'application/octet-stream', MOST_BINARY_BYTES)
  try {
    return parse(body)
  }
  catch (cause) {
    throw new Fault(400, { message: `the body cannot be read: ${cause instanceof Error ? cause.message : String(cause)}` })
  }
}

/** As `readBlob`, for a body with a header, which is then checked. @throws Fault 422 too, when a field of the header is wrong */
export async function readBytes<H, T extends { header: unknown }>(event: H3Event, schema: Joi.Schema<H>, parse: (body: Uint8Array) => T): Promise<Omit<T, 'header'> & { header: H }> {
  const parsed = await readBlob(event, parse)
  const result = check(schema, parsed.header)
  if (!result.ok) throw new Fault(422, result.error)
  return { ...parsed, header: result.value }
}

/** Reads at most so many bytes; the length the sender claims is not trusted. */
function readBody(event: H3Event, most: number): Promise<Buffer> {
  const { req } = event.node
  return new Promise((done, failed) => {
    const chunks: Buffer[] = []
    let bytes = 0
    // Listeners rather than an iterator: every entry of the log comes through here.
    req.on('data', (chunk: Buffer) => {
      bytes += chunk.length
      if (bytes > most) {
        // The rest is not read: the connection ends with the answer.
        req.removeAllListeners('data')
        req.pause()
        setResponseHeader(event, 'Connection', 'close')
        failed(new Fault(413, { message: `the body is over ${most} bytes` }))
        return
      }
      chunks.push(chunk)
    })
    req.on('end', () => done(chunks.length === 1 ? chunks[0]! : Buffer.concat(chunks)))
    req.on('error', failed)
    req.on('aborted', () => failed(new Fault(400, { message: 'the connection was cut before the body was whole' })))
  })
}

/** A path parameter; the router has made sure that it is there. */
export function pathId(event: H3Event, name = 'id'): string {
  return getRouterParam(event, name, { decode: true }) ?? ''
}
