/** Answers as soon as the server listens; it asks nothing of the database. */
export default defineEventHandler(() => ({ up: true }))
