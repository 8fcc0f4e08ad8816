// What every command needs before it can run: packages, the generated files, Chromium, a current build.
// Only Node's own modules here: on a fresh clone nothing is installed yet.
import { spawn, spawnSync } from 'node:child_process'
import { existsSync, readdirSync, statSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '..')
const BUILT = join(ROOT, '.output/nitro.json')
const SOURCES = ['app', 'core', 'server', 'shared', 'public', 'nuxt.config.ts', 'package-lock.json']

/** Runs a command with its output on this terminal; resolves to its exit code. */
export function run(command, args, env = {}) {
  return new Promise((done, fail) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, ...env } })
    child.on('error', fail)
    child.on('exit', (code, signal) => done(code ?? (signal ? 1 : 0)))
  })
}

/** As `run`, but a failure ends the program with a sentence. */
export async function must(what, command, args, env) {
  const code = await run(command, args, env)
  if (code === 0) return
  console.error(`${what} failed (exit code ${code}).`)
  process.exit(1)
}

export const bin = name => join(ROOT, 'node_modules/.bin', name)

/** Packages as the lock file has them, with the SQLite addon built, and Nuxt's generated types. */
export async function ready() {
  const installed = join(ROOT, 'node_modules/.package-lock.json')
  if (!existsSync(installed) || statSync(installed).mtimeMs < statSync(join(ROOT, 'package-lock.json')).mtimeMs) {
    await requireTools({ 'python3': 'python3', 'make': 'make', 'g++': 'g++' })
    console.log('Installing packages; the SQLite addon is compiled, which takes a few minutes …')
    await must('Installing packages', 'npm', ['ci', '--no-audit', '--no-fund'])
  }
  if (!existsSync(join(ROOT, '.nuxt/tsconfig.app.json'))) await must('Preparing Nuxt', bin('nuxt'), ['prepare'])
}

/** Builds the app unless the build that is there is newer than every source. */
export async function built() {
  if (existsSync(BUILT) && newest(SOURCES.map(s => join(ROOT, s))) <= statSync(BUILT).mtimeMs) return
  console.log('Building the app …')
  await must('The build', bin('nuxt'), ['build'])
}

/** Path of Debian's Chromium, installed first where it is missing. */
export async function chromium() {
  const found = chromiumPath()
  if (found) return found
  await requireTools({ chromium: 'chromium' })
  return chromiumPath() ?? stop('Chromium was installed but cannot be found; set CHROMIUM_PATH to it.')
}

function chromiumPath() {
  return [process.env.CHROMIUM_PATH, which('chromium'), which('chromium-browser')].find(path => path && existsSync(path))
}

/** Debian packages for commands that are missing; without the right to install them, says which. */
async function requireTools(packageOf) {
  const missing = Object.entries(packageOf).filter(([command]) => !which(command)).map(([, name]) => name)
  if (missing.length === 0) return
  const root = process.getuid?.() === 0
  if (!which('apt-get') || (!root && !which('sudo'))) stop(`These are needed and not on this machine: ${missing.join(', ')}.`)
  const apt = (...args) => (root ? run('apt-get', args) : run('sudo', ['apt-get', ...args]))
  console.log(`Installing from Debian: ${missing.join(', ')} …`)
  await apt('update', '-qq')
  const code = await apt('install', '-y', '-qq', '--no-install-recommends', ...missing)
  if (code !== 0) stop(`apt-get could not install ${missing.join(', ')}.`)
}

function which(command) {
  const { status, stdout } = spawnSync('sh', ['-c', `command -v "${command}"`], { encoding: 'utf8' })
  return status === 0 ? stdout.trim() : null
}

function newest(paths) {
  return Math.max(0, ...paths.map((path) => {
    const stat = statSync(path)
    return stat.isDirectory() ? newest(readdirSync(path).map(name => join(path, name))) : stat.mtimeMs
  }))
}

function stop(message) {
  console.error(message)
  process.exit(1)
}
