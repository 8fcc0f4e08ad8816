import type { LakePart } from '../water/lakeParts'
import { compassPoint } from '../units/format'

const WORDS: Record<string, string> = { N: 'north', NE: 'north-east', E: 'east', SE: 'south-east', S: 'south', SW: 'south-west', W: 'west', NW: 'north-west' }
const NARROW_M2 = 30_000

/** Names for the parts of a lake by where they lie from its main basin: "north arm", "east bay"; alike ones are numbered from the largest. */
export function partNames(parts: readonly LakePart[]): string[] {
  const [basin] = parts
  const plain = parts.map(({ kind, x, y, areaM2 }) => {
    if (kind === 'basin') return 'main basin'
    const bearing = ((Math.atan2(x - basin!.x, y - basin!.y) * 180) / Math.PI + 360) % 360
    const point = compassPoint(Math.round(bearing / 45) * 45)
    return `${WORDS[point] ?? point} ${areaM2 >= NARROW_M2 ? 'arm' : 'bay'}`
  })
  return plain.map((name, i) => {
    if (plain.filter(n => n === name).length === 1) return name
    return `${name} ${plain.slice(0, i + 1).filter(n => n === name).length}`
  })
}
