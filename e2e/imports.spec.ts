import { readFileSync, writeFileSync } from 'node:fs'
import { readCsvSoundings, guessCsv, type CsvGuess } from '../core/formats/csvSoundings'
import { readCsvLevels } from '../core/formats/csvLevels'
import { readKml } from '../core/formats/kml'
import { encodeSoundings, soundingTable } from '../core/formats/soundingBlob'
import { seededRandom } from '../core/numeric/random'
import { packImport, type ImportHeader, type ImportSummary, type JobState, type PoolLevels } from '../shared/imports'
import type { Water, WaterSummary } from '../shared/waters'
import { expect, openBoard, slide, test, type App } from './support/app'

const square: NonNullable<ImportHeader['newWater']>['shoreline'] = { type: 'Polygon', coordinates: [[[-88.5, 40], [-88.496, 40], [-88.496, 40.003], [-88.5, 40.003], [-88.5, 40]]] }
const header = (change: Partial<ImportHeader> = {}): ImportHeader => ({ waterId: null, newWater: { name: 'Square Tarn', zone: 'America/Chicago', shoreline: square }, label: 'a.csv', levelM: null, cellM: 5, ...change })
const soundings = Array.from({ length: 200 }, (_, i) => ({ lonDeg: -88.4998 + (i % 20) * 0.00018, latDeg: 40.0002 + Math.floor(i / 20) * 0.00028, depthM: 2 + (i % 20) * 0.1, atMs: null }))
const bytes = encodeSoundings(soundingTable(soundings, new Uint8Array(200)))

async function post(app: App, body: Uint8Array, type = 'application/octet-stream') {
  const response = await fetch(`${app.url}/api/imports`, { method: 'POST', headers: { 'Content-Type': type }, body: body as Uint8Array<ArrayBuffer> })
  return { status: response.status, body: await response.json() as JobState & { error?: { field?: string, message: string } } }
}
async function ended(app: App, jobId: string): Promise<JobState> {
  for (;;) {
    const job = await app.json<JobState>(`jobs/${jobId}`)
    if (job.state !== 'running') return job
    await new Promise(wake => setTimeout(wake, 50))
  }
}

test('an import over the wire: accepted, followed, listed, given back', async ({ app }) => {
  const { status, body: job } = await post(app, packImport(header(), bytes))
  expect(status).toBe(202)
  expect(job.state).toBe('running')
  expect(await ended(app, job.id)).toMatchObject({ state: 'done', done: 1, message: null })
  expect(await app.json<Water>(`waters/${job.waterId}`)).toMatchObject({ name: 'Square Tarn', zone: 'America/Chicago', cellM: 5 })
  expect(await app.json<ImportSummary[]>(`waters/${job.waterId}/imports`)).toEqual([expect.objectContaining({ count: 200, undone: false })])
  const csv = await fetch(`${app.url}/api/waters/${job.waterId}/soundings`).then(r => r.text())
  expect(readCsvSoundings(csv, (guessCsv(csv) as CsvGuess).mapping).items).toEqual(soundings)
  // The same water takes more; a header that names it must not bring a new one too.
  const more = await post(app, packImport(header({ waterId: job.waterId, newWater: null, label: 'b.csv' }), bytes))
  expect(more.status).toBe(202)
  await ended(app, more.body.id)
  expect(await app.json<ImportSummary[]>(`waters/${job.waterId}/imports`)).toHaveLength(2)
  expect((await post(app, packImport(header({ waterId: job.waterId }), bytes))).body.error!.message).toMatch(/exactly one of waterId and newWater/)
})

