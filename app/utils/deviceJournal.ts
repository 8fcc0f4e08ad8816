import Dexie, { type Table } from 'dexie'
import type { Entry } from '../../core/school/entries'

/** An entry as the device keeps it: sent becomes 1 only after the server has said that it is on its disk. */
export interface KeptEntry {
  id: string
  tripId: string
  sent: 0 | 1
  entry: Entry
}

class DeviceJournal extends Dexie {
  declare kept: Table<KeptEntry, string>

  constructor() {
    super('remous')
    this.version(1).stores({ kept: 'id, tripId, sent' })
  }
}

let opened: DeviceJournal | null = null

export function deviceJournal(): DeviceJournal {
  return opened ??= new DeviceJournal()
}
