import { v7 as uuidv7 } from 'uuid'
import type { JobState } from '../../shared/imports'
import { Stopped } from './chartThread'
import { Fault, unknownThing } from './fault'

interface Job {
  ownerId: string
  state: JobState
  stop: () => void
}

/** Finished jobs are remembered this long, so that the asker learns how they ended, ms. */
const REMEMBERED_MS = 10 * 60_000

/** Long work of this process. A job that is stopped or fails has changed nothing. */
export class Jobs {
  private readonly jobs = new Map<string, Job>()

  /**
   * Starts work for an angler. `commit` runs once, when the work is done, and makes the change.
   * @throws Fault 409 while another job of the same angler is running
   */
  start<T>(ownerId: string, waterId: string, run: (onProgress: (done: number) => void) => { result: Promise<T>, stop: () => void }, commit: (result: T) => void): JobState {
    if ([...this.jobs.values()].some(j => j.ownerId === ownerId && j.state.state === 'running')) throw new Fault(409, { message: 'another chart is being worked out; wait for it or stop it' })
    const state: JobState = { id: uuidv7(), state: 'running', done: 0, waterId, message: null }
    const { result, stop } = run((done) => {
      state.done = done
    })
    this.jobs.set(state.id, { ownerId, state, stop })
    const end = (to: JobState['state'], message: string | null) => {
      state.state = to
      state.message = message
      setTimeout(() => this.jobs.delete(state.id), REMEMBERED_MS).unref()
    }
    result.then((value) => {
      commit(value)
      state.done = 1
      end('done', null)
    }).catch((error: unknown) => {
      if (error instanceof Stopped) return end('stopped', 'stopped; nothing was changed')
      console.error(`job ${state.id} failed`, error)
      end('failed', `${error instanceof Error ? error.message : String(error)}; nothing was changed`)
    })
    return { ...state }
  }

  /** @throws Fault 404 when the angler has no such job */
  get(ownerId: string, jobId: string): JobState {
    return { ...this.require(ownerId, jobId).state }
  }

  stop(ownerId: string, jobId: string): JobState {
    const job = this.require(ownerId, jobId)
    if (job.state.state === 'running') job.stop()
    return { ...job.state }
  }

  private require(ownerId: string, jobId: string): Job {
    const job = this.jobs.get(jobId)
    if (!job || job.ownerId !== ownerId) throw unknownThing('job', jobId)
    return job
  }
}
