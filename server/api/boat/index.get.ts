import type { BoatReport } from '../../../shared/boat'

export default route(({ angler }): BoatReport => boatReport(useInstruments(angler), Date.now()))
