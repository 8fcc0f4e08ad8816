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

/** Calls the server; the answer's shape is the caller's to name. @throws ApiError when refused, TypeError when there is no network */
export async function api<T>(path: string, { method = 'GET', body }: { method?: 'GET' | 'POST' | 'PATCH' | 'PUT' | 'DELETE', body?: unknown } = {}): Promise<T> {
  const response = await fetch(`/api/${path}`, {
    method,
    headers: body === undefined ? {} : { 'Content-Type': 'application/json' },
    body: body === undefined ? undefined : JSON.stringify(body),
  })
  if (!response.ok) throw await refusal(response)
  return await response.json() as T
}

/** Sends bytes, as `api` sends JSON. */
export const apiSend = <T>(path: string, bytes: Uint8Array) => apiSendAs<T>(path, bytes, 'application/octet-stream')

/** Sends bytes of a type of their own, such as a picture's. */
export async function apiSendAs<T>(path: string, bytes: Uint8Array, type: string): Promise<T> {
  const response = await fetch(`/api/${path}`, { method: 'POST', headers: { 'Content-Type': type }, body: bytes as Uint8Array<ArrayBuffer> })
  if (!response.ok) throw await refusal(response)
  return await response.json() as T
}

export async function apiBytes(path: string): Promise<Uint8Array> {
  const response = await fetch(`/api/${path}`)
  if (!response.ok) throw await refusal(response)
  return new Uint8Array(await response.arrayBuffer())
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
