import { Projection } from 'ol/proj'

/** The local metric frame is the map's own plane: one unit is one metre, and no distance is stretched. */
export const mapPlane = new Projection({ code: 'REMOUS:LOCAL', units: 'm', metersPerUnit: 1 })
