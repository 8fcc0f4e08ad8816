import { v7 as uuidv7 } from 'uuid'
import type { Entry } from '../core/school/entries'
import type { TripSummary, WaterSummary } from '../shared/waters'
import { expect, test } from './support/app'

test.use({ viewport: { width: 390, height: 844 } })

test('the second fish does not wait for the first one\'s sheet, casts are tapped, and a boil ranks the next showings', async ({ page, app }) => {
  test.setTimeout(120_000)
  await page.clock.install()
  await page.goto('/log')
  await page.getByTestId('start-day').click()
  await page.getByTestId('where').getByRole('button', { name: /Kiln brush, step 2/ }).click({ timeout: 40_000 })
  for (let i = 0; i < 3; i++) await page.getByTestId('cast').click()
  await expect(page.getByTestId('cast')).toContainText('3')

  // Two fish in one breath: the pad's take stays in reach while the sheet is open.
  await page.getByTestId('take').click()
  await page.getByRole('button', { name: 'white crappie' }).waitFor()
  await page.getByTestId('take').click()
  await expect(page.getByTestId('take')).toContainText('2')
  // The second fish's own sheet takes the first one's place a frame later.
  await page.clock.fastForward(100)
  await page.waitForTimeout(300)
  await page.getByRole('button', { name: 'white crappie' }).click()
  await page.getByRole('button', { name: 'pull', exact: true }).click()
  await page.getByRole('slider', { name: 'length' }).press('ArrowRight')
  await page.getByTestId('save-fish').click()
  await page.getByTestId('nameless').click()
  // The likeliest is now what was caught last, and the length stands where it was left.
  await expect(page.getByRole('group', { name: 'species' }).getByRole('button').first()).toHaveText('white crappie')
  await page.getByTestId('save-fish').click()
  await expect(page.getByTestId('nameless')).toHaveCount(0)

  // What was tapped is not asked for again.
  await page.clock.fastForward('06:00')
  await page.getByTestId('stretch').click()
  await expect(page.getByRole('slider', { name: 'casts beside the 3 tapped' })).toHaveAttribute('aria-valuetext', '0')
  await page.getByTestId('save-stretch').click()

  await page.getByTestId('boil').click()
  await expect(page.getByTestId('showings').getByRole('listitem').first()).toContainText(/1 boil, about .*, last just now/)
  await page.getByRole('button', { name: 'NE', exact: true }).click()
  await expect(page.getByRole('button', { name: 'NE', exact: true })).toHaveAttribute('aria-pressed', 'true')
  await page.keyboard.press('Escape')
  await page.clock.fastForward('00:10')
  await expect(page.getByTestId('unsent')).toHaveText('all sent', { timeout: 20_000 })
  const [day] = await app.json<TripSummary[]>('trips')
  const { entries } = await app.json<{ entries: Entry[] }>(`trips/${day!.id}`)
  const strikes = entries.flatMap(e => (e.kind === 'amend' && e.body.body.kind === 'fish' && 'strike' in e.body.body.body ? [e.body.body.body.strike] : []))
  expect(strikes).toContain('pull')
  expect(entries.filter(e => e.kind === 'sign' && e.body.sign === 'cast')).toHaveLength(3)
})

test('an hour before dark it says when to turn back, and after it that it is time', async ({ page }) => {
  await page.clock.install()
  await page.goto('/log')
  await page.getByTestId('start-day').click()
  await page.getByTestId('where').getByRole('button', { name: /Kiln brush, step 2/ }).click({ timeout: 40_000 })
  const cautions = page.getByTestId('cautions')
  await expect(cautions).not.toContainText('Turn back')
  await page.clock.fastForward('12:00:00')
  await expect(cautions).toContainText(/Turn back by 19:\d\d to be in before dark: a \d+ min run home at most\./, { timeout: 20_000 })
  await page.clock.fastForward('01:30:00')
  await expect(cautions).toContainText('Turn back now', { timeout: 20_000 })
})

