import { defineStore } from 'pinia'
import type { Box } from '../../core/rig/box'
import type { TackleChange, TackleItem, TackleKind } from '../../shared/tackle'
import { api } from '../utils/api'

/** A head for general use is no heavier; shad heads and the like have families of their own, kg. */
const HEAVIEST_GENERAL_KG = 0.0075
/** Things put in before weights had styles are told by their names. */
const styleOf = (name: string) => (/slip|peg/i.test(name) ? 'pegged' : 'shot')

/** The angler's box. */
export const useTackle = defineStore('tackle', () => {
  const items = ref<TackleItem[]>([])
  const loaded = ref(false)

  async function load() {
    if (loaded.value) return
    items.value = await api<TackleItem[]>('tackle')
    loaded.value = true
  }

  function of<K extends TackleKind>(kind: K) {
    return items.value.filter((item): item is Extract<TackleItem, { kind: K }> => item.kind === kind)
  }
  const carried = <K extends TackleKind>(kind: K) => of(kind).filter(item => item.carried)

  async function change(id: string, what: TackleChange) {
    const saved = await api<TackleItem>(`tackle/${id}`, { method: 'PATCH', body: what })
    items.value = items.value.map(item => (item.id === id ? saved : item))
  }
  /** Keeps things, new or changed: all or none. */
  async function keep(list: readonly TackleItem[]) {
    const kept = await api<TackleItem[]>('tackle', { method: 'POST', body: { items: list } })
    const ids = new Set(kept.map(k => k.id))
    items.value = [...items.value.filter(i => !ids.has(i.id)), ...kept].sort((a, b) => a.kind.localeCompare(b.kind) || a.name.localeCompare(b.name))
  }
  async function remove(id: string) {
    await api<{ id: string }>(`tackle/${id}`, { method: 'DELETE' })
    items.value = items.value.filter(i => i.id !== id)
  }
  const carry = (id: string, carriedNow: boolean) => change(id, { carried: carriedNow })

  const leadHeads = computed(() => of('head').filter(h => h.attributes.metal === 'lead' && (h.attributes.shape === undefined || h.attributes.shape === 'round' || h.attributes.shape === 'flat') && h.attributes.massKg <= HEAVIEST_GENERAL_KG).sort((a, b) => a.attributes.massKg - b.attributes.massKg))
  const bodies = computed(() => of('body').sort((a, b) => a.attributes.lengthM - b.attributes.lengthM))
  const lines = computed(() => of('line').sort((a, b) => a.attributes.testKg - b.attributes.testKg))

  /** What goes along today, as the rig advice reads it. */
  const box = computed<Box>(() => {
    const weights = carried('shot').map(s => ({ id: s.id, massKg: s.attributes.massKg, style: s.attributes.style ?? styleOf(s.name) }))
    const general = new Set(leadHeads.value.map(h => h.id))
    return {
      heads: leadHeads.value.filter(h => h.carried).map(h => ({ id: h.id, ...h.attributes })),
      otherHeads: carried('head').filter(h => !general.has(h.id)).map(h => ({ id: h.id, ...h.attributes })),
      bodies: carried('body').map(b => ({ id: b.id, ...b.attributes })),
      lines: carried('line').map(l => ({ id: l.id, ...l.attributes })),
      floats: carried('float').map(f => ({ id: f.id, volumeM3: f.attributes.volumeM3, massKg: f.attributes.massKg })),
      shotsKg: weights.filter(w => w.style !== 'bottom').map(w => w.massKg),
      weights,
      baits: carried('bait').map(b => ({ id: b.id, name: b.name, ...b.attributes, diveM: b.attributes.diveM ?? null })),
      hooks: carried('hook').map(h => ({ id: h.id, name: h.attributes.size })),
      leaders: carried('leader').map(l => ({ id: l.id, ...l.attributes })),
      socks: carried('sock').map(s => ({ id: s.id, ...s.attributes })),
      rods: carried('rod').map(r => ({ id: r.id, name: r.name, ...r.attributes })),
    }
  })

  const byId = (id: string) => items.value.find(item => item.id === id)

  return { items, loaded, load, of, carry, change, keep, remove, leadHeads, bodies, lines, box, byId }
})
