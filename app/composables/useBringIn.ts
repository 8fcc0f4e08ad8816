import * as Comlink from 'comlink'
import type { CsvMapping } from '../../core/formats/csvSoundings'
import type { FileContents } from '../../core/formats/readAny'
import { MOST_BYTES, type LonLat } from '../../core/formats/readResult'
import { encodeSoundings, soundingTable } from '../../core/formats/soundingBlob'
import type { Chart } from '../../core/water/buildChart'
import type { DepthArea } from '../../core/water/contourLines'
import { SOUNDING_FLAGS, type SoundingFlag } from '../../core/water/cleanSoundings'
import { localFrame, type LocalFrame } from '../../core/water/localFrame'
import { arrangeOutlines, shorelineFault } from '../../core/water/shoreline'
import type { Ring } from '../../core/water/rasterise'
import { packImport, type JobState } from '../../shared/imports'
import type { Water } from '../../shared/waters'
import { api, apiSend } from '../utils/api'
import type { ImportWorker } from '../workers/import.worker'

export interface BroughtFile extends FileContents {
  name: string
  text: string
  transducerM: number
}

const POLL_MS = 250
const DECIMALS = 8

/**
 * Files on their way to becoming a chart: read and cleaned in a worker, shown before anything is sent, then sent as one import. `into` is the
 * water that the soundings are for; null makes a new one.
 */
