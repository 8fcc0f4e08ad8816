import Feature from 'ol/Feature'
import Point from 'ol/geom/Point'
import VectorLayer from 'ol/layer/Vector'
import VectorSource from 'ol/source/Vector'
import { Icon, Style } from 'ol/style'
import { boatHull } from '../utils/boatHull'

/** Drawn large enough to be found on a whole water, px to a metre of hull. */
const SCALE = 5.2
const SIZE = 34

/** The boat where its instruments have it just now, bow where it points; gone from the map when they fall silent. */
export function useBoatLayer(css: (name: string) => string) {
  const boat = useBoat()
  const session = useSession()
  const waters = useWater()
  boat.follow()
  const source = new VectorSource()
  const layer = new VectorLayer({ source, zIndex: 20 })
  const feature = new Feature<Point>()

  const hull = () => `data:image/svg+xml,${encodeURIComponent(`<svg xmlns="http://www.w3.org/2000/svg" width="${SIZE}" height="${SIZE}" viewBox="${-SIZE / 2} ${-SIZE / 2} ${SIZE} ${SIZE}"><path d="${boatHull(SCALE)}" fill="${css('--ink')}" stroke="${css('--sheet')}" stroke-width="2.4"/></svg>`)}`
  const bow = computed(() => boat.now?.headingDeg ?? boat.now?.courseDeg ?? 0)

  /** To be called once the map's host is on the page. */
  function draw() {
    const { position } = boat
    if (!position || !waters.frame) {
      source.clear()
      return
    }
    const { x, y } = waters.frame.toLocal(position.lonDeg, position.latDeg)
    feature.setGeometry(new Point([x, y]))
    feature.setStyle(new Style({ image: new Icon({ src: hull(), rotation: (bow.value * Math.PI) / 180, rotateWithView: true }) }))
    if (source.getFeatures().length === 0) source.addFeature(feature)
  }
  watch([() => boat.position, bow, () => session.ground, () => waters.frame], draw, { flush: 'post' })
  onMounted(draw)
  return layer
}
