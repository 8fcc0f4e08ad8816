export const SKIES = ['clear', 'broken', 'overcast', 'rain'] as const
export type Sky = (typeof SKIES)[number]
