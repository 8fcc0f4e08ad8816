import { expect, test } from './support/app'

test('rules that were entered are counted on the water, with a warning one before', async ({ page }) => {
  await page.goto('/rules')
  const form = page.getByTestId('rule-form')
  await form.getByRole('button', { name: 'Add the rule' }).click()
  await expect(page.getByRole('alert')).toContainText('Which fish is it for?')
  await form.getByRole('button', { name: 'black crappie' }).click()
  await form.getByRole('button', { name: 'white crappie' }).click()
  await form.getByLabel('fish a day').fill('2')
  await form.getByLabel('shortest').fill('9')
  // It shows before the server has it.
  const kept = page.waitForResponse(r => r.request().method() === 'PATCH' && r.ok())
  await form.getByRole('button', { name: 'Add the rule' }).click()
  await expect(page.getByTestId('rules')).toContainText('black crappie, white crappie 2 a day, 9 in at least')
  await kept
  await page.reload()
  await expect(page.getByTestId('rules')).toContainText('2 a day', { timeout: 40_000 })

  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/log')
  await page.getByTestId('start-day').click()
  await page.getByTestId('where').getByRole('button').first().click()
  const limits = page.getByTestId('limits')
  const keep = async () => {
    await page.getByTestId('take').click()
    await page.getByRole('button', { name: 'black crappie' }).click()
    await page.getByRole('button', { name: 'kept' }).click()
    await page.getByTestId('save-fish').click()
    await page.getByTestId('save-fish').waitFor({ state: 'hidden' })
  }
  await keep()
  await expect(limits).toContainText('One more black crappie, white crappie and your bag of 2 is full.')
  await keep()
  await expect(limits).toContainText('is full: the next goes back')
  await page.getByTestId('undo').click()
  await expect(limits).toContainText('One more')
})
