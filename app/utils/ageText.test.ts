import { expect, it } from 'vitest'
import { ageText } from './ageText'

it.each([[0, 'just now'], [-5000, 'just now'], [10, '10 min ago'], [89, '89 min ago'], [95, '2 h ago'], [60 * 30, '30 h ago'], [60 * 24 * 3, '3 days ago']])('%d minutes is %s', (minutes, text) => {
  expect(ageText(minutes * 60_000)).toBe(text)
})
