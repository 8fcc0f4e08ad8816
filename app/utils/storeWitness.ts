/**
 * What local storage remembers of the device's store, so that a store that the browser has cleared is noticed.
 * The two are kept apart by browsers, and either may go first.
 */
export interface Witness {
  sinceMs: number
  /** entries that were waiting to be sent when this was written */
  unsent: number
}

/** Reads what was written; null for none, or for anything that is not a witness. */
export function readWitness(text: string | null): Witness | null {
  if (text === null) return null
  const [, since, unsent] = /^(\d{1,16}) (\d{1,7})$/.exec(text) ?? []
  return since === undefined ? null : { sinceMs: Number(since), unsent: Number(unsent) }
}

export const witnessText = ({ sinceMs, unsent }: Witness) => `${sinceMs} ${unsent}`

/**
 * What to tell the angler about the store.
 * @param markMs when the store says that it was made; null: it is new or was cleared
 */
export function judgeStore(witness: Witness | null, markMs: number | null): string | null {
  if (!witness || markMs === witness.sinceMs) return null
  const lost = witness.unsent === 0 ? 'Everything logged had been sent.' : `${witness.unsent} ${witness.unsent === 1 ? 'entry that was' : 'entries that were'} not sent yet ${witness.unsent === 1 ? 'is' : 'are'} gone from it.`
  return `This browser has cleared what it kept for Remous. ${lost} Waters have to be taken along again.`
}
