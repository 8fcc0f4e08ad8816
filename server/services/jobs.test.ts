import { beforeEach, describe, expect, it, vi } from 'vitest'
import { Stopped } from './chartThread'
import { Fault } from './fault'
import { Jobs } from './jobs'

interface Held { onProgress: (done: number) => void, finish: (value: string) => void, fail: (error: Error) => void, stops: number }

/** Work that ends when the test says so. */
function held(): { run: Parameters<Jobs['start']>[2], work: Held } {
  const work: Held = { onProgress: () => {}, finish: () => {}, fail: () => {}, stops: 0 }
  return {
    work,
    run: (onProgress) => {
      work.onProgress = onProgress
      const result = new Promise<string>((done, no) => {
        work.finish = done
        work.fail = no
      })
      return { result, stop: () => {
        work.stops++
        work.fail(new Stopped('stopped'))
      } }
    },
  }
}
const settle = () => new Promise(wake => setTimeout(wake, 0))

let jobs: Jobs
beforeEach(() => {
  jobs = new Jobs()
  vi.spyOn(console, 'error').mockImplementation(() => {})
})

describe('jobs', () => {
  it('report how far they are, and commit once when they are done', async () => {
    const { run, work } = held()
    const commit = vi.fn()
    const { id } = jobs.start('me', 'water', run, commit)
    expect(jobs.get('me', id)).toEqual({ id, state: 'running', done: 0, waterId: 'water', message: null })
    work.onProgress(0.4)
    expect(jobs.get('me', id).done).toBe(0.4)
    expect(commit).not.toHaveBeenCalled()
    work.finish('chart')
    await settle()
    expect(commit.mock.calls).toEqual([['chart']])
    expect(jobs.get('me', id)).toMatchObject({ state: 'done', done: 1 })
  })

  it('change nothing when stopped, and stopping twice is no harm', async () => {
    const { run, work } = held()
    const commit = vi.fn()
    const { id } = jobs.start('me', 'water', run, commit)
    jobs.stop('me', id)
    await settle()
    expect(jobs.stop('me', id)).toMatchObject({ state: 'stopped', message: 'stopped; nothing was changed' })
    expect([commit.mock.calls.length, work.stops]).toEqual([0, 1])
  })

  it('fail when the work fails or the change cannot be made, and say why', async () => {
    const first = held()
    const a = jobs.start('me', 'water', first.run, () => {})
    first.work.fail(new Error('no memory'))
    await settle()
    expect(jobs.get('me', a.id)).toMatchObject({ state: 'failed', message: 'no memory; nothing was changed' })
    const second = held()
    const b = jobs.start('me', 'water', second.run, () => {
      throw new Error('the disk is full')
    })
    second.work.finish('chart')
    await settle()
    expect(jobs.get('me', b.id)).toMatchObject({ state: 'failed', message: 'the disk is full; nothing was changed' })
    expect(console.error).toHaveBeenCalledTimes(2)
  })

  it('run one at a time for an angler, and are nobody else\'s', async () => {
    const mine = held()
    const { id } = jobs.start('me', 'water', mine.run, () => {})
    expect(() => jobs.start('me', 'water', held().run, () => {})).toThrow(Fault)
    expect(jobs.start('you', 'pond', held().run, () => {}).state).toBe('running')
    expect(() => jobs.get('you', id)).toThrow(/there is no job/)
    expect(() => jobs.stop('you', id)).toThrow(/there is no job/)
    mine.work.finish('chart')
    await settle()
    expect(jobs.start('me', 'water', held().run, () => {}).state).toBe('running')
  })

  it('hand out copies, so that no asker can change them', () => {
    const { id } = jobs.start('me', 'water', held().run, () => {})
    jobs.get('me', id).done = 99
    expect(jobs.get('me', id).done).toBe(0)
  })
})
