import { createConnection, type Socket } from 'node:net'
import { hear, SILENT, type Instruments } from '../../core/boat/instruments'
import type { InstrumentsAt } from '../../shared/angler'

/** A wire that says nothing for so long is cut and tried again, ms. */
const SILENT_MS = 20_000
const FIRST_RETRY_MS = 1000
const LONGEST_RETRY_MS = 15_000
/** A line longer than this is no sentence: NMEA ends them at 82. */
const LONGEST_LINE = 400

export type LinkState = 'off' | 'trying' | 'on'

/** The boat's instruments over TCP: connects, listens, and tries again for as long as it is meant to. */
export class InstrumentLink {
  private readonly now: () => number
  private socket: Socket | null = null
  private retry: ReturnType<typeof setTimeout> | undefined
  private retryMs = FIRST_RETRY_MS
  private rest = ''
  private at: InstrumentsAt | null = null
  private linked: LinkState = 'off'
  private heard: Instruments = SILENT
  /** why it is not on, in the system's words */
  private trouble: string | null = null

  constructor(now: () => number = Date.now) {
    this.now = now
  }

  get state(): { link: LinkState, trouble: string | null, heard: Instruments } {
    return { link: this.linked, trouble: this.trouble, heard: this.heard }
  }

  /** Listens there from now on; null: nowhere. The same address changes nothing. */
  listenAt(at: InstrumentsAt | null): void {
    if (at?.host === this.at?.host && at?.port === this.at?.port) return
    this.at = at
    this.close()
    // Another boat's figures are not this one's.
    this.heard = SILENT
    this.trouble = null
    this.retryMs = FIRST_RETRY_MS
    this.linked = 'off'
    if (at) this.connect(at)
  }

  private connect(at: InstrumentsAt): void {
    this.linked = 'trying'
    this.rest = ''
    const socket = createConnection(at)
    this.socket = socket
    socket.setEncoding('latin1')
    socket.setTimeout(SILENT_MS, () => socket.destroy(new Error(`nothing heard for ${SILENT_MS / 1000} s`)))
    socket.on('connect', () => {
      this.linked = 'on'
      this.trouble = null
      this.retryMs = FIRST_RETRY_MS
    })
    socket.on('data', (chunk: Buffer | string) => this.take(String(chunk)))
    socket.on('error', (error) => {
      this.trouble = error.message
    })
    socket.on('close', () => {
      if (this.socket !== socket) return
      this.socket = null
      this.linked = 'trying'
      this.trouble ??= 'the other side closed the connection'
      this.retry = setTimeout(() => this.connect(at), this.retryMs)
      // The server may end while the boat is away.
      this.retry.unref()
      this.retryMs = Math.min(LONGEST_RETRY_MS, this.retryMs * 2)
    })
  }

  private take(text: string): void {
    const lines = (this.rest + text).split(/\r\n|\r|\n/)
    this.rest = lines.pop() ?? ''
    // Something that is not NMEA at all: not collected for ever.
    if (this.rest.length > LONGEST_LINE) this.rest = ''
    const atMs = this.now()
    for (const line of lines) if (line !== '') this.heard = hear(this.heard, line.slice(0, LONGEST_LINE), atMs)
  }

  private close(): void {
    clearTimeout(this.retry)
    const socket = this.socket
    this.socket = null
    socket?.destroy()
  }
}
