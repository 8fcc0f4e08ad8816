import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type BrowserContext, type Page } from '@playwright/test'
import type { Entry } from '../core/school/entries'
import type { TripSummary, WaterSummary } from '../shared/waters'
import { expect, test } from './support/app'

const ENTRIES = 30

/** A phone with its own storage, which outlives the browser being closed. */
async function phone(folder: string): Promise<{ context: BrowserContext, page: Page }> {
  const { launchOptions } = test.info().project.use
  const context = await chromium.launchPersistentContext(folder, { ...launchOptions, viewport: { width: 390, height: 844 }, reducedMotion: 'reduce', serviceWorkers: 'allow' })
  return { context, page: context.pages()[0] ?? await context.newPage() }
}

test('installed and taken along, the app opens cold without a network, logs a stop, and sends it once when the network is back', async ({ app, browser }) => {
  test.setTimeout(180_000)
  const folder = mkdtempSync(join(tmpdir(), 'remous-phone-'))
  const before = (await app.json<TripSummary[]>('trips')).length
  const [water] = await app.json<WaterSummary[]>('waters')

  // At home: the worker takes the app in, and the water is taken along.
  let { context, page } = await phone(folder)
  await page.goto(`${app.url}/along`)
  const first = page.getByTestId('waters').getByRole('listitem').filter({ hasText: water!.name })
  await first.getByRole('button', { name: 'Take along' }).click()
  await expect(first).toContainText('On this device: chart, places, forecast, ladders, tackle, log just now. Everything logged is sent.', { timeout: 40_000 })
  await page.waitForFunction(() => navigator.serviceWorker.controller?.state === 'activated', undefined, { timeout: 40_000 })
  await context.close()
  await app.kill()

  // On the lake: no server, a browser that was closed.
  ;({ context, page } = await phone(folder))
  await page.goto(app.url)
  await expect(page.getByTestId('ranking').getByRole('button').first()).toBeVisible({ timeout: 40_000 })
  await page.goto(`${app.url}/log`)
  await expect(page.getByTestId('along')).toContainText('no network just now')
  await page.getByTestId('start-day').click()
  await page.getByTestId('where').getByRole('button', { name: /Kiln brush, step 2/ }).click({ timeout: 40_000 })
  await page.getByTestId('school').click()
  await page.getByTestId('save-school').click()
  await page.getByRole('button', { name: /tap when tied on/ }).click()
  let logged = 4
  for (; logged < ENTRIES - 4; logged++) await page.getByTestId(logged % 3 === 0 ? 'follow' : 'look').click()
  await page.getByTestId('take').click()
  await page.getByTestId('save-fish').click()
  logged += 2
  await page.getByTestId('take').click()
  // The sheet comes a frame after the count.
  await page.getByTestId('save-fish').waitFor()
  await page.keyboard.press('Escape')
  await page.getByTestId('save-fish').waitFor({ state: 'hidden' })
  await page.getByTestId('tap').click()
  logged += 2
  expect(logged).toBe(ENTRIES)
  await expect(page.getByTestId('unsent')).toHaveText(`${ENTRIES} to send`)
  await context.close()

  // The phone was off; still no network: the stop is as it was left.
  ;({ context, page } = await phone(folder))
  await page.goto(`${app.url}/log`)
  await page.getByRole('button', { name: 'Go on with it' }).click({ timeout: 40_000 })
  await expect(page.getByTestId('take')).toContainText('2', { timeout: 40_000 })
  await expect(page.getByTestId('unsent')).toHaveText(`${ENTRIES} to send`)

  // The network is back.
  await app.start()
  await expect(page.getByTestId('unsent')).toHaveText('all sent', { timeout: 40_000 })
  const trips = await app.json<TripSummary[]>('trips')
  expect(trips).toHaveLength(before + 1)
  const [day] = trips
  expect(day).toMatchObject({ waterId: water!.id, endedAt: null, schools: 1, fish: 2 })
  const { entries } = await app.json<{ entries: Entry[] }>(`trips/${day!.id}`)
  expect(entries).toHaveLength(ENTRIES)
  expect(new Set(entries.map(e => e.id)).size).toBe(ENTRIES)
  await context.close()

  // At the desk, a browser that never saw the day.
  const desk = await (await browser.newContext({ baseURL: app.url })).newPage()
  await desk.goto(`/days/${day!.id}`)
  await expect(desk.getByTestId('schools')).toContainText('Kiln brush, step 2 of 4', { timeout: 40_000 })
  await expect(desk.getByTestId('schools')).toContainText('15 looks, 7 follows, 1 tap')
  rmSync(folder, { recursive: true, force: true })
})
