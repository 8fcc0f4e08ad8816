import { expect, openBoard, slide, test } from './support/app'

test('a dock\'s shade goes round it with the sun, and the side to work with it', async ({ page }) => {
  await openBoard(page)
  await page.getByRole('button', { name: 'Sky', exact: true }).click()
  await page.getByRole('button', { name: 'clear', exact: true }).click()
  await page.keyboard.press('Escape')
  await page.getByTestId('ranking').getByRole('button').filter({ hasText: 'Ferry dock' }).click()
  const side = page.getByTestId('dock-side')
  const hour = async (text: RegExp) => {
    await page.getByRole('button', { name: 'Hour', exact: true }).click()
    await slide(page, 'hour of the day', 'ArrowRight', text)
    await page.keyboard.press('Escape')
  }
  await hour(/^10:00$/)
  await expect(side).toContainText(/At 10:00 the shade .* lies out to the north-west/)
  const morning = await page.getByTestId('dock-shade').locator('.shade').first().getAttribute('d')
  await hour(/^16:00$/)
  await expect(side).toContainText(/At 16:00 the shade .* lies out to the (north-)?east/)
  expect(await page.getByTestId('dock-shade').locator('.shade').first().getAttribute('d')).not.toBe(morning)
  await page.getByRole('button', { name: 'Sky', exact: true }).click()
  await page.getByRole('button', { name: 'Back to the reading', exact: true }).click()
  await page.keyboard.press('Escape')
  await hour(/^23:00$/)
  await expect(side).toContainText('No shade to speak of at 23:00')
})
