import { readFileSync, writeFileSync } from 'node:fs'
import AxeBuilder from '@axe-core/playwright'
import { readGpx } from '../core/formats/gpx'
import { writeGeoJson } from '../core/formats/geoJson'
import { depthAreas } from '../core/water/contourLines'
import { localFrame } from '../core/water/localFrame'
import { PELLOWICK_ORIGIN, pellowickGrid } from '../demo/pellowick'
import { boatLog } from '../sim/boatLog'
import type { Page } from '@playwright/test'
import { expect, openBoard, slide, test } from './support/app'

const truth = pellowickGrid(10)
const frame = localFrame(PELLOWICK_ORIGIN)

/** A shoreline and a boat's log on the disk, as an angler would have them. */
function filesFor(folder: (name: string) => string) {
  const outline = depthAreas({ grid: truth, levelsM: [0] })[0]!.polygons[0]!.map(ring => ring.slice(0, -1).map(([x, y]) => frame.toLonLat(x, y)))
  const shoreline = folder('tarn.geojson')
  writeFileSync(shoreline, writeGeoJson([{ shape: 'polygon', rings: outline, name: 'Vessel Tarn', properties: {} }]))
  const log = folder('tracks.nmea')
  writeFileSync(log, boatLog({ truth, frame, startMs: Date.UTC(2026, 3, 1, 14), spacingM: 50, seed: 3 }))
  return { shoreline, log }
}
const depthUnder = async (page: Page, dx: number, dy: number) => {
  const map = (await page.getByRole('application').boundingBox())!
  await page.mouse.move(map.x + map.width / 2 + dx, map.y + map.height / 2 + dy)
  await expect(page.getByTestId('under')).toContainText('to the bank')
  const [, feet, inches] = /^(\d+) ft(?: (\d+))?/.exec(await page.getByTestId('under').innerText())!
  return Number(feet) + Number(inches ?? 0) / 12
}

test('a shoreline and a boat\'s log become a chart that is read', async ({ app, page }, info) => {
  test.setTimeout(120_000)
  const { shoreline, log } = filesFor(name => info.outputPath(name))
  await page.goto('/bring')
  await page.getByLabel('name of the water').fill('Vessel Tarn')
  await page.getByTestId('files').setInputFiles([shoreline, log])
  const files = page.getByTestId('file')
  await expect(files.nth(0)).toContainText('GeoJSON · 1 outline')
  await expect(files.nth(1)).toContainText(/NMEA 0183 log · [\d,]{5,} soundings; \d+ left out/)
  await expect(files.nth(1)).toContainText(/line \d+: wrong checksum: ZZ instead of/)
  await slide(page, 'transducer below the surface', 'ArrowRight', /^1 ft$/)
  await expect(page.getByTestId('cleaning')).toContainText(/of [\d,]{5,} count/)
  await expect(page.getByRole('button', { name: /^spikes: \d+/ })).toBeVisible()
  const { violations } = await new AxeBuilder({ page }).analyze()
  expect(violations.filter(v => v.impact === 'serious' || v.impact === 'critical').map(v => `${v.id} ${v.nodes.map(n => n.target.join(' ')).join()}`)).toEqual([])

  // Tried here first: nothing is kept.
  await page.getByRole('button', { name: 'Try the chart' }).click()
  await expect(page.getByText(/Working the chart out here: \d+ %/)).toBeVisible()
  await expect(page.getByTestId('preview')).toContainText(/ft.* at the deepest.*Off by .* on [\d,]+ soundings of tracks left out/s, { timeout: 40_000 })
  expect(await app.json<unknown[]>('waters')).toHaveLength(3)
  await page.getByTestId('bring').click()
  await expect(page).toHaveURL(/\/chart/, { timeout: 60_000 })
  await expect(page.getByTestId('error')).toContainText(/Off by .* on tracks it had not seen/)

  // The steep break beside the biggest flat stands in the list, with its figures.
  const features = page.getByTestId('features').getByRole('button')
  await expect(features.first()).toBeVisible({ timeout: 30_000 })
  await page.getByLabel('Kind of feature').selectOption('break')
  await expect(page).toHaveURL(/kind=break/)
  const best = features.first()
  await expect(best).toContainText(/Break, \d+–\d+ ft in \d+ ft/)
  await expect(best).toContainText(/beside 1[5-9] acres of flat/)
  await best.click()
  await expect(page).toHaveURL(/feature=break-/)

  // The pool drops: depths go with it. The water clears: the weed line goes down.
  await page.goto(page.url().replace(/\?.*/, ''))
  await expect(features.first()).toBeVisible({ timeout: 30_000 })
  const full = await depthUnder(page, 150, 0)
  await page.getByText('Pool level and taking it out').click()
  await slide(page, 'pool today', 'ArrowLeft', /^3 ft .*under it$/)
  await expect.poll(() => depthUnder(page, 151, 0)).toBeLessThan(full - 2.5)
  await page.getByRole('button', { name: 'Keep as today\'s level' }).click()
  await expect(page.getByRole('button', { name: 'Keep as today\'s level' })).toBeHidden()
  await page.reload()
  await expect(features.first()).toBeVisible({ timeout: 30_000 })
  expect(await depthUnder(page, 150, 0)).toBeLessThan(full - 2.5)
  const weed = async () => Number(/about (\d+) ft/.exec(await page.getByTestId('weed').innerText())![1])
  const murky = await weed()
  await page.getByRole('button', { name: 'Clarity' }).click()
  await slide(page, 'a pale lure is seen down to', 'ArrowRight', /^8 ft/)
  await page.keyboard.press('Escape')
  expect(await weed()).toBeGreaterThan(murky + 2)

  // Out as GPX, and back in unchanged.
  await page.getByText('Pool level and taking it out').click()
  const [saved] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'GPX' }).click()])
  expect(saved.suggestedFilename()).toBe('vessel-tarn-features.gpx')
  const read = readGpx(readFileSync(await saved.path(), 'utf8'))
  expect([read.skipped, read.issues]).toEqual([0, []])
  expect(read.items.filter(i => i.properties.type === 'break').length).toBeGreaterThan(1)
  expect(read.items.some(i => i.properties.type === 'road')).toBe(true)

  // The import can be taken out and put back.
  await page.getByRole('link', { name: 'Soundings', exact: true }).click()
  await expect(page.getByTestId('imports')).toContainText('tracks.nmea')
  await page.getByRole('button', { name: 'Take it out' }).click()
  await expect(page).toHaveURL(/\/chart/, { timeout: 60_000 })
  await expect(page.getByTestId('error')).toContainText('No track was left out')

  // A new water has its own weather and year, told by the service alone.
  await page.getByRole('link', { name: 'Season', exact: true }).click()
  await expect(page.getByTestId('parts').getByRole('row', { name: /^main basin/ })).toContainText('°F', { timeout: 30_000 })
  await expect(page.getByTestId('weather-age')).toContainText('Forecast made at')
  await expect(page.getByText('No temperature has been read yet: the model goes by the weather alone.')).toBeVisible()
})

