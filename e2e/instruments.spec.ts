import { once } from 'node:events'
import { createServer, type AddressInfo, type Socket } from 'node:net'
import { nmeaSentence } from '../core/formats/nmea'
import { localFrame } from '../core/water/localFrame'
import { PELLOWICK_ORIGIN, pellowickGrid } from '../demo/pellowick'
import { boatInstruments } from '../sim/boatInstruments'
import type { Entry } from '../core/school/entries'
import type { TripSummary } from '../shared/waters'
import { expect, test } from './support/app'

const AT = { x: 1300, y: 900 }

/** A boat that lies still; what it says can be changed while it speaks. */
async function stillBoat() {
  const say = boatInstruments({ truth: pellowickGrid(10), frame: localFrame(PELLOWICK_ORIGIN), circuit: [{ ...AT, stayS: 100 }], waterC: 11, seed: 3, broken: 0, noise: 0 })
  const boat = { lines: (second: number, now: number) => say(second, now), stop: async () => {}, port: 0 }
  const wires = new Set<Socket>()
  let second = 0
  const server = createServer(wire => wires.add(wire)).listen(0, '127.0.0.1')
  await once(server, 'listening')
  const timer = setInterval(() => {
    const text = `${boat.lines(second++, Date.now()).join('\r\n')}\r\n`
    for (const wire of wires) wire.write(text)
  }, 500)
  boat.port = (server.address() as AddressInfo).port
  boat.stop = async () => {
    clearInterval(timer)
    for (const wire of wires) wire.destroy()
    server.close()
    await once(server, 'close')
  }
  return boat
}

test('the boat\'s instruments stamp what is logged; what they garble moves nothing, and what grows old is not shown', async ({ app, page }) => {
  test.setTimeout(120_000)
  const boat = await stillBoat()
  await page.goto('/instruments')
  const heard = page.getByTestId('heard')
  await expect(page.getByTestId('link')).toHaveText('Nothing is listened to.')
  await page.getByLabel('host').fill('127.0.0.1')
  await page.getByLabel('port').fill('99999')
  await page.getByRole('button', { name: 'Listen there' }).click()
  await expect(page.getByRole('alert')).toContainText('instruments.port')
  await page.getByLabel('port').fill(String(boat.port))
  await page.getByRole('button', { name: 'Listen there' }).click()
  await expect(page.getByTestId('link')).toContainText('Connected', { timeout: 20_000 })
  const row = (name: string) => heard.locator('div').filter({ hasText: name }).locator('dd')
  await expect(row('position')).toContainText(/^40\.20\d+, -88\.59\d+/)
  await expect(row('water temperature')).toHaveText('52 °F', { timeout: 15_000 })
  await expect(row('true wind')).toHaveText('7 mph from SW')

  // At a stop: the depth is the sounder's, and a take carries where it was.
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/log')
  await page.getByTestId('start-day').click()
  await page.getByTestId('where').getByRole('button', { name: /Kiln brush, step 2/ }).click({ timeout: 40_000 })
  await expect(page.getByTestId('boat')).toContainText(/\d+ ft.* · 52 °F · 7 mph SW · \d+ ft off the mark/)
  await expect(page.getByTestId('cautions')).toContainText('Water is 52 °F: life jacket worn, not stowed.')
  await page.getByTestId('take').click()
  await expect(page.getByTestId('unsent')).toHaveText('all sent', { timeout: 15_000 })
  const [day] = await app.json<TripSummary[]>('trips')
  const { entries } = await app.json<{ entries: Entry[] }>(`trips/${day!.id}`)
  const frame = localFrame(PELLOWICK_ORIGIN)
  const { fix } = entries.find(e => e.kind === 'fish')!
  const at = frame.toLocal(fix!.lonDeg, fix!.latDeg)
  expect(Math.hypot(at.x - AT.x, at.y - AT.y)).toBeLessThan(10)
  expect(fix!.waterC).toBeCloseTo(11, 0)

  // A wild fix among garbage: the boat stays where it was, and then is not shown at all.
  await page.goto('/instruments')
  await expect(row('position')).toContainText(/^40\.20/, { timeout: 40_000 })
  boat.lines = (second, now) => [second % 2 ? '\u0000garbage,,,*7' : '$GPRMC,1,A*00', nmeaSentence(`GPRMC,${new Date(now).toISOString().slice(11, 19).replaceAll(':', '')}.00,V,4512.0,N,08012.0,W,0,0,240426,,`)]
  await page.waitForTimeout(3000)
  const said = await row('position').innerText()
  expect(said === 'silent' || said.startsWith('40.20'), said).toBe(true)
  await expect(row('position')).toHaveText('silent', { timeout: 20_000 })
  await boat.stop()
  await expect(page.getByTestId('link')).toContainText('Not connected, trying again', { timeout: 20_000 })
})
