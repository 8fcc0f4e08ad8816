import * as Comlink from 'comlink'
import { adviseStay, type AdviseStayOptions } from '../../core/school/adviseStay'
import { nextVariant, type NextVariantOptions } from '../../core/school/nextVariant'

export interface StayQuestion {
  stay: AdviseStayOptions
  /** none: there is nothing to change to */
  variant: NextVariantOptions | null
}

const api = {
  advise: ({ stay, variant }: StayQuestion) => ({ advice: adviseStay(stay), tried: variant && nextVariant(variant) }),
}
export type StayWorker = typeof api
Comlink.expose(api)
