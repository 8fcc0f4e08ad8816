import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Browser } from '@playwright/test'

const PORT = '4174'
export const NOT_BUILT = 'nothing is built: run `npm run build` first'
const FLAGS = ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync']

/** Runs the built server on a file that `seed` fills, with a headless browser beside it; null when nothing is built. */
export async function withBuiltApp<S, T>({ seed, flags = [] }: { seed: (file: string) => S, flags?: string[] }, measure: (at: { url: string, browser: Browser, seeded: S }) => Promise<T>): Promise<T | null> {
  if (!existsSync('.output/server/index.mjs')) return null
  const folder = mkdtempSync(join(tmpdir(), 'remous-bench-'))
  const file = join(folder, 'demo.db')
  const seeded = seed(file)
  const url = `http://127.0.0.1:${PORT}`
  const server = spawn(process.execPath, ['scripts/serve.mjs'], { env: { ...process.env, PORT, DB_FILE: file }, stdio: 'ignore' })
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium', args: [...FLAGS, ...flags] })
  try {
    for (let tries = 0; tries < 100 && !await fetch(`${url}/api/me`).then(r => r.ok, () => false); tries++) await new Promise(wake => setTimeout(wake, 100))
    return await measure({ url, browser, seeded })
  }
  finally {
    await browser.close()
    server.kill()
    rmSync(folder, { recursive: true, force: true })
  }
}
