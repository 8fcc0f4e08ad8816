// npm run shots: pictures of each main view from fresh demo data, into docs/screenshots/.
import { spawn } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { bin, built, chromium, must, ready, ROOT } from './ready.mjs'
import { startBoat, startWeather } from './standIns.mjs'

const PORT = '4173'
const OUT = join(ROOT, 'docs/screenshots')
const DESK = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }

await ready()
await built()
const executablePath = await chromium()
const { chromium: launcher, selectors } = await import('@playwright/test')
selectors.setTestIdAttribute('data-test')
const folder = mkdtempSync(join(tmpdir(), 'remous-shots-'))
const env = { DB_FILE: join(folder, 'demo.db'), PORT }
await must('Writing the demo data', bin('tsx'), ['demo/seed.ts'], env)
const weather = startWeather(5074)
const boat = startBoat(5075)
const server = spawn(process.execPath, ['scripts/serve.mjs'], { cwd: ROOT, env: { ...process.env, ...env, WEATHER_URL: weather.url, INSTRUMENTS: boat.at }, stdio: 'inherit' })
const browser = await launcher.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'] })
mkdirSync(OUT, { recursive: true })

try {
  await up()
  const desk = await browser.newPage({ viewport: DESK, reducedMotion: 'reduce' })
  await desk.goto(`http://127.0.0.1:${PORT}/`)
  const ranking = desk.getByTestId('ranking').getByRole('button')
  await shoot(desk, 'board', ranking.first())
  await ranking.filter({ hasText: 'Kiln brush, step 2' }).click()
  await shoot(desk, 'place', desk.getByTestId('section'))
  await desk.getByRole('link', { name: 'Card', exact: true }).click()
  await shoot(desk, 'card', desk.getByTestId('card'))
  await desk.goBack()
  await desk.getByRole('button', { name: 'all places' }).click()
  await ranking.filter({ hasText: 'Ferry dock' }).click()
  await desk.getByRole('button', { name: 'Sky', exact: true }).click()
  await desk.getByRole('button', { name: 'clear', exact: true }).click()
  await desk.keyboard.press('Escape')
  await desk.getByRole('button', { name: 'Hour', exact: true }).click()
  const hour = desk.getByRole('slider', { name: 'hour of the day' })
  await hour.focus()
  for (let i = 0; i < 24; i++) await hour.press('ArrowRight')
  await desk.keyboard.press('Escape')
  await desk.getByTestId('dock-shade').scrollIntoViewIfNeeded()
  await shoot(desk, 'dock', desk.getByTestId('dock-side'))
  await desk.getByRole('button', { name: 'back to the readings' }).click()
  await desk.getByRole('button', { name: 'all places' }).click()
  await ranking.filter({ hasText: 'Kiln brush, step 2' }).click()
  await desk.getByRole('link', { name: 'Open on the rig bench' }).click()
  await desk.getByRole('button', { name: 'tight line' }).click()
  await shoot(desk, 'bench-jig', desk.getByTestId('tie'))
  await desk.getByRole('link', { name: 'What to fish with' }).click()
  await desk.getByTestId('take-along').click()
  await shoot(desk, 'methods', desk.getByTestId('along'))

  await desk.getByRole('link', { name: 'Chart', exact: true }).click()
  const features = desk.getByTestId('features').getByRole('button')
  await features.first().waitFor({ timeout: 60_000 })
  await features.filter({ hasText: 'Break' }).first().click()
  await shoot(desk, 'chart', features.first())
  await desk.getByRole('button', { name: 'two bands' }).click()
  await desk.getByRole('button', { name: 'weed line' }).click()
  await desk.getByTestId('draw-line').click()
  const map = await desk.getByRole('application').boundingBox()
  await desk.mouse.click(map.x + map.width * 0.12, map.y + map.height * 0.5)
  await desk.mouse.click(map.x + map.width * 0.45, map.y + map.height * 0.52)
  await desk.mouse.dblclick(map.x + map.width * 0.9, map.y + map.height * 0.47)
  await shoot(desk, 'chart-bands', desk.getByTestId('profile'))
  await desk.goto(`http://127.0.0.1:${PORT}/`)
  await ranking.first().waitFor()
  await desk.getByRole('link', { name: 'Season', exact: true }).click()
  await shoot(desk, 'season', desk.getByTestId('parts'))
  await desk.getByRole('link', { name: 'Water temperature' }).click()
  await desk.getByTestId('warmest').click()
  await shoot(desk, 'temperature', desk.getByTestId('warm-parts'))
  await desk.getByRole('link', { name: 'Which day' }).click()
  await shoot(desk, 'outlook', desk.getByTestId('day-row').first())
  const waters = await (await fetch(`http://127.0.0.1:${PORT}/api/waters`)).json()
  await desk.goto(`http://127.0.0.1:${PORT}/water/${waters.find(w => w.name === 'Tamarrow Lake').id}?fish=yellowPerch`)
  await ranking.filter({ hasText: 'North shore weed' }).click()
  await shoot(desk, 'weed', desk.getByTestId('section'))
  await must('Writing a boat\'s log', bin('tsx'), ['sim/writeSurvey.ts', folder])
  await desk.goto(`http://127.0.0.1:${PORT}/bring`)
  await desk.getByLabel('name of the water').fill('Vessel Tarn')
  await desk.getByTestId('files').setInputFiles([join(folder, 'vessel-tarn.geojson'), join(folder, 'tracks.nmea')])
  await desk.getByRole('button', { name: /^spikes/ }).waitFor()
  await shoot(desk, 'bring', desk.getByTestId('cleaning'))

  const phone = await browser.newPage({ viewport: PHONE, reducedMotion: 'reduce' })
  await phone.clock.install()
  await phone.goto(`http://127.0.0.1:${PORT}/log`)
  await phone.getByTestId('start-day').click()
  await shoot(phone, 'log-where', phone.getByTestId('where').getByRole('button', { name: /Kiln brush, step 2/ }))
  await phone.getByTestId('where').getByRole('button', { name: /Kiln brush, step 2/ }).click()
  await phone.getByTestId('school').click()
  await phone.getByTestId('save-school').click()
  await phone.getByRole('button', { name: /tap when tied on/ }).click()
  for (const sign of ['cast', 'look', 'cast', 'follow', 'cast', 'follow', 'tap']) await phone.getByTestId(sign).click()
  await phone.getByTestId('take').click()
  await phone.getByRole('slider', { name: 'length' }).press('ArrowRight')
  await phone.getByRole('button', { name: 'kept' }).click()
  await shoot(phone, 'log-fish', phone.getByTestId('save-fish'))
  await phone.getByTestId('save-fish').click()
  await phone.clock.fastForward('11:00')
  await shoot(phone, 'log-stop', phone.getByTestId('take'))
  await phone.evaluate(() => localStorage.setItem('remous-ground', 'night'))
  await phone.setViewportSize({ width: 1024, height: 768 })
  await phone.reload()
  await shoot(phone, 'log-tablet-night', phone.getByRole('region', { name: 'Rig card' }))

  await desk.goto(`http://127.0.0.1:${PORT}/along`)
  const first = desk.getByTestId('waters').getByRole('listitem').first()
  await first.getByRole('button', { name: /Take along|Bring up to date/ }).click()
  await shoot(desk, 'along', first.getByText('On this device'))
  await desk.goto(`http://127.0.0.1:${PORT}/days`)
  await desk.getByRole('link', { name: /April/ }).nth(2).click()
  await shoot(desk, 'day', desk.getByTestId('schools'))
}
finally {
  await browser.close()
  server.kill()
  weather.stop()
  boat.stop()
  rmSync(folder, { recursive: true, force: true })
}

async function up() {
  for (let tries = 0; tries < 100; tries++) {
    if (await fetch(`http://127.0.0.1:${PORT}/api/me`).then(r => r.ok, () => false)) return
    await new Promise(wake => setTimeout(wake, 100))
  }
  throw new Error('the server did not come up')
}

/** Waits for what the view is about, lets menus and sheets come to rest, and takes the picture. */
async function shoot(page, name, shown) {
  await shown.waitFor()
  await page.mouse.move(0, 0)
  await page.waitForTimeout(900)
  await page.screenshot({ path: join(OUT, `${name}.png`) })
  console.log(`docs/screenshots/${name}.png`)
}