test('every bad import is refused with its reason, and nothing is written', async ({ app }) => {
  const text = new TextEncoder()
  const cases: [what: string, body: Uint8Array, status: number, field: string | undefined, message: RegExp][] = [
    ['nothing', new Uint8Array(0), 400, undefined, /cut short/],
    ['words', text.encode('hello there, this is no import'), 400, undefined, /cut short|cannot be read/],
    ['no soundings', packImport(header(), new Uint8Array(3)), 400, undefined, /not soundings/],
    ['a sounding under the moon', packImport(header(), encodeSoundings(soundingTable([{ ...soundings[0]!, depthM: 9000 }], new Uint8Array(1)))), 400, undefined, /soundings\[0\] has a depth out of range/],
    ['a cell of a mile', packImport(header({ cellM: 1600 }), bytes), 422, 'cellM', /less than or equal to 20/],
    ['a zone on Mars', packImport(header({ newWater: { ...header().newWater!, zone: 'Mars/Base' } }), bytes), 422, 'newWater.zone', /time zone/],
    ['a shoreline of two corners', packImport(header({ newWater: { ...header().newWater!, shoreline: { type: 'Polygon', coordinates: [[[0, 0], [1, 1]]] } } }), bytes), 422, 'newWater.shoreline.coordinates[0]', /at least 4/],
    ['a bow', packImport(header({ newWater: { ...header().newWater!, shoreline: { type: 'Polygon', coordinates: [[[-88, 40], [-87.99, 40.01], [-87.99, 40], [-88, 40.006], [-88, 40]]] } } }), bytes), 422, 'newWater.shoreline', /crosses itself/],
    ['a field nobody knows', packImport({ ...header(), colour: 'pink' } as ImportHeader, bytes), 422, 'colour', /not allowed/],
  ]
  for (const [what, body, status, field, message] of cases) {
    const answer = await post(app, body)
    expect(answer.status, what).toBe(status)
    expect(answer.body.error!.field, what).toBe(field)
    expect(answer.body.error!.message, what).toMatch(message)
  }
  expect((await post(app, packImport(header(), bytes), 'text/plain')).status).toBe(415)
  expect((await fetch(`${app.url}/api/jobs/nope`)).status).toBe(404)
  // Spoiled at random: an answer each time, and still one water.
  const random = seededRandom(4)
  const good = packImport(header(), bytes)
  const answers = new Set<number>()
  for (let n = 0; n < 150; n++) {
    const body = good.slice(0, random() < 0.3 ? Math.floor(random() * good.length) : good.length)
    for (let k = 0; k < 6; k++) body[Math.floor(random() * Math.min(body.length, 400))] = Math.floor(random() * 256)
    const { status, body: answer } = await post(app, body)
    answers.add(status)
    if (status === 202) await ended(app, answer.id)
    else expect(answer.error!.message.length).toBeGreaterThan(5)
  }
  expect([...answers].every(s => s === 400 || s === 422 || s === 202)).toBe(true)
  expect((await app.json<WaterSummary[]>('waters')).filter(w => w.name === 'Pellowick Reservoir')).toHaveLength(1)
})

test('a job can be stopped, and only one runs at a time', async ({ app }) => {
  const before = await app.json<WaterSummary[]>('waters')
  const wide = { type: 'Polygon' as const, coordinates: [[[-88.5, 40], [-88.44, 40], [-88.44, 40.045], [-88.5, 40.045], [-88.5, 40]] as [number, number][]] }
  const { body: job } = await post(app, packImport(header({ cellM: 2, newWater: { name: 'Wide', zone: 'UTC', shoreline: wide } }), bytes))
  const second = await post(app, packImport(header(), bytes))
  expect(second.status).toBe(409)
  expect(second.body.error!.message).toMatch(/another chart is being worked out/)
  const response = await fetch(`${app.url}/api/jobs/${job.id}`, { method: 'DELETE' })
  expect(response.status).toBe(200)
  expect(await ended(app, job.id)).toMatchObject({ state: 'stopped', message: 'stopped; nothing was changed' })
  expect(await app.json<WaterSummary[]>('waters')).toEqual(before)
})

