<script setup lang="ts">
import { MOST_PHOTO_BYTES, type Photo } from '../../../shared/places'
import { api, apiSendAs } from '../../utils/api'
import { dateText } from '../../utils/time'

const props = defineProps<{ placeId: string, placeName: string }>()
const waters = useWater()
const conditions = useConditions()

const TYPES = ['image/jpeg', 'image/png', 'image/webp']
const photos = ref<Photo[]>([])
const busy = ref(false)
const problem = ref<string | null>(null)
const base = computed(() => `waters/${waters.water!.id}/places/${props.placeId}/photos`)
async function tell(act: () => Promise<void>) {
  problem.value = null
  busy.value = true
  try {
    await act()
  }
  catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
  finally {
    busy.value = false
  }
}
watch(() => props.placeId, () => void tell(async () => {
  photos.value = []
  photos.value = await api<Photo[]>(base.value)
}), { immediate: true })

const add = (input: HTMLInputElement) => tell(async () => {
  const files = [...input.files ?? []]
  input.value = ''
  for (const file of files) {
    if (!TYPES.includes(file.type)) throw new Error(`${file.name} is no JPEG, PNG or WebP; it was not kept.`)
    if (file.size > MOST_PHOTO_BYTES) throw new Error(`${file.name} has ${(file.size / 1024 / 1024).toFixed(1)} MB; at most 10 MB are taken.`)
    photos.value = [...photos.value, await apiSendAs<Photo>(base.value, new Uint8Array(await file.arrayBuffer()), file.type)]
  }
})
const drop = (id: string) => tell(async () => {
  await api(`photos/${id}`, { method: 'DELETE' })
  photos.value = photos.value.filter(p => p.id !== id)
})
</script>

<template>
  <section data-test="photos">
    <h2>Pictures</h2>
    <ul v-if="photos.length > 0">
      <li
        v-for="(p, i) in photos"
        :key="p.id"
      >
        <a
          :href="`/api/photos/${p.id}`"
          target="_blank"
        ><img
          :src="`/api/photos/${p.id}`"
          :width="p.widthPx"
          :height="p.heightPx"
          :alt="`${placeName}, picture ${i + 1}`"
          loading="lazy"
        ></a>
        <span class="quiet">{{ dateText(p.at, conditions.zone) }}</span>
        <button
          type="button"
          @click="drop(p.id)"
        >
          throw away
        </button>
      </li>
    </ul>
    <label class="add">
      <input
        type="file"
        accept="image/jpeg,image/png,image/webp"
        multiple
        :disabled="busy"
        @change="add($event.target as HTMLInputElement)"
      >
      {{ busy ? 'Working …' : 'Add pictures' }}
    </label>
    <p class="quiet">
      Made smaller when kept; where and when the camera took them is taken out. They stay yours alone.
    </p>
    <p
      v-if="problem"
      role="alert"
      class="tone-now"
    >
      {{ problem }}
    </p>
  </section>
</template>

<style scoped>
ul { display: grid; grid-template-columns: 1fr 1fr; gap: 10px; padding: 6px 0 !important; }
li { display: grid; grid-template-columns: 1fr auto; gap: 2px 6px; align-items: center; }
a { grid-column: 1 / 3; }
img { display: block; width: 100%; height: 110px; object-fit: cover; border: 1px solid var(--rule); }
button { font: inherit; font-size: 14px; background: none; border: 0; text-decoration: underline; text-underline-offset: 3px; color: var(--ink-2); cursor: pointer; padding: 4px 0; }
.add { display: inline-block; font-weight: 700; text-decoration: underline; text-underline-offset: 3px; padding: 8px 0; cursor: pointer; }
.add input { position: absolute; width: 1px; height: 1px; opacity: 0; }
.add:focus-within { outline: 3px solid var(--now); outline-offset: 2px; }
</style>
