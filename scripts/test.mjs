// npm test: everything that must hold, on a fresh machine too. The last line is "N passed, N failed".
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { bin, built, chromium, ready, run } from './ready.mjs'

const tally = { passed: 0, failed: 0 }
const reports = mkdtempSync(join(tmpdir(), 'remous-test-'))

await ready()
const browser = await chromium()

await one('lint', bin('eslint'), ['.'])
await one('types', bin('nuxt'), ['typecheck'])
await many('unit tests', bin('vitest'), ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${join(reports, 'unit.json')}`], {}, 'unit.json',
  r => ({ passed: r.numPassedTests, failed: r.numFailedTests }))
await built()
await many('browser tests', bin('playwright'), ['test', '--reporter=list,json'], { CHROMIUM_PATH: browser, PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'e2e.json') }, 'e2e.json',
  r => ({ passed: r.stats.expected + r.stats.flaky, failed: r.stats.unexpected }))

rmSync(reports, { recursive: true, force: true })
console.log(`\n${tally.passed} passed, ${tally.failed} failed`)
process.exitCode = tally.failed > 0 ? 1 : 0

/** A check that passes or fails as a whole. */
async function one(name, command, args) {
  console.log(`\n== ${name}`)
  const code = await run(command, args)
  if (code === 0) tally.passed++
  else tally.failed++
}

/** A runner with a report of its own; one that dies before it writes it, or finds nothing to run, counts as a failure. */
async function many(name, command, args, env, report, read) {
  console.log(`\n== ${name}`)
  const code = await run(command, args, env)
  const path = join(reports, report)
  const { passed, failed } = existsSync(path) ? read(JSON.parse(readFileSync(path, 'utf8'))) : { passed: 0, failed: 0 }
  tally.passed += passed
  tally.failed += failed || (code !== 0 || passed === 0 ? 1 : 0)
}
