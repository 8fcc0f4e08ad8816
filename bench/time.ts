/** Median milliseconds of one call, after a warm-up; both sides of a comparison are interleaved so that a busy machine hurts them alike. */
export function race(sides: Record<string, () => unknown>, rounds = 15): Record<string, number> {
  const times: Record<string, number[]> = {}
  for (const [name, run] of Object.entries(sides)) {
    run()
    times[name] = []
  }
  for (let i = 0; i < rounds; i++) {
    for (const [name, run] of Object.entries(sides)) {
      const from = performance.now()
      run()
      times[name]!.push(performance.now() - from)
    }
  }
  return Object.fromEntries(Object.entries(times).map(([name, list]) => [name, list.sort((a, b) => a - b)[Math.floor(list.length / 2)]!]))
}
