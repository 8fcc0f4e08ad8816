// The stand-ins for the world outside, each a process of its own beside the server that asks it.
import { spawn } from 'node:child_process'
import { bin, ROOT } from './ready.mjs'

/** The weather service on a port of this machine; answers its address. */
export function startWeather(port) {
  return { url: `http://127.0.0.1:${port}`, stop: start('weather service', 'sim/serveWeather.ts', { WEATHER_PORT: String(port) }) }
}

/** The boat's instruments; answers where they speak. */
export function startBoat(port) {
  return { at: `127.0.0.1:${port}`, stop: start('boat', 'sim/serveBoat.ts', { BOAT_PORT: String(port) }) }
}

/** Ends with this program. */
function start(name, file, env) {
  const child = spawn(bin('tsx'), [file], { cwd: ROOT, env: { ...process.env, ...env }, stdio: ['ignore', 'ignore', 'inherit'] })
  child.on('error', error => console.error(`The stand-in ${name} did not start: ${error.message}`))
  const stop = () => child.kill()
  process.on('exit', stop)
  for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => process.exit(0))
  return stop
}
