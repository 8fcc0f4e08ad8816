import { expect, openBoard, slide, supposeWind, test } from './support/app'

test('from the demo lake to a logged school that outlives the server', async ({ app, page, browser }) => {
  await openBoard(page)
  await expect(page).toHaveURL(/\/water\/[0-9a-f-]{36}$/)

  // The phase is a mixture, and the fish stand on the staff.
  await expect(page.getByTestId('phase')).toContainText(/pre-spawn [67]\d %/)
  await expect(page.getByTestId('phase')).toContainText(/staging \d+/)
  await expect(page.getByTestId('fish-band')).toBeVisible()
  await expect(page.getByTestId('staff').getByRole('img')).toHaveAccessibleName(/surface to 50 ft.*Most fish expected at 6–1[01] ft/)

  // A what-if moves the phase and the ranking, and is taken back.
  const ranking = page.getByTestId('ranking').getByRole('button')
  expect(await ranking.count()).toBeGreaterThanOrEqual(12)
  const before = await ranking.allInnerTexts()
  await page.getByRole('button', { name: 'Water temperature' }).click()
  await slide(page, 'water temperature', 'ArrowRight', /^65 °F$/)
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('phase')).toContainText(/^on the beds/)
  await expect.poll(() => ranking.allInnerTexts(), 'the ranking, worked out in a worker, follows').not.toEqual(before)
  await page.getByRole('button', { name: 'back to the readings' }).click()
  await expect(page.getByTestId('phase')).toContainText(/^pre-spawn/)
  await expect.poll(() => ranking.allInnerTexts(), 'the ranking goes back too').toEqual(before)

  // A place gives its reasons and a rig; the browser's back leaves it.
  await ranking.filter({ hasText: 'Kiln brush, step 2' }).click()
  await expect(page).toHaveURL(/place=/)
  const sheet = page.getByTestId('place-sheet')
  await expect(sheet).toContainText('right in the band of 6–1')
  await expect(sheet).toContainText(/tie on\s*1\/\d+ oz/)
  await page.goBack()
  await expect(page.getByTestId('ranking')).toBeVisible()
  await page.goForward()
  await sheet.getByRole('link', { name: 'Open on the rig bench' }).click()
  await expect(page.getByTestId('tie')).toHaveText(/^1\/\d+ oz$/)
  await expect(page.getByTestId('count')).toHaveText(/^\d+(\.5)? s$/)

  // On the water: the day, a school, a stretch, two fish, one undone.
  await page.goBack()
  await sheet.getByRole('link', { name: 'Fish it' }).click()
  await page.getByTestId('start-day').click()
  await expect(page.getByRole('heading', { name: 'Kiln brush, step 2 of 4' })).toBeVisible()
  await page.getByTestId('school').click()
  await slide(page, 'top of the fish', 'ArrowRight', /^8 ft$/)
  await page.getByRole('button', { name: 'tight', exact: true }).click()
  await page.getByTestId('save-school').click()
  await expect(page.getByText(/Top at 8 ft: keep the bait at 7 ft 4/)).toBeVisible()
  await page.getByRole('button', { name: /tap when tied on/ }).click()
  await expect(page.getByText('rig on, tap to log anew')).toBeVisible()

  await page.getByTestId('take').click()
  await page.getByRole('button', { name: 'white crappie' }).click()
  await slide(page, 'length', 'ArrowRight', /^11 in, about \d+ oz$/)
  await page.getByRole('button', { name: 'kept' }).click()
  await page.getByTestId('save-fish').click()
  await page.getByTestId('take').click()
  await page.getByTestId('save-fish').click()
  await expect(page.getByTestId('take')).toContainText('2')
  await page.getByTestId('undo').click()
  await expect(page.getByTestId('take')).toContainText('1')
  await page.getByTestId('follow').click()

  await page.getByTestId('stretch').click()
  await slide(page, 'fished for', 'ArrowRight', /^12 min$/)
  await page.getByTestId('save-stretch').click()
  await page.getByTestId('go-on').click()
  await page.getByRole('button', { name: 'Go on, nothing to log' }).click()
  await page.getByTestId('end-day').click()

  // The day's page, before and after the server was killed, in this browser and in one that never saw it.
  await expect(page).toHaveURL(/\/days\//)
  const dayUrl = page.url()
  const expectTheDay = async (there: typeof page) => {
    const schools = there.getByTestId('schools')
    await expect(schools).toContainText('Kiln brush, step 2 of 4: 8–10 ft down over')
    await expect(schools).toContainText('tight')
    await expect(schools).toContainText('12 min fished')
    await expect(schools).toContainText('1 follow')
    await expect(schools).toContainText(/1 fish on 1\/\d+ oz with .*, the longest 11 in/)
    await expect(schools).toContainText(/white crappie, 11 in, at .*, kept/)
    await expect(schools).not.toContainText('2 fish')
  }
  await expectTheDay(page)
  await app.kill()
  await app.start()
  await page.goto(dayUrl)
  await expectTheDay(page)
  const other = await browser.newContext()
  const fresh = await other.newPage()
  await fresh.goto(dayUrl)
  await expectTheDay(fresh)
  await fresh.goto(`${app.url}/days`)
  await expect(fresh.getByRole('row').nth(1)).toContainText(/Pellowick Reservoir\s*1\s*1\s*1/)
  await other.close()
})

