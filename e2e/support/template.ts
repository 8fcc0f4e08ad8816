import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { migrateDb, openDb } from '../../server/db/open'
import { seedDemo } from '../../demo/seed'

/** Seeds the demo once; every test starts from a copy of the file. */
export default function seedTemplate(): () => void {
  const folder = mkdtempSync(join(tmpdir(), 'remous-template-'))
  const file = join(folder, 'demo.db')
  const db = openDb(file)
  migrateDb(db, 'server/db/migrations')
  seedDemo(db)
  db.$client.close()
  process.env.REMOUS_TEMPLATE = file
  return () => rmSync(folder, { recursive: true, force: true })
}
