import { cpus } from 'node:os'
import type { Page } from '@playwright/test'
import { v7 as uuidv7 } from 'uuid'
import { depthAt } from '../core/water/depthGrid'
import { localFrame } from '../core/water/localFrame'
import { seededRandom } from '../core/numeric/random'
import { PELLOWICK_ORIGIN, pellowickGrid } from '../demo/pellowick'
import { seedDemo } from '../demo/seed'
import { migrateDb, openDb } from '../server/db/open'
import { places } from '../server/db/schema'
import { requireLocalAngler } from '../server/services/anglers'
import { listWaters } from '../server/services/waters'
import { NOT_BUILT, withBuiltApp } from './builtApp'

const PLACES = 5000

/** Time between frames while the built app's chart is dragged and zoomed, with features and 5,000 places on it, and of the board while its hour is changed. */
export async function framesBench() {
  const what = `panning and zooming the 5 m chart with its features and ${PLACES.toLocaleString('en-US')} places in headless Chromium (${cpus().length} × ${cpus()[0]!.model}, no graphics processor)`
  // Without a cap the time between frames is what a frame costs, not the screen's rhythm.
  const lines = await withBuiltApp({ seed: seedMany, flags: ['--disable-frame-rate-limit', '--disable-gpu-vsync'] }, async ({ browser, seeded: waterId, url }) => {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(`${url}/water/${waterId}/chart?layers=roads,weed,places&kind=all`)
    await page.locator('[data-test=features] button').first().waitFor({ timeout: 60_000 })
    await page.waitForTimeout(1500)
    const dragged = await dragMap(page)
    const slid = await slideHours(page, `${url}/water/${waterId}`)
    const ranked = await rankHours(page, `${url}/water/${waterId}`)
    const held = await dragBench(page, `${url}/water/${waterId}`)
    return [
      `between frames: median ${dragged.at(0.5).toFixed(1)} ms, 95th percentile ${dragged.at(0.95).toFixed(1)} ms, of ${dragged.count} frames`,
      `sliding the hour of the water's temperature, a new hour each frame: median ${slid.median.toFixed(1)} ms, 95th percentile ${slid.p95.toFixed(1)} ms`,
      `ranking ${PLACES.toLocaleString('en-US')} places for a new hour in the worker: median ${ranked.median} ms, longest ${ranked.most} ms of ${ranked.count}`,
      `dragging the board's map with them: median ${ranked.frameMedian.toFixed(1)} ms between frames, 95th percentile ${ranked.frameP95.toFixed(1)} ms`,
      ...Object.entries(held).map(([grip, t]) => `the bench's side view, ${{ 'grip-lure': 'lure', 'grip-tip': 'rod tip', 'grip-wind': 'wind' }[grip]} dragged: from a move to its frame ${t.median.toFixed(1)} ms median, ${t.p95.toFixed(1)} ms 95th percentile`),
    ]
  })
  return { what, lines: lines ?? [NOT_BUILT] }
}

/** Sets another hour in every frame of the temperature chart. */
async function slideHours(page: Page, water: string): Promise<{ median: number, p95: number }> {
  await page.goto(`${water}/season/temperature`)
  await page.locator('[data-test=hour]').waitFor({ timeout: 60_000 })
  await page.waitForTimeout(1500)
  const gaps = await page.evaluate<number[]>(`(async () => {
    const slider = document.querySelector('[data-test=hour]')
    const gaps = []
    let last = await new Promise(requestAnimationFrame)
    for (let i = 0; i < 200; i++) {
      slider.value = Number(slider.min) + Math.round((Number(slider.max) - Number(slider.min)) * i / 200 / 3600000) * 3600000
      slider.dispatchEvent(new Event('input', { bubbles: true }))
      const now = await new Promise(requestAnimationFrame)
      gaps.push(now - last)
      last = now
    }
    return gaps.sort((a, b) => a - b)
  })()`)
  return { median: gaps[100]!, p95: gaps[190]! }
}

