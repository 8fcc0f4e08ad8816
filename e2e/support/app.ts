import { spawn, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs'
import type { Server } from 'node:http'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { test as base, type Page } from '@playwright/test'
import { weatherService } from '../../sim/weatherService'

/** The built server on a database file of its own, which can be killed and started again on the same port. */
export class App {
  readonly url: string
  private child: ChildProcess | null = null
  private readonly port: number
  private readonly file: string
  private weather: Server | null = null
  private weatherPort = 0

  constructor(port: number, file: string) {
    this.port = port
    this.file = file
    this.url = `http://127.0.0.1:${port}`
  }

  async start(): Promise<void> {
    await this.raiseWeather()
    this.child = spawn(process.execPath, ['scripts/serve.mjs'], { env: { ...process.env, WEATHER_URL: `http://127.0.0.1:${this.weatherPort}`, PORT: String(this.port), DB_FILE: this.file, HOST: '' }, stdio: ['ignore', 'ignore', 'inherit'] })
    for (let tries = 0; ; tries++) {
      const up = await fetch(`${this.url}/api/me`).then(r => r.ok, () => false)
      if (up) return
      if (tries > 150) throw new Error('the server did not come up in 15 s')
      await new Promise(wake => setTimeout(wake, 100))
    }
  }

  /** The stand-in weather service of this test, at the address the server knows. */
  async raiseWeather(): Promise<void> {
    if (this.weather) return
    this.weather = weatherService().listen(this.weatherPort, '127.0.0.1')
    await once(this.weather, 'listening')
    this.weatherPort = (this.weather.address() as AddressInfo).port
  }

  async cutWeather(): Promise<void> {
    const { weather } = this
    this.weather = null
    if (!weather) return
    weather.closeAllConnections()
    weather.close()
    await once(weather, 'close')
  }

  /** SIGKILL: no goodbye, no flush. */
  async kill(): Promise<void> {
    const child = this.child
    if (!child || child.exitCode !== null || child.signalCode !== null) return
    const gone = once(child, 'exit')
    child.kill('SIGKILL')
    await gone
  }

  async json<T>(path: string): Promise<T> {
    const response = await fetch(`${this.url}/api/${path}`)
    if (!response.ok) throw new Error(`GET ${path} answered ${response.status}`)
    return await response.json() as T
  }

  /** Sends a body as it is; gives the status and whatever came back. */
  async send(path: string, body: string | object, { method = 'POST', type = 'application/json' } = {}): Promise<{ status: number, body: { error?: { field?: string, message: string }, [key: string]: unknown } }> {
    const response = await fetch(`${this.url}/api/${path}`, { method, headers: { 'Content-Type': type }, body: typeof body === 'string' ? body : JSON.stringify(body) })
    return { status: response.status, body: await response.json() as Record<string, unknown> }
  }
}

export const test = base.extend<{ app: App }>({
  app: async ({ browserName: _ }, use) => {
    const folder = mkdtempSync(join(tmpdir(), 'remous-e2e-'))
    const file = join(folder, 'demo.db')
    copyFileSync(process.env.REMOUS_TEMPLATE!, file)
    const app = new App(await freePort(), file)
    await app.start()
    await use(app)
    await app.kill()
    await app.cutWeather()
    rmSync(folder, { recursive: true, force: true })
  },
  baseURL: async ({ app }, use) => use(app.url),
  page: async ({ page }, use) => {
    const faults: string[] = []
    page.on('pageerror', error => faults.push(error.message))
    await use(page)
    if (faults.length > 0) throw new Error(`the page threw: ${faults.join('; ')}`)
  },
})
export { expect } from '@playwright/test'

async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1')
  await once(server, 'listening')
  const { port } = server.address() as AddressInfo
  server.close()
  await once(server, 'close')
  return port
}

/** Opens the board and waits until the chart's places are ranked. */
export async function openBoard(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByTestId('ranking').getByRole('button').first().waitFor()
}

/** Sets a slider to the wanted text with the arrow keys, as an angler at a desk would. */
export async function slide(page: Page, name: string, key: 'ArrowRight' | 'ArrowLeft', until: RegExp): Promise<void> {
  const slider = page.getByRole('slider', { name, exact: true })
  await slider.focus()
  for (let presses = 0; presses < 120; presses++) {
    if (until.test(await slider.getAttribute('aria-valuetext') ?? '')) return
    await slider.press(key)
  }
  throw new Error(`the slider "${name}" never read ${until}`)
}

/** Sets the wind of the conditions line in mph. */
export async function supposeWind(page: Page, mph: number): Promise<void> {
  await page.getByRole('button', { name: 'Wind', exact: true }).click()
  const slider = page.getByRole('slider', { name: 'wind speed' })
  await slider.focus()
  await slider.press('Home')
  await slide(page, 'wind speed', 'ArrowRight', new RegExp(`^${mph} mph$`))
  await page.keyboard.press('Escape')
  await page.getByRole('slider', { name: 'wind speed' }).waitFor({ state: 'hidden' })
}
