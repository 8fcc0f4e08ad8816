import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/** A folder for what the test files of one run share: the demo takes a while to grow. */
export default function shareFolder(): () => void {
  const folder = mkdtempSync(join(tmpdir(), 'remous-unit-'))
  process.env.REMOUS_UNIT = folder
  return () => rmSync(folder, { recursive: true, force: true })
}
