<script setup lang="ts">
import { shortcutFor, takesLetters, type Press } from '../../utils/shortcuts'

/** Listens for the keys of the open screens, and shows them on `?`. */
const session = useSession()
const { groups, open } = useShortcutSheet()

/** Opens always: here the others are switched on again. */
const SHEET = { title: 'Sheet', keys: [{ key: '?', says: 'shows and hides this sheet', run: () => {
  open.value = !open.value
} }] }
function hear(event: KeyboardEvent) {
  const { key, ctrlKey, metaKey, altKey, repeat, defaultPrevented } = event
  const press: Press = { key, ctrlKey, metaKey, altKey, repeat, defaultPrevented, writing: takesLetters(event.target) }
  const found = shortcutFor(press, session.keys && !open.value && !overlaid() ? [...groups.value, SHEET] : [SHEET])
  if (!found) return
  event.preventDefault()
  found.run()
}
/** Something lies over the screen: its keys are its own. */
const overlaid = () => document.querySelector('.v-overlay--active.v-dialog, .v-overlay--active.v-bottom-sheet, .v-overlay--active.v-menu') !== null
onMounted(() => document.addEventListener('keydown', hear))
onBeforeUnmount(() => document.removeEventListener('keydown', hear))
</script>

<template>
  <v-dialog
    v-model="open"
    max-width="560"
    aria-label="Keys"
  >
    <div
      class="sheet keys"
      data-test="keys"
    >
      <h2>Keys</h2>
      <section
        v-for="group in [...groups].reverse()"
        :key="group.title"
      >
        <h3>{{ group.title }}</h3>
        <dl>
          <div
            v-for="s in group.keys"
            :key="s.key"
            :class="{ off: !session.keys || s.idle?.() }"
          >
            <dt><kbd>{{ s.key }}</kbd></dt>
            <dd>{{ s.says }}</dd>
          </div>
        </dl>
      </section>
      <p>
        <kbd>?</kbd> shows and hides this sheet, <kbd>Esc</kbd> closes what is open. A slider, the year's ribbon and what is held in a drawing move by the arrow keys.
      </p>
      <label>
        <input
          v-model="session.keys"
          type="checkbox"
        >
        letters do this on this device
      </label>
    </div>
  </v-dialog>
</template>

<style scoped>
.keys { padding: 20px 24px; max-height: 86dvh; overflow-y: auto; background: var(--sheet); border: 1px solid var(--ink); }
.keys h2 { font-size: 20px; }
.keys h3 { font-size: 16px; margin: 14px 0 6px; }
dl { display: grid; grid-template-columns: 1fr 1fr; gap: 4px 20px; }
dl div { display: flex; align-items: baseline; gap: 10px; }
kbd { display: inline-block; min-width: 26px; padding: 0 6px; text-align: center; font: inherit; font-weight: 700; background: var(--paper); border: 1px solid var(--ink); border-radius: 4px; }
.off { color: var(--ink-2); }
p { font-size: 15px; }
.keys p, .keys label { margin-top: 14px; }
label { font-size: 15px; display: flex; align-items: center; gap: 8px; min-height: 32px; }
label input { width: 20px; height: 20px; accent-color: var(--ink); }
@media (max-width: 560px) { dl { grid-template-columns: 1fr; } }
</style>
