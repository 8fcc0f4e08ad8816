type Change = Record<string, string | undefined>

/**
 * Changes to the address's query, one after another: two that come in one breath would each start from the same address, and the later
 * one would take the earlier back. What was asked on a page that has been left is dropped.
 */
export function useQuery() {
  const route = useRoute()
  const router = useRouter()
  const { path } = route
  let waiting: Change = {}
  let running = false

  function set(change: Change) {
    waiting = { ...waiting, ...change }
    if (!running) void flush()
  }

  async function flush() {
    running = true
    try {
      while (Object.keys(waiting).length > 0) {
        const next = waiting
        waiting = {}
        if (route.path !== path) return
        await router.replace({ query: { ...route.query, ...next } })
      }
    }
    finally {
      running = false
    }
  }
  return { set }
}
