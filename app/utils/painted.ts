/** Resolves after the next frame is on the screen: what is shown comes before what can wait. */
export function painted(): Promise<void> {
  return new Promise(done => requestAnimationFrame(() => setTimeout(done)))
}
