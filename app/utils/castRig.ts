import type { RigAdvice } from '../../core/rig/rigFor'
import type { EntryBodies } from '../../core/school/entries'
import type { useTackle } from '../stores/tackle'

/** The advised jig as the journal keeps a rig; null while the box holds no such body or line. */
export function castRig(rig: RigAdvice | null, tackle: Pick<ReturnType<typeof useTackle>, 'byId' | 'lines'>): EntryBodies['rig'] | null {
  const body = rig && tackle.byId(rig.bodyId)
  const line = rig && tackle.lines.find(l => l.id === rig.lineId)
  if (!rig || body?.kind !== 'body' || !line) return null
  return { family: 'castJig', headKg: rig.tie.massKg, bodyLengthM: body.attributes.lengthM, bodyName: body.name, lineDiameterM: line.attributes.diameterM, stopM: null, colour: body.attributes.colour }
}
