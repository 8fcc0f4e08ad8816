import type { Rung } from '../../core/rig/ladder'
import type { Sign } from '../../core/school/entries'
import { castRig } from '../utils/castRig'
import { painted } from '../utils/painted'
import type { Stop } from './useStop'

/** What a thumb can do at a stop: each is one entry, on the device before it shows; a failure is said. */
export function useStopTaps(stop: Stop) {
  const session = useSession()
  const waters = useWater()
  const tackle = useTackle()
  const journal = useJournal()
  const problem = ref<string | null>(null)
  const undone = ref<{ text: string, undoId: string } | null>(null)

  async function tap(action: () => Promise<unknown>) {
    try {
      problem.value = null
      await action()
      // What rests on the clock is not waited for.
      void painted().then(session.tick)
    }
    catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    }
  }
  const schoolId = () => stop.school.value?.id ?? null
  const arrive = (placeId: string | null) => tap(() => journal.log('arrive', { placeId }))
  const sign = (kind: Sign) => tap(() => journal.log('sign', { schoolId: schoolId(), sign: kind }))
  const leave = () => tap(() => journal.log('move', {}))

  /** The fish counts at once; what it was can wait. Gives its id, null when it could not be kept. */
  async function take(): Promise<string | null> {
    let id: string | null = null
    await tap(async () => {
      id = await journal.log('fish', { schoolId: schoolId(), species: null, lengthM: null, fate: null, depthM: stop.rig.value?.baitDepthM ?? null })
    })
    return id
  }
  async function tie() {
    const body = castRig(stop.rig.value, tackle)
    if (body) await tap(() => journal.log('rig', body))
  }
  /** Changes one thing of the rig that is on, or of the advised one. */
  async function tieRung(rung: Rung) {
    if (!stop.rigOn.value) await tie()
    const on = stop.rigOn.value?.body
    if (!on) return
    const changed = rung.change === 'size' && rung.value ? { bodyLengthM: rung.value, bodyName: rung.to } : rung.change === 'weight' && rung.value ? { headKg: rung.value } : rung.change === 'colour' ? { colour: rung.to } : {}
    await tap(() => journal.log('rig', { ...on, ...changed, rung: rung.id }))
  }
  async function undo() {
    const entry = journal.undoable
    const name = stop.undoName.value
    if (!entry || !name) return
    await tap(async () => {
      undone.value = { text: `Took back: ${name}`, undoId: await journal.undo(entry.id) }
    })
  }
  async function putBack() {
    const last = undone.value
    undone.value = null
    if (last) await tap(() => journal.undo(last.undoId))
  }
  const endDay = () => tap(async () => {
    const { tripId } = journal
    await journal.log('end', {})
    await journal.flush()
    await waters.refreshRecord()
    await navigateTo(`/days/${tripId}`)
  })
  return { problem, undone, tap, arrive, sign, leave, take, tie, tieRung, undo, putBack, endDay }
}
