// The stand-in weather service as a process of its own, beside the server that asks it.
import { spawn } from 'node:child_process'
import { bin, ROOT } from './ready.mjs'

/** Starts it on a port of this machine; answers its address, and ends it with this program. */
export function startWeather(port) {
  const child = spawn(bin('tsx'), ['sim/serveWeather.ts'], { cwd: ROOT, env: { ...process.env, WEATHER_PORT: String(port) }, stdio: ['ignore', 'ignore', 'inherit'] })
  child.on('error', error => console.error(`The stand-in weather service did not start: ${error.message}`))
  process.on('exit', () => child.kill())
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(0))
  return { url: `http://127.0.0.1:${port}`, stop: () => child.kill() }
}
