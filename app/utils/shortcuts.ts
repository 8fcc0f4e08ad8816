/** A key that does something on the screens that say so. */
export interface Shortcut {
  /** as the keyboard gives it, in small letters: 'j', '1', '?' */
  key: string
  says: string
  run: () => void
  /** not now: on the sheet it stands pale, and pressed it does nothing */
  idle?: () => boolean
}
export interface ShortcutGroup { title: string, keys: readonly Shortcut[] }

/** What counts of a press. */
export interface Press { key: string, ctrlKey: boolean, metaKey: boolean, altKey: boolean, repeat: boolean, defaultPrevented: boolean, /** someone is writing, see `takesLetters` */ writing: boolean }

/** Inputs that take no letters: keys go past them. */
const MUTE_INPUTS = new Set(['range', 'checkbox', 'radio', 'button', 'submit', 'file', 'color'])

/** Whether someone is writing there, or choosing by letters from a list. */
export function takesLetters(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false
  if (target.isContentEditable || target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement) return true
  if (target instanceof HTMLInputElement) return !MUTE_INPUTS.has(target.type)
  return target.closest('[role="listbox"], [role="menu"], [role="combobox"]') !== null
}

/**
 * The shortcut that a press asks for. The screen opened last comes first, so that its letters may mean something of their own; a key held down counts
 * once, since an entry must never be logged twice by a heavy hand.
 */
export function shortcutFor(press: Press, groups: readonly ShortcutGroup[]): Shortcut | null {
  if (press.ctrlKey || press.metaKey || press.altKey || press.repeat || press.defaultPrevented || press.writing) return null
  const key = press.key.toLowerCase()
  for (const group of [...groups].reverse()) {
    const found = group.keys.find(s => s.key === key)
    if (found) return found.idle?.() ? null : found
  }
  return null
}
