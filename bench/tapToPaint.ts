import type { Page } from '@playwright/test'
import { eq } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { seedDemo } from '../demo/seed'
import { migrateDb, openDb } from '../server/db/open'
import { places } from '../server/db/schema'
import { requireLocalAngler } from '../server/services/anglers'
import { listWaters } from '../server/services/waters'
import type { Angler } from '../shared/angler'
import type { Entry, EntryBodies, EntryKind } from '../core/school/entries'
import { NOT_BUILT, withBuiltApp } from './builtApp'

const SLOWER = 4
const SIGNS = 90
const TAKES = 30
const MINUTE_MS = 60_000
/** A quick thumb. */
const PAUSE_MS = 400
/** A day that is well under way. */
const LOGGED_SIGNS = 120

/** From a thumb on a key of the stop screen to the painted count that confirms it, with the processor four times slower; the rival is a bare counter on the same page. */
export async function tapToPaintBench() {
  const what = `tap to painted confirmation on the stop screen, the processor slowed ${SLOWER} times, ${LOGGED_SIGNS} signs logged before`
  const lines = await withBuiltApp({ seed }, async ({ browser, url, seeded: { waterId, placeId } }) => {
    const { now } = await (await fetch(`${url}/api/me`)).json() as Angler
    const tripId = await beginDay(url, waterId, placeId, Date.parse(now))
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } })
    await page.goto(`${url}/log/${tripId}`)
    await page.locator('[data-test=log-ladder], [data-test=look]').first().waitFor({ timeout: 60_000 })
    await page.waitForTimeout(6000)
    const cdp = await page.context().newCDPSession(page)
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
    const bare = await tapped(page, ['bare'], SIGNS)
    const signs = await tapped(page, ['look', 'follow', 'tap'], SIGNS)
    const takes = await tapped(page, ['take'], TAKES)
    return [
      `a bare counter: ${said(bare)}`,
      `look, follow, tap: ${said(signs)}, ${(signs.median / bare.median).toFixed(1)} × the bare counter`,
      `take, with its sheet: ${said(takes)}`,
    ]
  })
  return { what, lines: lines ?? [NOT_BUILT] }
}

const said = ({ median, p95, count }: { median: number, p95: number, count: number }) => `median ${median.toFixed(0)} ms, 95th percentile ${p95.toFixed(0)} ms of ${count}`

function seed(file: string) {
  const db = openDb(file)
  migrateDb(db, 'server/db/migrations')
  seedDemo(db)
  const ownerId = requireLocalAngler(db).id
  const waterId = listWaters(db, ownerId)[0]!.id
  const placeId = db.select().from(places).where(eq(places.waterId, waterId)).all().find(p => p.name.startsWith('Kiln brush, step 2'))!.id
  db.$client.close()
  return { waterId, placeId }
}

async function beginDay(url: string, waterId: string, placeId: string, nowMs: number): Promise<string> {
  const tripId = uuidv7()
  const entry = <K extends EntryKind>(kind: K, ago: number, body: EntryBodies[K]) => ({ id: uuidv7(), tripId, at: new Date(nowMs - ago * MINUTE_MS).toISOString(), kind, body }) as Entry
  const fish = { schoolId: null, species: null, lengthM: null, fate: null, depthM: 2 }
  const entries = [
    entry('start', 60, { waterId }), entry('arrive', 40, { placeId }),
    ...Array.from({ length: LOGGED_SIGNS }, (_, i) => entry('sign', 39 - i / 4, { schoolId: null, sign: i % 2 ? 'look' : 'tap' })),
    ...[30, 22, 15, 9].map(ago => entry('fish', ago, fish)),
  ]
  const { status } = await fetch(`${url}/api/journal`, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ entries }) })
  if (status !== 200) throw new Error(`the day was not taken: ${status}`)
  return tripId
}

/** Taps keys in turn; times run from the finger's touch to the frame that shows another count. */
async function tapped(page: Page, keys: string[], count: number): Promise<{ median: number, p95: number, count: number }> {
  // As text: the bench's own compiler adds helpers that the page does not have.
  await page.evaluate(`(() => {
    globalThis.tapTimes = []
    if (!document.querySelector('[data-test=bare]')) {
      document.body.insertAdjacentHTML('beforeend', '<button data-test="bare" style="position:fixed;top:0;left:0;z-index:9999;width:40px;height:40px"><b>0</b></button>')
      const bare = document.querySelector('[data-test=bare]')
      bare.addEventListener('click', () => { bare.querySelector('b').textContent = String(Number(bare.textContent) + 1) })
      document.addEventListener('pointerdown', (event) => {
        const shown = event.target.closest('[data-test]')?.querySelector('b')
        if (!shown) return
        const was = shown.textContent
        const seen = new MutationObserver(() => {
          if (shown.textContent === was) return
          seen.disconnect()
          requestAnimationFrame(() => {
            const { port1, port2 } = new MessageChannel()
            port1.onmessage = () => tapTimes.push(performance.now() - event.timeStamp)
            port2.postMessage(0)
          })
        })
        seen.observe(shown, { characterData: true, childList: true, subtree: true })
      }, true)
    }
    document.querySelector('[data-test=bare]').style.display = ${JSON.stringify(keys[0])} === 'bare' ? '' : 'none'
  })()`)
  for (let i = 0; i < count; i++) {
    const box = (await page.locator(`[data-test=${keys[i % keys.length]}]`).boundingBox())!
    // The mouse itself, not a locator's click: what that looks up in the page beforehand would be timed with it.
    await page.mouse.click(box.x + box.width / 3, box.y + box.height / 2)
    await page.waitForTimeout(PAUSE_MS)
    if (keys[0] === 'take') {
      await page.keyboard.press('Escape')
      await page.waitForTimeout(PAUSE_MS)
    }
  }
  const times = (await page.evaluate<number[]>('tapTimes')).sort((a, b) => a - b)
  if (times.length !== count) throw new Error(`${times.length} of ${count} taps were confirmed`)
  return { median: times[times.length >> 1]!, p95: times[Math.floor(times.length * 0.95)]!, count: times.length }
}
