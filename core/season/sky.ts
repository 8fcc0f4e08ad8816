export const SKIES = ['clear', 'broken', 'overcast', 'rain'] as const
export type Sky = (typeof SKIES)[number]

/** The sky of an hour of weather: cloud as a share 0–1, rain in mm; null when neither is known. */
export function skyOf({ cloud, rainMm }: { cloud: number, rainMm: number }): Sky | null {
  if (rainMm >= 0.5) return 'rain'
  if (Number.isNaN(cloud)) return null
  return cloud < 0.3 ? 'clear' : cloud < 0.78 ? 'broken' : 'overcast'
}
