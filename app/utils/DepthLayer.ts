import Layer from 'ol/layer/Layer'
import type { FrameState } from 'ol/Map'
import type { DepthArea } from '../../core/water/contourLines'

export interface DepthInk {
  tints: string[]
  line: string
  shore: string
  pattern: string
  land: string
}

/**
 * The chart's ground: tinted depths with contour lines in ink, drawn as vectors on a canvas of its own,
 * and a dotted pattern where the fish should be. Coordinates are the water's local metres.
 */
export class DepthLayer extends Layer {
  private readonly canvas = document.createElement('canvas')
  private bands: Path2D[] = []
  private staging: Path2D | null = null
  private dots: CanvasPattern | null = null
  private ink: DepthInk

  constructor(ink: DepthInk) {
    super({})
    this.ink = ink
    this.canvas.style.position = 'absolute'
  }

  /** Areas at least as deep as each level, shallow first; the first is the water itself. */
  setAreas(areas: DepthArea[]): void {
    this.bands = areas.map(area => pathOf([area]))
    this.changed()
  }

  /** Water between two depths: the deeper area is cut out of the shallower. */
  setStaging(between: [DepthArea, DepthArea] | null): void {
    this.staging = between ? pathOf(between) : null
    this.changed()
  }

  setInk(ink: DepthInk): void {
    this.ink = ink
    this.dots = null
    this.changed()
  }

  override render({ size, pixelRatio, viewState: { center, resolution } }: FrameState): HTMLElement {
    const [width, height] = [Math.round(size[0]! * pixelRatio), Math.round(size[1]! * pixelRatio)]
    if (this.canvas.width !== width || this.canvas.height !== height) {
      this.canvas.width = width
      this.canvas.height = height
      this.canvas.style.width = `${size[0]}px`
      this.canvas.style.height = `${size[1]}px`
    }
    const paint = this.canvas.getContext('2d')!
    const scale = pixelRatio / resolution
    const left = width / 2 - center[0]! * scale
    const top = height / 2 + center[1]! * scale
    const lineM = resolution
    paint.setTransform(1, 0, 0, 1, 0, 0)
    paint.clearRect(0, 0, width, height)
    paint.setTransform(scale, 0, 0, -scale, left, top)
    paint.lineJoin = 'round'
    this.bands.forEach((band, i) => {
      paint.fillStyle = this.ink.tints[Math.min(i, this.ink.tints.length - 1)]!
      paint.fill(band, 'evenodd')
    })
    this.bands.forEach((band, i) => {
      if (i === 0) return
      paint.strokeStyle = this.ink.line
      paint.lineWidth = 0.7 * lineM
      paint.stroke(band)
    })
    if (this.staging) {
      paint.save()
      paint.clip(this.staging, 'evenodd')
      paint.setTransform(1, 0, 0, 1, 0, 0)
      paint.fillStyle = this.pattern(paint, pixelRatio, left, top)
      paint.fillRect(0, 0, width, height)
      paint.restore()
    }
    if (this.bands[0]) {
      paint.strokeStyle = this.ink.shore
      paint.lineWidth = 2 * lineM
      paint.stroke(this.bands[0])
    }
    // Layers above may paint on this canvas and expect it as it came.
    paint.setTransform(1, 0, 0, 1, 0, 0)
    return this.canvas
  }

  /** Dots fixed to the water, not to the screen, so that they do not swim when the chart is moved. */
  private pattern(paint: CanvasRenderingContext2D, pixelRatio: number, left: number, top: number): CanvasPattern {
    if (!this.dots) {
      const cell = 9 * pixelRatio
      const tile = document.createElement('canvas')
      tile.width = tile.height = Math.round(cell)
      const ink = tile.getContext('2d')!
      ink.fillStyle = this.ink.pattern
      for (const at of [0.25, 0.75]) {
        ink.beginPath()
        ink.arc(cell * at, cell * at, 1.25 * pixelRatio, 0, 2 * Math.PI)
        ink.fill()
      }
      this.dots = paint.createPattern(tile, 'repeat')!
    }
    this.dots.setTransform(new DOMMatrix().translate(left, top))
    return this.dots
  }
}

function pathOf(areas: DepthArea[]): Path2D {
  const path = new Path2D()
  for (const { polygons } of areas) {
    for (const ring of polygons.flat()) {
      ring.forEach(([x, y], i) => (i === 0 ? path.moveTo(x, y) : path.lineTo(x, y)))
      path.closePath()
    }
  }
  return path
}
