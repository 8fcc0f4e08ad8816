<script setup lang="ts">
import { v7 as uuidv7 } from 'uuid'
import { readCsvTackle, writeCsvTackle, type TackleRow } from '../../core/formats/csvTackle'
import { LEAD_HEAD_KG_M3, TUNGSTEN_HEAD_KG_M3 } from '../../core/rig/jig'
import { formatDepth, formatLength, formatLine, formatWeight } from '../../core/units/format'
import { TACKLE_KINDS, tackleSchema, type TackleItem, type TackleKind } from '../../shared/tackle'
import { check } from '../../shared/validate'
import { download } from '../utils/download'
import { figureOf, KIND_NAMES, tackleFields } from '../utils/tackleFields'

const session = useSession()
const tackle = useTackle()
const waters = useWater()
const route = useRoute()
const { set } = useQuery()

/** Fewer than this are few. */
const FEW = 3
const problem = ref<string | null>(null)
const said = ref<string | null>(null)
const gone = ref<TackleItem | null>(null)
const onlyCarried = computed(() => route.query.carried === '1')
async function tell(act: () => Promise<void>) {
  problem.value = null
  said.value = null
  try {
    await act()
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
onMounted(() => tell(async () => {
  await session.load()
  const [first] = await waters.loadList()
  if (!waters.water && first) await waters.load(first.id)
  await tackle.load()
}))

function facts(item: TackleItem): string {
  const units = session.units
  switch (item.kind) {
    case 'head': return [`${formatWeight(item.attributes.massKg, units)} ${item.attributes.metal}`, item.attributes.shape, item.attributes.hook && `hook ${item.attributes.hook}`].filter(Boolean).join(', ')
    case 'body': return `${formatLength(item.attributes.lengthM, units)}${item.attributes.tail ? ` ${item.attributes.tail}` : ''}, ${item.attributes.colour}${item.attributes.dragAreaM2 === undefined ? '' : ', fall learned'}`
    case 'line': return `${formatLine(item.attributes, units)} ${item.attributes.material}`
    case 'float': return `${item.attributes.shape}, carries ${formatWeight(item.attributes.volumeM3 * 1000 - item.attributes.massKg, units)}`
    case 'shot': return `${formatWeight(item.attributes.massKg, units)}${item.attributes.style ? `, ${item.attributes.style}` : ''}`
    case 'bait': return `${item.attributes.type}, ${formatLength(item.attributes.lengthM, units)}, ${formatWeight(item.attributes.massKg, units)}${item.attributes.diveM ? `, runs at ${formatDepth(item.attributes.diveM, units)}` : ''}`
    case 'leader': return `${formatLine(item.attributes, units)} ${item.attributes.material}, ${(item.attributes.diameterM * 1000).toFixed(2)} mm`
    case 'hook': return `${item.attributes.size}, ${(item.attributes.massKg * 1000).toFixed(2)} g`
    case 'rod': return `${formatDepth(item.attributes.lengthM, units)}, ${item.attributes.power}`
    case 'sock': return `${formatDepth(item.attributes.diameterM, units)} across`
  }
}
const groups = computed(() => TACKLE_KINDS.map(kind => ({ kind, name: KIND_NAMES[kind], items: tackle.of(kind).filter(i => !onlyCarried.value || i.carried) })).filter(g => g.items.length > 0 || !onlyCarried.value))
const low = computed(() => tackle.items.filter(i => i.carried && i.stock !== null && i.stock < FEW))

const count = (item: TackleItem, text: string) => tell(async () => {
  const stock = text.trim() === '' ? null : Number(text)
  if (stock !== null && !(Number.isInteger(stock) && stock >= 0)) throw new Error(`"${text}" is no whole number of pieces.`)
  await tackle.change(item.id, { stock })
})
const take = (item: TackleItem) => tell(async () => {
  await tackle.remove(item.id)
  gone.value = item
})
const putBack = () => tell(async () => {
  await tackle.keep([gone.value!])
  gone.value = null
})

const kind = ref<TackleKind>('head')
const name = ref('')
const texts = reactive<Record<string, string>>({})
const fields = computed(() => tackleFields(kind.value, session.units))
// A choice stands on its first answer until another is given.
watch(fields, (list) => {
  for (const field of list) if (field.choices && !field.choices.includes(texts[field.key] ?? '')) texts[field.key] = field.choices[0]!
}, { immediate: true })
const add = () => tell(async () => {
  const attributes: Record<string, string | number> = {}
  for (const field of fields.value) {
    const given = texts[field.key] ?? field.choices?.[0] ?? ''
    const value = field.unit ? figureOf(given) * field.unit.si : given.trim()
    if (field.optional && given.trim() === '') continue
    if (value === '' || Number.isNaN(value)) throw new Error(`"${field.label}" is missing or no number.`)
    attributes[field.key] = value
  }
  const item = completed({ kind: kind.value, name: name.value.trim(), carried: true, stock: null, attributes })
  if (typeof item === 'string') throw new Error(item)
  await tackle.keep([item])
  said.value = `${item.name} is in the box.`
  name.value = ''
})

/** A row as a thing of the box, or what is wrong with it. Heads take their metal's density where none is given. */
function completed(row: TackleRow): TackleItem | string {
  const density = row.kind === 'head' && row.attributes.densityKgM3 === undefined ? { densityKgM3: row.attributes.metal === 'tungsten' ? TUNGSTEN_HEAD_KG_M3 : LEAD_HEAD_KG_M3 } : {}
  const checked = check<TackleItem>(tackleSchema, { id: uuidv7(), ...row, attributes: { ...row.attributes, ...density } })
  if (checked.ok) return checked.value
  return checked.error.field === 'name' ? 'It needs a name.' : checked.error.message
}
const bring = (input: HTMLInputElement) => tell(async () => {
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  const { items, skipped, issues } = readCsvTackle(await file.text())
  // A thing of the same kind and name is that thing.
  const made = items.map((row) => {
    const item = completed(row)
    const known = tackle.items.find(i => i.kind === row.kind && i.name === row.name)
    return typeof item === 'string' ? item : { ...item, id: known?.id ?? item.id }
  })
  const wrong = made.find(m => typeof m === 'string')
  if (wrong !== undefined) throw new Error(`Nothing was kept: ${String(wrong)}`)
  if (made.length === 0) throw new Error(issues[0]?.message ?? 'There is nothing in this table.')
  await tackle.keep(made as TackleItem[])
  said.value = `${made.length} kept${skipped > 0 ? `, ${skipped} rows left out: ${issues.map(i => `line ${i.line}, ${i.message}`).join('; ')}` : ''}.`
})
const save = () => download('tackle.csv', writeCsvTackle(tackle.items.map(({ kind: k, name: n, carried, stock, attributes }) => ({ kind: k, name: n, carried, stock, attributes: attributes as unknown as TackleRow['attributes'] }))), 'text/csv')
</script>

<template>
  <div class="page">
    <RigPages v-if="waters.water" />
    <header>
      <h1>The box</h1>
      <div class="chips">
        <button
          type="button"
          class="chip"
          :aria-pressed="onlyCarried"
          @click="set({ carried: onlyCarried ? undefined : '1' })"
        >
          only what I carry
        </button>
        <button
          type="button"
          class="chip"
          @click="save"
        >
          Save as a table
        </button>
        <label class="chip file"><input
          type="file"
          accept=".csv,.txt"
          data-test="tackle-file"
          @change="bring($event.target as HTMLInputElement)"
        > Bring a table in</label>
      </div>
    </header>
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      {{ problem }}
    </p>
    <p
      v-else-if="said"
      role="status"
      data-test="box-said"
    >
      {{ said }}
    </p>
    <p
      v-if="gone"
      data-test="gone"
    >
      {{ gone.name }} is out of the box. <button
        type="button"
        class="undo"
        @click="putBack"
      >
        Undo
      </button>
    </p>
    <section
      v-if="low.length > 0"
      data-test="low"
    >
      <h2>Tie or buy before tomorrow</h2>
      <ul>
        <li
          v-for="i in low"
          :key="i.id"
        >
          {{ i.name }}: {{ i.stock === 0 ? 'none left' : `${i.stock} left` }}
        </li>
      </ul>
    </section>
    <form
      data-test="tackle-form"
      @submit.prevent="add"
    >
      <label>kind <select v-model="kind">
        <option
          v-for="k in TACKLE_KINDS"
          :key="k"
          :value="k"
        >{{ KIND_NAMES[k] }}</option>
      </select></label>
      <label>name <input v-model="name"></label>
      <label
        v-for="f in fields"
        :key="f.key"
      >{{ f.unit ? `${f.label}, ${f.unit.name}` : f.label }}
        <select
          v-if="f.choices"
          v-model="texts[f.key]"
        >
          <option
            v-for="c in f.choices"
            :key="c"
            :value="c"
          >{{ c }}</option>
        </select>
        <input
          v-else
          v-model="texts[f.key]"
          :inputmode="f.unit ? 'text' : undefined"
          class="short"
        ></label>
      <button
        type="submit"
        class="chip"
      >
        Put it in the box
      </button>
    </form>
    <div class="groups">
      <section
        v-for="g in groups"
        :key="g.kind"
      >
        <h2>{{ g.name }}</h2>
        <ul :data-test="`box-${g.kind}`">
          <li
            v-for="i in g.items"
            :key="i.id"
          >
            <label class="carry"><input
              type="checkbox"
              :checked="i.carried"
              @change="tell(() => tackle.carry(i.id, ($event.target as HTMLInputElement).checked))"
            > <strong>{{ i.name }}</strong></label>
            <span class="quiet">{{ facts(i) }}</span>
            <label class="stock"><span class="quiet">left</span> <input
              :value="i.stock ?? ''"
              inputmode="numeric"
              :aria-label="`how many ${i.name} are left`"
              @change="count(i, ($event.target as HTMLInputElement).value)"
            ></label>
            <button
              type="button"
              class="undo"
              :aria-label="`take ${i.name} out of the box`"
              @click="take(i)"
            >
              take out
            </button>
          </li>
        </ul>
      </section>
    </div>
    <p class="quiet">
      Lead is banned in small sizes on some waters: check the local rules.
    </p>
  </div>
</template>

<style scoped>
.page { height: 100%; overflow-y: auto; padding: 18px 24px 28px; display: flex; flex-direction: column; gap: 14px; font-size: 15px; line-height: 1.4; }
.page > * { flex: none; }
header { display: flex; justify-content: space-between; flex-wrap: wrap; gap: 10px; align-items: center; }
.file input { position: absolute; width: 1px; height: 1px; opacity: 0; }
.file:focus-within { outline: 3px solid var(--now); outline-offset: 2px; }
form { display: flex; flex-wrap: wrap; gap: 10px; align-items: end; background: var(--sheet); border: 1px solid var(--rule); border-radius: 6px; padding: 12px 14px; }
form label { font-size: 14px; color: var(--ink-2); display: flex; flex-direction: column; gap: 3px; }
input:not([type]), select { font: inherit; font-size: 16px; color: var(--ink); background: var(--sheet); border: 1px solid var(--rule); border-radius: 6px; padding: 6px 8px; min-height: 38px; width: 170px; }
input.short { width: 92px; }
.groups { display: grid; grid-template-columns: repeat(auto-fill, minmax(440px, 1fr)); gap: 18px 28px; align-items: start; }
.groups li { display: grid; grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr) 96px 66px; gap: 8px; align-items: center; border-top: 1px solid var(--rule); padding: 4px 0; min-height: 44px; }
.carry { display: flex; gap: 9px; align-items: center; }
.carry input { width: 20px; height: 20px; accent-color: var(--ink); flex: none; }
.stock { display: flex; gap: 6px; align-items: center; }
.stock input:not([type]) { width: 52px; min-height: 34px; font-size: 15px; padding: 3px 6px; }
.undo { font: inherit; font-size: 14.5px; background: none; border: 0; color: var(--ink); text-decoration: underline; text-underline-offset: 3px; cursor: pointer; padding: 4px 0; }
@media (max-width: 520px) { .groups { grid-template-columns: 1fr; } .groups li { grid-template-columns: 1fr 96px; } }
</style>
