/** Something in a file that was left out or is doubtful, where it stands and why. */
export interface ReadIssue {
  /** first line of it in the file, from 1; null when it concerns the whole */
  line: number | null
  message: string
}

/** What a reader made of a file. A reader never throws for what is in a file: it says so here. */
export interface ReadResult<T> {
  items: T[]
  /** things left out */
  skipped: number
  /** the first few of them, and what is doubtful about the rest */
  issues: ReadIssue[]
}

export interface LonLat { lonDeg: number, latDeg: number }

/** A point, line or outline with what the file says of it. */
export interface GeoItem {
  shape: 'point' | 'line' | 'polygon'
  /** a point has one ring of one corner; a line one ring; a polygon its outside and its holes, unclosed */
  rings: LonLat[][]
  name: string | null
  /** other texts and numbers of the item, by their own names */
  properties: Record<string, string | number | boolean>
}

/** Files larger than this are not read, bytes. */
export const MOST_BYTES = 100 * 1024 * 1024
const MOST_ISSUES = 40

export function refused<T>(message: string, line: number | null = null): ReadResult<T> {
  return { items: [], skipped: 0, issues: [{ line, message }] }
}

/** Collects items, and the reasons of those left out. */
export class Tally<T> {
  readonly items: T[] = []
  private skipped = 0
  private readonly issues: ReadIssue[] = []

  leaveOut(line: number | null, message: string): void {
    this.skipped++
    this.note(line, message)
  }

  note(line: number | null, message: string): void {
    if (this.issues.length < MOST_ISSUES) this.issues.push({ line, message })
  }

  result(): ReadResult<T> {
    return { items: this.items, skipped: this.skipped, issues: this.issues }
  }
}

/** A position, or what is wrong with it. */
export function position(lonDeg: number, latDeg: number): LonLat | string {
  if (!Number.isFinite(lonDeg) || !Number.isFinite(latDeg)) return 'a coordinate is missing or no number'
  if (Math.abs(latDeg) > 90) return Math.abs(lonDeg) <= 90 && Math.abs(latDeg) <= 180 ? `latitude ${latDeg} is over 90: longitude and latitude look swapped` : `latitude ${latDeg} is over 90`
  if (Math.abs(lonDeg) > 180) return `longitude ${lonDeg} is over 180`
  return { lonDeg, latDeg }
}

/** Text without a byte-order mark, or why it cannot be read. */
export function cleanText(text: string): string | { refusal: string } {
  if (text.length > MOST_BYTES) return { refusal: `the file is ${Math.round(text.length / 1024 / 1024)} MB; at most ${MOST_BYTES / 1024 / 1024} MB are read` }
  const plain = text.charCodeAt(0) === 0xFEFF ? text.slice(1) : text
  return plain.trim() === '' ? { refusal: 'the file is empty' } : plain
}

/** Line of a position in a text, from 1. */
export function lineOf(text: string, index: number): number {
  let line = 1
  for (let at = text.indexOf('\n'); at !== -1 && at < index; at = text.indexOf('\n', at + 1)) line++
  return line
}

/** Drops the last corner of a ring where it repeats the first. */
export function unclosed(ring: LonLat[]): LonLat[] {
  const [first, last] = [ring[0], ring.at(-1)]
  return first && last && ring.length > 1 && first.lonDeg === last.lonDeg && first.latDeg === last.latDeg ? ring.slice(0, -1) : ring
}
