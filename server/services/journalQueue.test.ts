import { v7 as uuidv7 } from 'uuid'
import { describe, expect, it } from 'vitest'
import { demoDb, entryOf } from '../support/testDb'
import { JournalQueue } from './journalQueue'
import { tripEntries } from './tripEntries'

function queueOf() {
  const { db, ownerId, waterId } = demoDb()
  const tripId = uuidv7()
  return { db, ownerId, tripId, start: entryOf(tripId, 'start', { waterId }), queue: new JournalQueue(db) }
}

describe('the journal\'s queue', () => {
  it('commits what came together, each by itself whole or not at all', async () => {
    const { db, ownerId, tripId, start, queue } = queueOf()
    const [good, other] = [entryOf(tripId, 'note', { text: 'one' }), entryOf(tripId, 'note', { text: 'two' })]
    const answers = await Promise.allSettled([
      queue.append(ownerId, [start]), queue.append(ownerId, [good, entryOf(tripId, 'arrive', { placeId: uuidv7() })]), queue.append(ownerId, [other]), queue.append(ownerId, [other]),
    ])
    expect(answers.map(a => a.status)).toEqual(['fulfilled', 'rejected', 'fulfilled', 'fulfilled'])
    expect(answers[1]).toMatchObject({ reason: { status: 422, field: 'entries[1].body.placeId' } })
    expect(answers[3]).toMatchObject({ value: { stored: [], known: [other.id] } })
    expect(tripEntries(db, ownerId, tripId).map(e => e.id).sort()).toEqual([start.id, other.id].sort())
  })
  it('answers no one when the commit itself fails, and goes on afterwards', async () => {
    const { db, ownerId, tripId, start, queue } = queueOf()
    // The disk is full: no page more.
    db.$client.pragma(`max_page_count = ${Number(db.$client.pragma('page_count', { simple: true }))}`)
    const many = Array.from({ length: 400 }, () => entryOf(tripId, 'note', { text: 'x'.repeat(2000) }))
    const answers = await Promise.allSettled([queue.append(ownerId, [start]), queue.append(ownerId, many)])
    const kept = tripEntries(db, ownerId, tripId).length
    expect(answers[1]!.status).toBe('rejected')
    expect(kept).toBe(answers[0]!.status === 'fulfilled' ? 1 : 0)
    db.$client.pragma('max_page_count = 1073741823')
    await queue.append(ownerId, [start, ...many])
    expect(tripEntries(db, ownerId, tripId)).toHaveLength(401)
  })
})
