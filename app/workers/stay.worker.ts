import * as Comlink from 'comlink'
import { adviseStay, type AdviseStayOptions } from '../../core/school/adviseStay'
import { goAt } from '../../core/school/goAt'
import { nextVariant, type NextVariantOptions } from '../../core/school/nextVariant'

export interface StayQuestion {
  stay: AdviseStayOptions
  /** none: there is nothing to change to */
  variant: NextVariantOptions | null
}

const api = {
  advise({ stay, variant }: StayQuestion) {
    const advice = adviseStay(stay)
    return { advice, goInMin: advice.action === 'stay' ? goAt(stay) : null, tried: variant && nextVariant(variant) }
  },
}
export type StayWorker = typeof api
Comlink.expose(api)
