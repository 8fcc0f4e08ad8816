import { defineStore } from 'pinia'
import type { Rung } from '../../core/rig/ladder'
import type { KeptLadder } from '../../shared/ladders'
import { api } from '../utils/api'
import { useWater } from './water'

/** Orders of changes that were agreed on at the bench and go along to the water. */
export const useLadders = defineStore('ladders', () => {
  const waters = useWater()
  const kept = shallowRef<KeptLadder[]>([])
  const of = ref<string | null>(null)

  async function load(waterId: string) {
    if (of.value === waterId) return
    kept.value = await api<KeptLadder[]>(`waters/${waterId}/ladders`)
    of.value = waterId
  }
  const at = (placeId: string | null | undefined) => kept.value.find(l => l.placeId === placeId) ?? null

  /** Takes a ladder along; none leaves it at home. */
  async function keep(placeId: string, rungs: readonly Rung[]) {
    const saved = await api<KeptLadder>(`waters/${waters.water!.id}/places/${placeId}/ladder`, { method: 'PUT', body: { rungs } })
    const others = kept.value.filter(l => l.placeId !== placeId)
    kept.value = saved.rungs.length > 0 ? [...others, saved] : others
  }
  return { load, at, keep }
})