/** Another hour on the board, again and again, then its map dragged; the list says how long its last ranking took. */
async function rankHours(page: Page, water: string) {
  await page.goto(`${water}?fits=1`)
  const list = page.locator('[data-test=ranking]')
  await list.locator('button').first().waitFor({ timeout: 60_000 })
  await page.waitForTimeout(2500)
  await page.getByRole('button', { name: 'Hour', exact: true }).click()
  const slider = page.getByRole('slider', { name: 'hour of the day' })
  await slider.focus()
  const times: number[] = []
  for (let i = 0; i < 16; i++) {
    await slider.press('ArrowRight')
    await page.waitForTimeout(350)
    times.push(Number(await list.getAttribute('data-took-ms')))
  }
  await page.keyboard.press('Escape')
  times.sort((a, b) => a - b)
  const frames = await dragMap(page)
  return { median: times[8]!, most: times.at(-1)!, count: times.length, frameMedian: frames.at(0.5), frameP95: frames.at(0.95) }
}

/** Times between frames while the map on the page is dragged and zoomed. */
async function dragMap(page: Page) {
  const { x, y, width, height } = (await page.getByRole('application').boundingBox())!
  // As text: the bench's own compiler adds helpers that the page does not have.
  await page.evaluate('globalThis.frameTimes = []; requestAnimationFrame(function tick(now) { frameTimes.push(now); requestAnimationFrame(tick) })')
  await page.mouse.move(x + width / 2, y + height / 2)
  for (let round = 0; round < 6; round++) {
    await page.mouse.down()
    for (let i = 0; i < 40; i++) await page.mouse.move(x + width / 2 + 150 * Math.sin(i / 6), y + height / 2 + 90 * Math.cos(i / 7))
    await page.mouse.up()
    await page.mouse.wheel(0, round % 2 ? 240 : -240)
    await page.waitForTimeout(300)
  }
  const times = await page.evaluate<number[]>('frameTimes')
  const gaps = times.slice(1).map((t, i) => t - times[i]!).sort((a, b) => a - b)
  return { at: (share: number) => gaps[Math.floor(share * gaps.length)]!, count: gaps.length }
}

function seedMany(file: string): string {
  const db = openDb(file)
  migrateDb(db, 'server/db/migrations')
  seedDemo(db)
  const ownerId = requireLocalAngler(db).id
  const waterId = listWaters(db, ownerId)[0]!.id
  const grid = pellowickGrid(10)
  const frame = localFrame(PELLOWICK_ORIGIN)
  const random = seededRandom(1)
  for (let n = 0; n < PLACES;) {
    const [x, y] = [random() * 2640, random() * 1640]
    if (!(depthAt({ grid, x, y }) > 1)) continue
    db.insert(places).values({ id: uuidv7(), ownerId, waterId, name: `Brush ${n}`, kind: 'brush', ...frame.toLonLat(x, y), attributes: { bottomDepthM: 4, coverTopM: 2, material: 'mixed' } }).run()
    n++
  }
  db.$client.close()
  return waterId
}

/** Times from a move of the hand to the next frame while lure, rod tip and wind are dragged in the side view. */
async function dragBench(page: Page, water: string) {
  await page.goto(`${water}/rig`)
  const result: Record<string, { median: number, p95: number }> = {}
  for (const grip of ['grip-lure', 'grip-tip', 'grip-wind']) {
    await page.locator(`[data-test=${grip}]`).waitFor({ timeout: 60_000 })
    await page.waitForTimeout(1200)
    const { x, y, width, height } = (await page.locator(`[data-test=${grip}] .grip`).boundingBox())!
    await page.mouse.move(x + width / 2, y + height / 2)
    await page.mouse.down()
    // The hand moves once a frame; what is measured is the time until the frame that shows it has been made.
    const gaps = await page.evaluate<number[]>(`(async () => {
      const grip = document.querySelector('[data-test=${grip}]')
      const gaps = []
      for (let i = 0; i < 120; i++) {
        const before = performance.now()
        grip.dispatchEvent(new PointerEvent('pointermove', { bubbles: true, pointerId: 1, clientX: ${x + width / 2} + 30 * Math.sin(i / 9), clientY: ${y + height / 2} + 40 * Math.sin(i / 7) }))
        await new Promise(requestAnimationFrame)
        await new Promise(wake => { const channel = new MessageChannel(); channel.port1.onmessage = wake; channel.port2.postMessage(0) })
        gaps.push(performance.now() - before)
      }
      return gaps.sort((a, b) => a - b)
    })()`)
    await page.mouse.up()
    result[grip] = { median: gaps[60]!, p95: gaps[114]! }
  }
  return result
}
