import type { Mood } from '../../core/rig/mood'

export const MOOD_WORDS: Record<Mood, string> = { torpid: 'hardly moving', slow: 'slow', steady: 'steady', keen: 'keen', fast: 'fast' }
