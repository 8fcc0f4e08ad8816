/** Allowed interval of an argument; both ends are inside unless the flag says otherwise. */
export interface Interval {
  min?: number
  max?: number
  /** true: `min` itself is not allowed */
  above?: boolean
}

function describe({ min, max, above }: Interval): string {
  if (min !== undefined && max !== undefined) return `from ${above ? 'above ' : ''}${min} to ${max}`
  if (min !== undefined) return above ? `greater than ${min}` : `${min} or more`
  if (max !== undefined) return `${max} or less`
  return 'finite'
}

/**
 * Returns `value` if it is a finite number inside the interval.
 * @throws RangeError naming the argument, the value and the allowed range
 */
export function requireNumber(name: string, value: unknown, interval: Interval = {}): number {
  const { min, max, above } = interval
  const bad = typeof value !== 'number'
    || !Number.isFinite(value)
    || (min !== undefined && (above ? value <= min : value < min))
    || (max !== undefined && value > max)
  if (bad) throw new RangeError(`${name} is ${String(value)}; it must be a number ${describe(interval)}`)
  return value
}

/**
 * Returns `value` if it is one of `allowed`.
 * @throws RangeError naming the argument, the value and the allowed values
 */
export function requireOneOf<T extends string>(name: string, value: unknown, allowed: readonly T[]): T {
  const found = allowed.find(item => item === value)
  if (found === undefined) throw new RangeError(`${name} is ${String(value)}; it must be one of ${allowed.join(', ')}`)
  return found
}

export const POSITIVE: Interval = { min: 0, above: true }
export const NOT_NEGATIVE: Interval = { min: 0 }
/** Liquid fresh water an angler can meet, °C. */
export const WATER_TEMP_C: Interval = { min: -2, max: 45 }
