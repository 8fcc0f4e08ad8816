import type { ShortcutGroup } from '../utils/shortcuts'

/** Groups of the screens that are open, oldest first. */
const groups = shallowRef<readonly ShortcutGroup[]>([])
/** The sheet that lists them lies open. */
const sheetOpen = ref(false)

/** Keys that hold as long as the asking component is on the screen. */
export function useShortcuts(title: string, keys: ShortcutGroup['keys']) {
  const group = { title, keys }
  onMounted(() => {
    groups.value = [...groups.value, group]
  })
  onBeforeUnmount(() => {
    groups.value = groups.value.filter(g => g !== group)
  })
}

export const useShortcutSheet = () => ({ groups, open: sheetOpen })
