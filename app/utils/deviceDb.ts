import Dexie, { type Table } from 'dexie'
import type { Entry } from '../../core/school/entries'

/** An entry as the device keeps it: sent becomes 1 only after the server has said that it is on its disk. */
export interface KeptEntry {
  id: string
  tripId: string
  sent: 0 | 1
  entry: Entry
}

/** An answer of the server as the device keeps it. */
export interface KeptAnswer {
  /** path under /api/ */
  path: string
  /** water it belongs to; none: it goes along with any */
  waterId: string | null
  /** when the server gave it, by this device's clock, ms */
  savedMs: number
  /** what `JSON.parse` gave, or the bytes */
  body: unknown
}

/** A water that was taken along. */
export interface TakenWater {
  waterId: string
  name: string
  takenMs: number
}

class DeviceDb extends Dexie {
  declare kept: Table<KeptEntry, string>
  declare answers: Table<KeptAnswer, string>
  declare taken: Table<TakenWater, string>
  /** one row, made with the store: it is missing after the browser has cleared it */
  declare marks: Table<{ name: string, atMs: number }, string>

  constructor() {
    // A committed entry is on the disk, not in a buffer that an empty battery takes along.
    super('remous', { chromeTransactionDurability: 'strict' })
    this.version(1).stores({ kept: 'id, tripId, sent' })
    this.version(2).stores({ kept: 'id, tripId, sent', answers: 'path, waterId', taken: 'waterId', marks: 'name' })
  }
}

let opened: DeviceDb | null = null

export function deviceDb(): DeviceDb {
  return opened ??= new DeviceDb()
}