test('pool levels come in and go out as a table', async ({ app, page }, info) => {
  await openBoard(page)
  await page.getByRole('link', { name: 'Chart', exact: true }).click()
  await page.getByText('Pool level and taking it out').click()
  const file = info.outputPath('levels.csv')
  writeFileSync(file, 'date,level_m\n2026-04-01,-0.6\n2026-04-24,-0.6\nsoon,4\n')
  await page.getByTestId('levels').setInputFiles(file)
  await expect(page.getByRole('alert')).toContainText('2 levels taken, 1 rows left out; the first on line 4: the time is missing')
  await expect(page.getByText(/2 ft under it|24 in under it/).first()).toBeVisible()
  const [water] = await app.json<WaterSummary[]>('waters')
  expect((await app.json<PoolLevels>(`waters/${water!.id}/levels`)).levels).toHaveLength(2)
  const [saved] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Levels, CSV' }).click()])
  expect(readCsvLevels(readFileSync(await saved.path(), 'utf8')).items.map(l => l.levelM)).toEqual([-0.6, -0.6])
  // A table that is none leaves the history as it was.
  writeFileSync(file, 'a,b\nc,d\n')
  await page.getByTestId('levels').setInputFiles(file)
  await expect(page.getByRole('alert')).toContainText('The history stays as it was')
  expect((await app.json<PoolLevels>(`waters/${water!.id}/levels`)).levels).toHaveLength(2)
})

test('places and contours leave as KML and come back', async ({ page }) => {
  await openBoard(page)
  await page.getByRole('link', { name: 'Chart', exact: true }).click()
  await page.getByText('Pool level and taking it out').click()
  for (const [what, least] of [['places', 12], ['contours', 20]] as const) {
    await page.getByLabel('take out').selectOption(what)
    const [saved] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'KML' }).click()])
    const { items, skipped } = readKml(readFileSync(await saved.path(), 'utf8'))
    expect(items.length).toBeGreaterThanOrEqual(least)
    expect(skipped).toBe(0)
  }
})

test('a shoreline is drawn around the soundings, with an island in it, and taken back', async ({ page }, info) => {
  await page.goto('/bring')
  const file = info.outputPath('tracks.csv')
  writeFileSync(file, `lon,lat,depth_m\n${soundings.map(s => `${s.lonDeg},${s.latDeg},${s.depthM}`).join('\n')}\n`)
  await page.getByTestId('files').setInputFiles(file)
  await expect(page.getByTestId('file')).toContainText('table · 200 soundings')
  await page.getByLabel('name of the water').fill('Drawn Tarn')
  await page.getByRole('button', { name: 'Draw the shoreline, then islands' }).click()
  const map = (await page.getByRole('application').boundingBox())!
  const draw = async (corners: [number, number][]) => {
    for (const [x, y] of corners) await page.mouse.click(map.x + map.width * x, map.y + map.height * y, { delay: 30 })
    const [x, y] = corners.at(-1)!
    await page.mouse.dblclick(map.x + map.width * (x - 0.03), map.y + map.height * (y - 0.03))
  }
  await draw([[0.06, 0.08], [0.94, 0.08], [0.94, 0.9], [0.08, 0.9]])
  await expect(page.getByTestId('bring')).toBeEnabled()
  await draw([[0.4, 0.4], [0.5, 0.4], [0.5, 0.5]])
  // The island goes first, then the shoreline comes back alone.
  await page.getByRole('button', { name: 'Take back the last' }).click()
  await expect(page.getByTestId('bring')).toBeEnabled()
  await page.getByRole('button', { name: 'Done drawing' }).click()
  await slide(page, 'width of the grid\'s cells', 'ArrowRight', /^3[0-9] ft$/)
  await page.getByRole('button', { name: 'Try the chart' }).click()
  await expect(page.getByTestId('preview')).toContainText('at the deepest')
  await page.getByRole('button', { name: 'Draw the shoreline, then islands' }).click()
  await page.getByRole('button', { name: 'Take back the last' }).click()
  await expect(page.getByTestId('bring')).toBeDisabled()
  await expect(page.getByText('There is no shoreline yet')).toBeVisible()
})
