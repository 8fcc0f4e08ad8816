/** What can be laid over the chart, in the order of the address. */
export const LAYER_NAMES = ['roads', 'weed', 'places', 'bands', 'doubt'] as const
export type LayerName = (typeof LAYER_NAMES)[number]
