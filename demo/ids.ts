import { v7 as uuidv7 } from 'uuid'

/** Ids made from a random source and an instant, so that a demo is the same on every machine. */
export function idMaker(random: () => number): (atMs: number) => string {
  return (atMs) => {
    const bytes = Uint8Array.from({ length: 16 }, () => Math.floor(random() * 256))
    return uuidv7({ msecs: atMs, random: bytes, seq: Math.floor(random() * 0x7fffffff) })
  }
}
