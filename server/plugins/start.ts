import { useDb } from '../utils/database'

/** Before the server listens: loopback unless HOST says otherwise, and a database that is up to date. */
export default defineNitroPlugin(() => {
  if (import.meta.prerender) return
  if (!process.env.HOST && !process.env.NITRO_HOST) process.env.HOST = '127.0.0.1'
  useDb()
})
