import { reactive } from 'vue'
import { deviceDb, type KeptAnswer } from './deviceDb'
import { partAt } from './takeParts'

/** With a copy at hand a slow network is not waited for longer, ms. */
const PATIENCE_MS = 4000

/** Whether the server was reached the last time it was asked. */
export const reach = reactive({ down: false })

export interface Read<T> {
  value: T
  /** when the server said it, by this device's clock, ms */
  savedMs: number
}

/** The server could not be asked. */
export class NoNetwork extends Error {
  constructor(message: string, cause?: unknown) {
    super(message, { cause })
    this.name = 'NoNetwork'
  }
}

let taken: Promise<Set<string>> | null = null

/** Waters that were taken along. */
function takenIds(): Promise<Set<string>> {
  return taken ??= deviceDb().taken.toCollection().primaryKeys().then(ids => new Set(ids))
}
/** To be called when a water was taken or left. */
export function takenChanged(): void {
  taken = null
}

export function keepAnswer(path: string, waterId: string | null, body: unknown, savedMs: number): Promise<unknown> {
  return deviceDb().answers.put({ path, waterId, savedMs, body } satisfies KeptAnswer)
}

/**
 * An answer from the network, kept on the device when it belongs to a water that was taken along; from the device when the network does not answer.
 * @throws NoNetwork when neither has it, and whatever `ask` throws for a refusal
 */
export async function readKept<T>(path: string, ask: (signal?: AbortSignal) => Promise<T>): Promise<Read<T>> {
  const copy = await copyOf(path)
  if (copy && !navigator.onLine) {
    reach.down = true
    return { value: copy.body as T, savedMs: copy.savedMs }
  }
  try {
    const value = await ask(copy ? AbortSignal.timeout(PATIENCE_MS) : undefined)
    reach.down = false
    const savedMs = Date.now()
    await refreshCopy(path, value, savedMs)
    return { value, savedMs }
  }
  catch (error) {
    if (!isAway(error)) throw error
    reach.down = true
    if (!copy) throw new NoNetwork('there is no network, and this was not taken along', error)
    return { value: copy.body as T, savedMs: copy.savedMs }
  }
}

/** The network is away, or nobody answers behind it. */
export function isAway(error: unknown): boolean {
  return error instanceof TypeError || (error instanceof DOMException && (error.name === 'TimeoutError' || error.name === 'AbortError'))
    || (error instanceof Error && 'status' in error && (error.status === 502 || error.status === 503 || error.status === 504))
}

async function copyOf(path: string): Promise<KeptAnswer | undefined> {
  if (!partAt(path)) return undefined
  try {
    return await deviceDb().answers.get(path)
  }
  catch (error) {
    // A browser without a store of its own still works, with a network.
    console.warn('this device keeps no copies', error)
    return undefined
  }
}

async function refreshCopy(path: string, body: unknown, savedMs: number): Promise<void> {
  const part = partAt(path)
  if (!part) return
  try {
    const ids = await takenIds()
    if (part.waterId === null ? ids.size > 0 : ids.has(part.waterId)) await keepAnswer(path, part.waterId, body, savedMs)
  }
  catch (error) {
    // The answer is good; only its copy stays as old as it was, which its age says.
    console.warn(`the copy of ${path} could not be renewed`, error)
  }
}
