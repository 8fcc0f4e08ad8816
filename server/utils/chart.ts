import { chartInThread } from '../services/chartThread'
import { Jobs } from '../services/jobs'
import type { RouteContext } from './route'

const jobs = new Jobs()

export function useJobs(): Jobs {
  return jobs
}

/** What the import services need from a request. */
export const chartContext = ({ db, angler }: RouteContext) => ({ db, ownerId: angler.id, jobs, runner: chartInThread })
