import type { Factor } from '../../core/place/placeFactors'

/** What each factor of a place's score is called. */
export const FACTOR_LABELS: Record<Factor['key'], string> = {
  depth: 'depth', structure: 'kind', shade: 'shade', wind: 'wind', current: 'current', clarity: 'clarity', warmth: 'warmth', waves: 'waves', record: 'your log', rest: 'rest',
}