test('wind from 2 to 8 m/s moves the float stop and the weight, and says why', async ({ page }) => {
  await openBoard(page)
  await page.getByTestId('ranking').getByRole('button', { name: /Kiln brush, step 2/ }).click()
  await page.getByRole('link', { name: 'Open on the rig bench' }).click()
  const inches = async () => {
    const [, feet, rest] = /(\d+) ft(?: (\d+))?/.exec(await page.getByTestId('stop').innerText())!
    return Number(feet) * 12 + Number(rest ?? 0)
  }
  const ounces = async () => {
    const [, a, b] = /(\d+)\/(\d+) oz/.exec(await page.getByTestId('tie').innerText())!
    return Number(a) / Number(b)
  }

  await supposeWind(page, 4)
  const light = await ounces()
  await page.getByRole('button', { name: 'slip float' }).click()
  const short = await inches()
  await supposeWind(page, 18)
  await expect(page.getByTestId('why')).toContainText(/18 mph lifts a bare 1\/32 oz by \d+ in; with .* of shot above it/)
  expect(await inches()).toBeGreaterThan(short)
  await expect(page.getByTestId('shot')).toHaveText(/oz/)
  await page.getByRole('button', { name: 'cast jig' }).click()
  expect(await ounces()).toBeGreaterThan(light)
  await expect(page.getByTestId('why')).toContainText(/18 mph/)
})

test('the body and the box change the answer', async ({ page }) => {
  await openBoard(page)
  await page.getByTestId('ranking').getByRole('button', { name: /Kiln brush, step 2/ }).click()
  await page.getByRole('link', { name: 'Open on the rig bench' }).click()
  const count = await page.getByTestId('count').innerText()
  await page.getByRole('combobox', { name: 'body' }).click({ force: true })
  await page.getByRole('option', { name: /2½ in/ }).click()
  await expect(page).toHaveURL(/body=/)
  await expect(page.getByTestId('count')).not.toHaveText(count)

  const tie = await page.getByTestId('tie').innerText()
  const head = page.getByRole('button', { name: tie.replace(' oz', ''), exact: true })
  await head.click()
  await expect(head).toHaveAttribute('aria-pressed', 'false')
  await expect(page.getByTestId('tie')).not.toHaveText(tie)
  await page.reload()
  await expect(page.getByRole('button', { name: tie.replace(' oz', ''), exact: true })).toHaveAttribute('aria-pressed', 'false')
})

test('metres and grams everywhere, never both at once', async ({ page }) => {
  await openBoard(page)
  await page.getByRole('button', { name: /^Settings/ }).click()
  await page.getByRole('button', { name: 'metres and grams' }).click()
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('ranking')).toContainText(/band of [\d.]+–[\d.]+ m\b/)
  expect(await page.locator('body').innerText()).not.toMatch(/\d ft\b|\boz\b|mph|°F/)
  await page.getByTestId('ranking').getByRole('button').first().click()
  await page.getByRole('link', { name: 'Open on the rig bench' }).click()
  await expect(page.getByTestId('tie')).toHaveText(/ g$/)
  expect(await page.locator('.bench').innerText()).not.toMatch(/\d ft\b|\boz\b|mph/)
})
