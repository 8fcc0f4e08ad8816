import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, openBoard, test } from './support/app'

/** Serious and critical findings, as readable lines. */
async function findings(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page }).analyze()
  return violations.filter(v => v.impact === 'serious' || v.impact === 'critical').flatMap(v => v.nodes.map(n => `${v.id}: ${n.target.join(' ')} ${n.failureSummary ?? ''}`))
}
const paper = (page: Page, ground: 'day' | 'night') => page.addInitScript(value => localStorage.setItem('remous-ground', value), ground)

for (const ground of ['day', 'night'] as const) {
  test(`no serious accessibility fault at the desk by ${ground}`, async ({ page }) => {
    test.slow()
    await paper(page, ground)
    await openBoard(page)
    expect(await findings(page), 'board').toEqual([])
    await page.getByRole('button', { name: 'Wind', exact: true }).click()
    await page.getByRole('slider', { name: 'wind speed' }).waitFor()
    expect(await findings(page), 'wind menu').toEqual([])
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'Add a place' }).click()
    await page.getByTestId('place-form').waitFor()
    expect(await findings(page), 'place form').toEqual([])
    await page.getByRole('button', { name: 'Not now' }).click()
    await page.getByTestId('ranking').getByRole('button').filter({ hasText: 'Ferry dock' }).click()
    await page.getByTestId('dock-shade').waitFor()
    expect(await findings(page), 'place').toEqual([])
    await page.getByRole('link', { name: 'Open on the rig bench' }).click()
    await page.getByTestId('tie').waitFor()
    expect(await findings(page), 'bench').toEqual([])
    await page.getByRole('button', { name: 'slip float' }).click()
    await page.getByTestId('stop').waitFor()
    expect(await findings(page), 'float bench').toEqual([])
    for (const [view, shown] of [['', 'parts'], ['/temperature', 'warm-parts'], ['/days', 'outlook']] as const) {
      await page.goto(`${new URL(page.url()).pathname.replace(/(\/water\/[^/]+).*/, '$1')}/season${view}`)
      await page.getByTestId(shown).locator('tr, li').nth(1).waitFor()
      expect(await findings(page), `season${view}`).toEqual([])
    }
    await page.goto('/days')
    await page.getByRole('link', { name: /April/ }).nth(1).click()
    await page.getByTestId('schools').waitFor()
    expect(await findings(page), 'day').toEqual([])
    await page.getByRole('button', { name: 'Add a forgotten fish' }).click()
    await page.getByTestId('fish-form').waitFor()
    await page.waitForTimeout(400)
    expect(await findings(page), 'fish form').toEqual([])
    await page.goto('/along')
    await page.getByTestId('waters').getByRole('button').first().waitFor()
    expect(await findings(page), 'along').toEqual([])
    await page.goto('/instruments')
    await page.getByTestId('heard').waitFor()
    expect(await findings(page), 'instruments').toEqual([])
  })

  test(`no serious accessibility fault on the water by ${ground}`, async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 })
    await paper(page, ground)
    await page.goto('/log')
    await page.getByTestId('start-day').waitFor()
    expect(await findings(page), 'ramp').toEqual([])
    await page.getByTestId('start-day').click()
    await page.getByTestId('where').getByRole('button').first().waitFor()
    expect(await findings(page), 'where').toEqual([])
    await page.getByTestId('where').getByRole('button').first().click()
    await page.getByTestId('take').waitFor()
    expect(await findings(page), 'pad').toEqual([])
    await page.getByTestId('school').click()
    await page.getByTestId('save-school').waitFor()
    await page.waitForTimeout(400) // the sheet slides in half transparent, which is no contrast to judge
    expect(await findings(page), 'school sheet').toEqual([])
    await page.getByTestId('save-school').click()
    await page.getByTestId('take').click()
    await page.getByTestId('save-fish').waitFor()
    await page.waitForTimeout(400)
    expect(await findings(page), 'fish sheet').toEqual([])
  })
}

test('every target on the pad is at least 56 px and nothing runs off the side', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/log')
  await page.getByTestId('start-day').click()
  await page.getByTestId('where').getByRole('button').first().click()
  await page.getByTestId('take').waitFor()
  for (const button of await page.getByRole('button').all()) {
    const box = (await button.boundingBox())!
    expect(Math.min(box.height, box.width), await button.innerText()).toBeGreaterThanOrEqual(56)
    expect(box.x + box.width).toBeLessThanOrEqual(390)
  }
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390)
})

test('the staff changes sides for the left-handed', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('remous-staff-side', 'right'))
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/log')
  await page.getByTestId('start-day').click()
  await page.getByTestId('where').getByRole('button').first().click()
  const staff = (await page.getByTestId('staff').boundingBox())!
  expect(staff.x).toBeGreaterThan(250)
})

test('a filter of kinds lives in the address', async ({ page }) => {
  await openBoard(page)
  await page.getByRole('combobox', { name: 'Kind of place' }).selectOption('dock')
  await expect(page).toHaveURL(/kind=dock/)
  await page.reload()
  await expect(page.getByTestId('ranking').getByRole('button')).toHaveCount(3)
})

test('nothing is asked of any other host', async ({ page, app }) => {
  const asked: string[] = []
  page.on('request', request => asked.push(request.url()))
  await openBoard(page)
  expect(asked.length).toBeGreaterThan(5)
  expect(asked.filter(url => !url.startsWith(app.url) && !url.startsWith('data:') && !url.startsWith('blob:'))).toEqual([])
})