test('a device that cannot keep an entry says so and counts nothing; a store that was cleared is noticed', async ({ page }) => {
  await page.goto('/log')
  await page.getByTestId('start-day').click()
  await page.getByTestId('where').getByRole('button').first().click({ timeout: 40_000 })
  await page.getByTestId('look').click()
  await expect(page.getByTestId('look')).toContainText('1')
  await page.evaluate(() => {
    const add = IDBObjectStore.prototype.add
    IDBObjectStore.prototype.add = function () {
      throw new DOMException('the disk is full', 'QuotaExceededError')
    }
    Object.assign(window, { heal: () => Object.assign(IDBObjectStore.prototype, { add }) })
  })
  await page.getByTestId('look').click()
  await expect(page.getByRole('alert')).toContainText('could not keep the last entry')
  await expect(page.getByTestId('look')).toContainText('1')
  await page.evaluate('heal()')
  await page.getByTestId('look').click()
  await expect(page.getByTestId('look')).toContainText('2')

  // The browser throws the store away while three entries wait.
  await page.route('**/api/journal', route => route.abort())
  for (let i = 0; i < 3; i++) await page.getByTestId('follow').click()
  await expect(page.getByTestId('follow')).toContainText('3')
  const unsent = Number.parseInt(await page.getByTestId('unsent').innerText())
  expect(unsent).toBeGreaterThanOrEqual(3)
  await page.goto('/icon.svg')
  await page.evaluate(() => new Promise((done, fail) => {
    const gone = indexedDB.deleteDatabase('remous')
    gone.onsuccess = done
    gone.onerror = fail
  }))
  await page.goto('/along')
  await expect(page.getByRole('alert')).toContainText(`This browser has cleared what it kept for Remous. ${unsent} entries that were not sent yet are gone from it.`, { timeout: 40_000 })
  await page.getByRole('button', { name: 'Understood' }).click()
  await expect(page.getByText('This browser has cleared')).toHaveCount(0)
})

test('an entry that the server refuses is kept and said, and holds up no other', async ({ page, app }) => {
  await page.goto('/log')
  await page.getByTestId('start-day').click()
  await page.getByTestId('where').getByRole('button').first().click({ timeout: 40_000 })
  let refused: string | null = null
  await page.route('**/api/journal', async (route) => {
    const { entries } = route.request().postDataJSON() as { entries: Entry[] }
    const bad = entries.find(e => e.kind === 'sign' && e.body.sign === 'tap')
    if (!bad) return route.continue()
    refused = bad.id
    await route.fulfill({ status: 422, contentType: 'application/json', body: JSON.stringify({ error: { field: 'entries', message: 'no such tap' } }) })
  })
  await page.getByTestId('look').click()
  await page.getByTestId('tap').click()
  await page.getByTestId('follow').click()
  await expect(page.getByTestId('unsent')).toHaveText('1 to send', { timeout: 20_000 })
  await expect(page.getByRole('alert')).toContainText('1 entry refused, kept here: no such tap')
  const [day] = await app.json<TripSummary[]>('trips')
  const { entries } = await app.json<{ entries: Entry[] }>(`trips/${day!.id}`)
  expect(entries.flatMap(e => (e.kind === 'sign' ? [e.body.sign] : []))).toEqual(['look', 'follow'])
  expect(entries.map(e => e.id)).not.toContain(refused)
  await page.unroute('**/api/journal')
  await page.reload()
  await expect(page.getByTestId('unsent')).toHaveText('all sent', { timeout: 40_000 })
})