export function useBringIn(into: Ref<Water | null>) {
  const session = useSession()
  const files = shallowRef<BroughtFile[]>([])
  /** outlines drawn on the map: the largest is the shoreline, those inside it islands */
  const drawn = shallowRef<LonLat[][]>([])
  /** files whose figures are about to change, and the cleaning that follows: until then nothing is ready */
  const waiting = ref<string[]>([])
  const cleaning = ref(false)
  /** name of the file that is being read */
  const reading = ref<string | null>(null)
  /** kinds of doubtful soundings that are taken all the same */
  const forgiven = ref<SoundingFlag[]>([])
  const found = shallowRef<Uint8Array>(new Uint8Array(0))
  const preview = shallowRef<(Chart & { areas: DepthArea[] }) | null>(null)
  /** 0–1 while a chart is worked out here or on the server */
  const working = ref<{ where: 'here' | 'server', done: number } | null>(null)
  const problem = ref<string | null>(null)
  const cellM = ref(5)
  const levelM = ref<number | null>(null)
  let worker: Worker | null = null
  let remote: Comlink.Remote<ImportWorker> | null = null
  let jobId: string | null = null
  /** asked for while the job's own name was still on its way */
  let stopAsked = false

  function hands(): Comlink.Remote<ImportWorker> {
    if (!remote) {
      worker = new Worker(new URL('../workers/import.worker.ts', import.meta.url), { type: 'module' })
      remote = Comlink.wrap<ImportWorker>(worker)
    }
    return remote
  }
  function dismiss() {
    worker?.terminate()
    worker = null
    remote = null
  }
  onBeforeUnmount(dismiss)

  const soundings = computed(() => files.value.flatMap(f => f.soundings))
  const outlines = computed<LonLat[][][]>(() => into.value
    ? [into.value.shoreline.coordinates.map(ring => ring.slice(0, -1).map(([lonDeg, latDeg]) => ({ lonDeg, latDeg })))]
    : [...files.value.flatMap(f => f.outlines), ...drawn.value.map(ring => [ring])])
  const frame = computed<LocalFrame | null>(() => {
    const origin = into.value ?? outlines.value[0]?.[0]?.[0] ?? soundings.value[0]
    return origin ? localFrame({ lonDeg: origin.lonDeg, latDeg: origin.latDeg }) : null
  })
  const local = (ring: LonLat[]): Ring => ring.map(p => frame.value!.toLocal(p.lonDeg, p.latDeg))
  const shore = computed(() => (frame.value ? arrangeOutlines(outlines.value.map(([outer, ...holes]) => ({ outer: local(outer!), holes: holes.map(local) }))) : null))
  const shoreFault = computed(() => (shore.value ? shorelineFault(shore.value.outer) : null))
  const triples = computed(() => {
    const out = new Float64Array(soundings.value.length * 3)
    soundings.value.forEach((s, i) => {
      const { x, y } = frame.value!.toLocal(s.lonDeg, s.latDeg)
      out.set([x, y, s.depthM], 3 * i)
    })
    return out
  })
  /** Why each is left out, after what was forgiven. */
  const flags = computed(() => found.value.map(f => (forgiven.value.includes(SOUNDING_FLAGS[f]!) ? 0 : f)))
  const tally = computed(() => SOUNDING_FLAGS.map((flag, k) => ({ flag, count: found.value.reduce((n, f) => n + (f === k ? 1 : 0), 0) })).filter(t => t.count > 0))
  const ready = computed(() => shore.value !== null && shoreFault.value === null && (into.value === null || soundings.value.length > 0) && working.value === null
    && waiting.value.length === 0 && !cleaning.value && reading.value === null)

  watch([triples, shore], async ([points]) => {
    preview.value = null
    found.value = new Uint8Array(points.length / 3)
    cleaning.value = points.length > 0
    if (points.length === 0) return
    try {
      const flagged = await hands().clean(points, shore.value && toPlain(shore.value.outer))
      if (points !== triples.value) return
      found.value = flagged
    }
    catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    }
    cleaning.value = false
  })
  watch([flags, cellM], () => {
    preview.value = null
  })

  async function add(list: Iterable<File>) {
    problem.value = null
    for (const file of list) {
      if (file.size > MOST_BYTES) {
        problem.value = `${file.name} is ${Math.round(file.size / 1024 / 1024)} MB; at most ${MOST_BYTES / 1024 / 1024} MB are read. Nothing of it was taken.`
        continue
      }
      reading.value = file.name
      const text = await file.text()
      files.value = [...files.value.filter(f => f.name !== file.name), { ...await hands().read(file.name, text, {}), name: file.name, text, transducerM: 0 }]
    }
    reading.value = null
  }
  async function reread(file: BroughtFile, { mapping, transducerM = file.transducerM }: { mapping?: CsvMapping, transducerM?: number }) {
    const again = await hands().read(file.name, file.text, { mapping: mapping && { ...mapping }, transducerM })
    files.value = files.value.map(f => (f === file ? { ...again, name: file.name, text: file.text, transducerM } : f))
    waiting.value = waiting.value.filter(name => name !== file.name)
  }
  const expect = (file: BroughtFile) => {
    if (!waiting.value.includes(file.name)) waiting.value = [...waiting.value, file.name]
  }
  const drop = (file: BroughtFile) => {
    files.value = files.value.filter(f => f !== file)
    waiting.value = waiting.value.filter(name => name !== file.name)
  }

  function counted(): Float64Array {
    const out: number[] = []
    flags.value.forEach((f, i) => {
      if (f === 0) out.push(...triples.value.subarray(3 * i, 3 * i + 3))
    })
    return Float64Array.from(out)
  }

  /** The chart as it would be, worked out on this machine; nothing is sent. */
  async function tryIt() {
    if (!shore.value) return
    working.value = { where: 'here', done: 0 }
    problem.value = null
    try {
      const chart = await hands().chart(
        { outer: toPlain(shore.value.outer), islands: shore.value.islands.map(toPlain), soundings: counted(), cellM: cellM.value },
        Comlink.proxy((done: number) => {
          if (working.value) working.value = { where: 'here', done }
        }))
      preview.value = { ...chart, areas: await hands().areas(chart.grid, session.units) }
    }
    catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    }
    working.value = null
  }

  /** Sends everything as one import and waits for the server's chart. Resolves to the water's id, or null when it was stopped or refused. */
  async function bring(name: string, zone: string): Promise<string | null> {
    if (!shore.value || !frame.value) return null
    const corners = (ring: Ring) => [...ring, ring[0]!].map(({ x, y }): [number, number] => {
      const { lonDeg, latDeg } = frame.value!.toLonLat(x, y)
      return [Number(lonDeg.toFixed(DECIMALS)), Number(latDeg.toFixed(DECIMALS))]
    })
    const header = {
      waterId: into.value?.id ?? null,
      newWater: into.value ? null : { name, zone, shoreline: { type: 'Polygon' as const, coordinates: [shore.value.outer, ...shore.value.islands].map(corners) } },
      label: files.value.filter(f => f.soundings.length > 0).map(f => f.name).join(', ').slice(0, 300) || 'shoreline only',
      levelM: levelM.value, cellM: cellM.value,
    }
    const body = packImport(header, encodeSoundings(soundingTable(soundings.value, flags.value)))
    return follow(() => apiSend<JobState>('imports', body))
  }

  /** Starts a job and follows it to its end. */
  async function follow(start: () => Promise<JobState>): Promise<string | null> {
    working.value = { where: 'server', done: 0 }
    problem.value = null
    try {
      let job = await start()
      jobId = job.id
      if (stopAsked) await endJob(job.id)
      while (job.state === 'running') {
        await new Promise(wake => setTimeout(wake, POLL_MS))
        job = await api<JobState>(`jobs/${job.id}`)
        working.value = { where: 'server', done: job.done }
      }
      if (job.state !== 'done') problem.value = job.message
      return job.state === 'done' ? job.waterId : null
    }
    catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
      return null
    }
    finally {
      working.value = null
      jobId = null
      stopAsked = false
    }
  }

  async function stop() {
    if (working.value?.where === 'here') {
      dismiss()
      working.value = null
      problem.value = 'Stopped; nothing was changed.'
    }
    else if (jobId) await endJob(jobId)
    else stopAsked = true
  }
  const endJob = (id: string) => api<JobState>(`jobs/${id}`, { method: 'DELETE' })

  return { files, drawn, reading, forgiven, soundings, frame, shore, shoreFault, triples, flags, tally, ready, preview, working, problem, cellM, levelM, add, reread, expect, drop, tryIt, bring, follow, stop }
}

/** Workers are given plain objects, not Vue's. */
const toPlain = (ring: Ring) => ring.map(({ x, y }) => ({ x, y }))