test('stopping an import changes nothing', async ({ app, page }, info) => {
  const { shoreline, log } = filesFor(name => info.outputPath(name))
  await page.goto('/bring')
  await page.getByLabel('name of the water').fill('Never Tarn')
  await page.getByTestId('files').setInputFiles([shoreline, log])
  await expect(page.getByTestId('cleaning')).toBeVisible()
  await page.getByRole('slider', { name: 'width of the grid\'s cells' }).press('Home')
  await page.getByTestId('bring').click()
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByRole('alert')).toContainText('nothing was changed')
  expect(await app.json<unknown[]>('waters')).toHaveLength(3)
})

test('bad files are told apart and nothing is taken from them', async ({ page }, info) => {
  await page.goto('/bring')
  const file = (name: string, text: string) => {
    writeFileSync(info.outputPath(name), text)
    return info.outputPath(name)
  }
  await page.getByTestId('files').setInputFiles([
    file('cut.kml', '<kml><Document><Placemark>'), file('bomb.kml', '<?xml version="1.0"?>\n<!DOCTYPE k [<!ENTITY a "b">]>\n<kml/>'), file('empty.csv', ''),
    file('bow.geojson', JSON.stringify({ type: 'Polygon', coordinates: [[[-88, 40], [-87.99, 40.01], [-87.99, 40], [-88, 40.006], [-88, 40]]] })),
  ])
  const files = page.getByTestId('file')
  await expect(files.nth(0)).toContainText(/not well-formed XML/)
  await expect(files.nth(1)).toContainText(/line 2: the file defines a document type or entities/)
  await expect(files.nth(2)).toContainText('the file is empty')
  await expect(page.getByRole('alert')).toContainText(/crosses itself/)
  await expect(page.getByTestId('bring')).toBeDisabled()
})

test('layers, bands, a measured line and a view of their own', async ({ page }) => {
  await openBoard(page)
  await page.getByRole('link', { name: 'Chart' }).click()
  await expect(page.getByTestId('features').getByRole('button').first()).toBeVisible({ timeout: 30_000 })
  for (const ground of ['day', 'night']) {
    await page.evaluate(value => localStorage.setItem('remous-ground', value), ground)
    const { violations } = await new AxeBuilder({ page }).analyze()
    expect(violations.filter(v => v.impact === 'serious' || v.impact === 'critical').map(v => `${v.id} ${v.nodes.map(n => n.target.join(' ')).join()}`)).toEqual([])
    await page.reload()
    await expect(page.getByTestId('features').getByRole('button').first()).toBeVisible({ timeout: 30_000 })
  }
  await page.getByRole('button', { name: 'two bands' }).click()
  await expect(page.getByTestId('meetings')).toContainText(/They touch in \d+ places, steepest first/)
  await page.getByRole('button', { name: /^1: \d+ ft apart along/ }).click()
  await expect(page).toHaveURL(/view=/)
  await expect(page).toHaveURL(/layers=[a-z,%C2]*bands/)
  await page.getByLabel('Search what was found').fill('hump')
  await expect(page.getByTestId('features').getByRole('button').first()).toContainText('Hump, top at')
  await page.getByTestId('draw-line').click()
  const map = (await page.getByRole('application').boundingBox())!
  await page.mouse.click(map.x + map.width * 0.3, map.y + map.height * 0.5)
  await page.mouse.dblclick(map.x + map.width * 0.7, map.y + map.height * 0.5)
  await expect(page.getByTestId('profile')).toContainText(/[\d,]+ ft long, \d+ ft.* at the deepest/)
  await page.getByRole('button', { name: 'Put it away' }).click()
  await page.getByRole('application').focus()
  await page.keyboard.press('+')
  await expect(page).toHaveURL(/view=/)
  const view = new URL(page.url()).searchParams.get('view')
  await page.reload()
  await expect(page.getByTestId('features').getByRole('button').first()).toBeVisible({ timeout: 30_000 })
  expect(new URL(page.url()).searchParams.get('view')).toBe(view)
})