test('two devices in one boat fill one day, each with its own rig and its own undo', async ({ page, browser, app }) => {
  test.setTimeout(120_000)
  await page.goto('/log')
  await page.getByTestId('start-day').click()
  await page.getByTestId('where').getByRole('button', { name: /Kiln brush, step 2/ }).click({ timeout: 40_000 })
  await page.getByRole('button', { name: /tap when tied on/ }).click()
  await page.getByTestId('take').click()
  await page.getByTestId('save-fish').waitFor()
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('unsent')).toHaveText('all sent', { timeout: 15_000 })

  const other = await (await browser.newContext({ baseURL: app.url, viewport: { width: 1024, height: 768 }, serviceWorkers: 'block' })).newPage()
  await other.goto('/log')
  await other.getByRole('button', { name: 'Go on with it' }).click({ timeout: 40_000 })
  await expect(other.getByTestId('take')).toContainText('1', { timeout: 40_000 })
  // The partner has nothing on yet, and nothing of his own to take back.
  await expect(other.getByRole('button', { name: /tap when tied on/ })).toBeVisible()
  await expect(other.getByTestId('undo')).toBeDisabled()
  await other.getByTestId('take').click()
  await other.getByTestId('save-fish').waitFor()
  await other.keyboard.press('Escape')
  await expect(other.getByTestId('take')).toContainText('2')
  await expect(other.getByTestId('unsent')).toHaveText('all sent', { timeout: 15_000 })

  const [day] = await app.json<TripSummary[]>('trips')
  await page.goto(`/days/${day!.id}`)
  const schools = page.getByTestId('schools')
  await expect(schools).toContainText(/1 fish on 1\/\d+ oz/, { timeout: 40_000 })
  await expect(schools).toContainText('1 fish nothing noted as tied on')

  // Afterwards: a forgotten one with its time, one put right, one taken out.
  const fish = schools.getByRole('button', { name: /^Put right: fish of/ })
  await expect(fish).toHaveCount(2)
  await fish.first().click()
  const form = page.getByTestId('fish-form')
  await form.getByRole('combobox', { name: 'fish' }).click({ force: true })
  await page.getByRole('option', { name: 'white crappie' }).click()
  await form.getByRole('button', { name: 'Keep it so' }).click()
  await expect(schools).toContainText('white crappie')
  await page.getByRole('button', { name: 'Add a forgotten fish' }).click()
  await form.getByLabel('time').fill('03:10')
  await form.getByRole('button', { name: 'Add it' }).click()
  await expect(form.getByRole('alert')).toContainText('That day ran from')
  await form.getByRole('button', { name: 'Leave it' }).click()
  await fish.last().click()
  await form.getByRole('button', { name: 'Take it out' }).click()
  await expect(fish).toHaveCount(1)
  await expect.poll(async () => (await app.json<TripSummary[]>('trips'))[0]!.fish).toBe(1)
})

test('two days that two devices began apart are put together, and taken apart again', async ({ page, app }) => {
  test.setTimeout(90_000)
  const [water] = await app.json<WaterSummary[]>('waters')
  const day = (fish: number) => {
    const tripId = uuidv7()
    const entry = (kind: string, minute: number, body: object) => ({ id: uuidv7(), tripId, at: `2026-04-24T11:${10 + minute}:00.000Z`, kind, body })
    return { tripId, entries: [entry('start', 0, { waterId: water!.id }), ...Array.from({ length: fish }, (_, i) => entry('fish', 5 + i, { schoolId: null, species: null, lengthM: null, fate: null, depthM: null })), entry('end', 29, {})] }
  }
  const [mine, partners] = [day(2), day(3)]
  expect((await app.send('journal', { entries: [...mine.entries, ...partners.entries] })).status).toBe(200)
  await page.goto(`/days/${partners.tripId}`)
  await page.getByRole('button', { name: 'Put both together' }).click({ timeout: 40_000 })
  await expect(page).toHaveURL(new RegExp(mine.tripId))
  await expect(page.getByText('Put together from 2 devices\' days.')).toBeVisible()
  const fish = page.getByTestId('schools').getByRole('button', { name: /^Put right: fish of/ })
  await expect(fish).toHaveCount(5)
  await expect.poll(async () => (await app.json<TripSummary[]>('trips')).filter(t => t.id === mine.tripId || t.id === partners.tripId).map(t => t.fish)).toEqual([5])
  await page.getByRole('button', { name: 'Take them apart' }).click()
  await expect(fish).toHaveCount(2)
  await expect(page.getByTestId('beside')).toContainText('3 fish')
})
