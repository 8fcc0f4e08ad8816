import { describe, expect, it, vi } from 'vitest'
import { shortcutFor, type Press, type Shortcut } from './shortcuts'

const press = (key: string, more: Partial<Press> = {}): Press => ({ key, ctrlKey: false, metaKey: false, altKey: false, repeat: false, defaultPrevented: false, writing: false, ...more })
const key = (letter: string, more: Partial<Shortcut> = {}): Shortcut => ({ key: letter, says: letter, run: vi.fn(), ...more })

describe('shortcuts', () => {
  const desk = { title: 'desk', keys: [key('1'), key('n')] }
  const board = { title: 'board', keys: [key('j'), key('n', { says: 'next' })] }
  it('are found in the open screens, the one opened last first', () => {
    expect(shortcutFor(press('1'), [desk, board])).toBe(desk.keys[0])
    expect(shortcutFor(press('n'), [desk, board])?.says).toBe('next')
    expect(shortcutFor(press('n'), [desk])).toBe(desk.keys[1])
    expect(shortcutFor(press('q'), [desk, board])).toBeNull()
  })
  it('mind no shift and no caps lock', () => {
    expect(shortcutFor(press('J'), [board])).toBe(board.keys[0])
  })
  it('leave the browser its own', () => {
    for (const held of [{ ctrlKey: true }, { metaKey: true }, { altKey: true }, { defaultPrevented: true }]) expect(shortcutFor(press('j', held), [board])).toBeNull()
  })
  it('count once while the key is held down', () => {
    expect(shortcutFor(press('j', { repeat: true }), [board])).toBeNull()
  })
  it('do nothing while idle, nor let an older screen have the key', () => {
    const idle = { title: 'stop', keys: [key('n', { idle: () => true })] }
    expect(shortcutFor(press('n'), [desk, idle])).toBeNull()
  })
  it('are letters where someone writes', () => {
    expect(shortcutFor(press('j', { writing: true }), [board])).toBeNull()
  })
})
