import type { Entry } from '../../core/school/entries'
import type { Db } from '../db/open'
import { Fault } from './fault'
import { appendIn, type Acknowledged } from './journal'

interface Waiting { ownerId: string, entries: Entry[], done: (acknowledged: Acknowledged) => void, failed: (error: unknown) => void }

/**
 * Commits what has come in together. Each request is whole or not at all by itself, and is answered only after the one commit that holds it is on
 * the disk: one disk sync serves all that were waiting.
 */
export class JournalQueue {
  private readonly db: Db
  private waiting: Waiting[] = []

  constructor(db: Db) {
    this.db = db
  }

  append(ownerId: string, entries: Entry[]): Promise<Acknowledged> {
    return new Promise((done, failed) => {
      this.waiting.push({ ownerId, entries, done, failed })
      // After the requests of this turn and the next have been read, so that they share the commit.
      if (this.waiting.length === 1) setImmediate(() => setImmediate(() => this.commit()))
    })
  }

  private commit(): void {
    const batch = this.waiting
    this.waiting = []
    const outcomes: (() => void)[] = []
    try {
      this.db.transaction(() => {
        for (const { ownerId, entries, done, failed } of batch) {
          try {
            const acknowledged = appendIn(this.db, ownerId, entries)
            outcomes.push(() => done(acknowledged))
          }
          catch (error) {
            // A refusal comes before anything is written; any other error means that the whole commit is lost.
            if (!(error instanceof Fault)) throw error
            outcomes.push(() => failed(error))
          }
        }
      }, { behavior: 'immediate' })
    }
    catch (error) {
      // The commit itself failed: nothing of it is on the disk, whatever its parts said.
      for (const { failed } of batch) failed(error)
      return
    }
    for (const tell of outcomes) tell()
  }
}
