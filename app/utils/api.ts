import { isAway, NoNetwork, reach, readKept } from './keptAnswers'

/** What the server said when it refused, in its own words. */
export class ApiError extends Error {
  readonly status: number
  readonly field?: string

  constructor(status: number, message: string, field?: string) {
    super(message)
    this.name = 'ApiError'
    this.status = status
    this.field = field
  }
}

/** Calls the server; the answer's shape is the caller's to name. @throws ApiError when refused, NoNetwork when the server cannot be asked */
export async function api<T>(path: string, { method = 'GET', body }: { method?: 'GET' | 'POST' | 'PATCH' | 'PUT' | 'DELETE', body?: unknown } = {}): Promise<T> {
  if (method === 'GET') return (await apiRead<T>(path)).value
  return await (await send(path, {
    method,
    headers: body === undefined ? {} : { 'Content-Type': 'application/json' },
    body: body === undefined ? undefined : JSON.stringify(body),
  })).json() as T
}

/** Reads, with the time at which the server said it: what was taken along is read from the device when there is no network. */
export const apiRead = <T>(path: string) => readKept<T>(path, async signal => await (await ask(path, { signal })).json() as T)

/** Sends bytes, as `api` sends JSON. */
export const apiSend = <T>(path: string, bytes: Uint8Array) => apiSendAs<T>(path, bytes, 'application/octet-stream')

/** Sends bytes of a type of their own, such as a picture's. */
export async function apiSendAs<T>(path: string, bytes: Uint8Array, type: string): Promise<T> {
  return await (await send(path, { method: 'POST', headers: { 'Content-Type': type }, body: bytes as Uint8Array<ArrayBuffer> })).json() as T
}

export async function apiBytes(path: string): Promise<Uint8Array> {
  return (await readKept(path, async signal => new Uint8Array(await (await ask(path, { signal })).arrayBuffer()))).value
}

async function ask(path: string, init: RequestInit): Promise<Response> {
  const response = await fetch(`/api/${path}`, init)
  if (!response.ok) throw await refusal(response)
  return response
}

/** What changes something is never answered from the device. */
async function send(path: string, init: RequestInit): Promise<Response> {
  try {
    const response = await ask(path, init)
    reach.down = false
    return response
  }
  catch (error) {
    if (!isAway(error)) throw error
    reach.down = true
    throw new NoNetwork('there is no network just now; nothing was changed', error)
  }
}

async function refusal(response: Response): Promise<ApiError> {
  const text = await response.text()
  const said = parse(text)
  return new ApiError(response.status, said?.message ?? `the server answered ${response.status}`, said?.field)
}

function parse(text: string): { field?: string, message: string } | null {
  try {
    const { error } = JSON.parse(text) as { error?: { field?: string, message: string } }
    return error ?? null
  }
  catch (cause) {
    console.warn('the server answered something that is not JSON', cause)
    return null
  }
}
