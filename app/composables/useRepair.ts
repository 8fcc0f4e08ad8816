/** Runs one repair of a past day and closes its form; a failure is said in the form. */
export function useRepair(done: () => void) {
  const problem = ref<string | null>(null)
  async function act(what: () => Promise<unknown>) {
    try {
      await what()
      done()
    }
    catch (error) {
      problem.value = `Not kept: ${error instanceof Error ? error.message : String(error)}`
    }
  }
  return { problem, act }
}
