import type { Place } from '../core/place/kinds'
import type { WaterSummary } from '../shared/waters'
import { expect, test } from './support/app'

test('at a stop the log says stay, change or go with its odds, explains itself, and keeps quiet when it is told to', async ({ page, app }) => {
  test.setTimeout(120_000)
  const [water] = await app.json<WaterSummary[]>('waters')
  const place = (await app.json<Place[]>(`waters/${water!.id}/places`)).find(p => p.name.startsWith('Kiln brush, step 2'))!
  await page.goto(`/water/${water!.id}/methods?place=${place.id}`)
  await page.getByTestId('take-along').click({ timeout: 40_000 })
  await expect(page.getByTestId('along')).toContainText('Goes along')

  await page.setViewportSize({ width: 390, height: 844 })
  await page.clock.install()
  await page.goto('/log')
  await page.getByTestId('start-day').click()
  await page.getByTestId('where').getByRole('button', { name: /Kiln brush, step 2/ }).click()
  const stay = page.getByTestId('stay')
  await expect(stay).toContainText('Find the school first', { timeout: 40_000 })
  for (let i = 1; i <= 4; i++) {
    await page.getByTestId('take').click()
    await page.getByTestId('save-fish').waitFor()
    await page.keyboard.press('Escape')
    await page.getByTestId('save-fish').waitFor({ state: 'hidden' })
    await page.clock.fastForward('02:30')
  }
  await expect(stay).toContainText(/^Stay/)
  await expect(stay).toContainText(/4 fish in 1\d min: .* an hour expected here, .* at .*, a \d+ min run/)

  // A rung of the ladder is one tap, and is what is on from then.
  const ladder = page.getByTestId('log-ladder')
  await ladder.locator('summary').click()
  const rung = ladder.getByRole('button').first()
  await rung.click()
  await expect(rung).toContainText('on now')

  await page.clock.fastForward('59:00')
  await expect(stay).toContainText(/Go on to .*4 fish in \d+ min, slowing/)
  await stay.locator('summary').click()
  await expect(stay).toContainText('The bite fades')
  await stay.getByRole('button', { name: 'Say no more at this stop' }).click()
  await expect(stay).not.toContainText('Go on to')
  await stay.getByRole('button', { name: 'Speak again' }).click()
  await expect(stay).toContainText('Go on to')
})
