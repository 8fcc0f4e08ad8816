import { NOT_NEGATIVE, POSITIVE, requireNumber } from '../guard'

const Z95 = 1.959964

/**
 * A count over some hours as a rate, with the 95 % interval of its Poisson mean by Byar's approximation (within 1 % of the exact one from one
 * event up). Source: Breslow & Day 1987, Statistical Methods in Cancer Research II, p. 69.
 * @returns events per hour
 * @throws RangeError for a negative count or hours that are not above 0
 */
export function rateInterval({ count, hours }: { count: number, hours: number }): { perHour: number, lo: number, hi: number } {
  requireNumber('count', count, NOT_NEGATIVE)
  requireNumber('hours', hours, POSITIVE)
  const bound = (n: number, z: number) => (n === 0 ? 0 : n * (1 - 1 / (9 * n) + z / (3 * Math.sqrt(n))) ** 3)
  return { perHour: count / hours, lo: bound(count, -Z95) / hours, hi: bound(count + 1, Z95) / hours }
}
