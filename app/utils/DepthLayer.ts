import Layer from 'ol/layer/Layer'
import type { FrameState } from 'ol/Map'
import type { DepthArea } from '../../core/water/contourLines'

export interface DepthInk {
  tints: string[]
  line: string
  shore: string
  /** colour of each overlay's pattern */
  patterns: Record<OverlayKind, string>
}

/** A drawn rectangle of the chart: its middle in metres, pixels a metre, size in pixels. */
interface Sheet {
  x: number
  y: number
  scale: number
  width: number
  height: number
}

/** A sheet is this many times as wide and high as the view. */
const SHEET = 1.4

function covers(sheet: Sheet, view: Sheet): boolean {
  return Math.abs(sheet.scale / view.scale - 1) < 1e-6
    && Math.abs(sheet.x - view.x) * view.scale <= (sheet.width - view.width) / 2
    && Math.abs(sheet.y - view.y) * view.scale <= (sheet.height - view.height) / 2
}

/** now: where the fish should be, dots; beside: the second band, strokes; weed: sprigs; doubt: no sounding near, hatched. */
export type OverlayKind = 'now' | 'beside' | 'weed' | 'doubt'

/**
 * The chart's ground: tinted depths with contour lines in ink, drawn as vectors on a canvas of its own,
 * and patterns over parts of the water, so that they can be told apart in grey. Coordinates are the water's local metres.
 */
export class DepthLayer extends Layer {
  private readonly canvas = document.createElement('canvas')
  /** the sheet that is shown a part of */
  private readonly paper = document.createElement('canvas')
  private sheet: Sheet | null = null
  private bands: Path2D[] = []
  private overlays = new Map<OverlayKind, Path2D>()
  private patterns = new Map<OverlayKind, CanvasPattern>()
  private ink: DepthInk

  constructor(ink: DepthInk) {
    super({})
    this.ink = ink
    this.canvas.style.position = 'absolute'
  }

  /** Areas at least as deep as each level, shallow first; the first is the water itself. */
  setAreas(areas: DepthArea[]): void {
    this.bands = areas.map(area => pathOf([area]))
    this.redraw()
  }

  /** A pattern over the water that is in the first areas and not in the second; null takes it off. */
  setOverlay(kind: OverlayKind, between: [DepthArea, DepthArea] | null): void {
    if (between) this.overlays.set(kind, pathOf(between))
    else this.overlays.delete(kind)
    this.redraw()
  }

  setInk(ink: DepthInk): void {
    this.ink = ink
    this.patterns.clear()
    this.redraw()
  }

  /**
   * While the chart is dragged or zoomed the last sheet is shifted and scaled; once it rests, one is drawn that fits. A sheet is larger
   * than the view, so that a short drag does not run out of it.
   */
  override render({ size, pixelRatio, viewHints, viewState: { center, resolution } }: FrameState): HTMLElement {
    const [width, height] = [Math.round(size[0]! * pixelRatio), Math.round(size[1]! * pixelRatio)]
    if (this.canvas.width !== width || this.canvas.height !== height) {
      this.canvas.width = width
      this.canvas.height = height
      this.canvas.style.width = `${size[0]}px`
      this.canvas.style.height = `${size[1]}px`
    }
    const view: Sheet = { x: center[0]!, y: center[1]!, scale: pixelRatio / resolution, width, height }
    const moving = viewHints.some(hint => hint > 0)
    if (!this.sheet || (!moving && !covers(this.sheet, view))) {
      this.sheet = { ...view, width: Math.round(width * SHEET), height: Math.round(height * SHEET) }
      this.draw(this.sheet, pixelRatio)
    }
    const paint = this.canvas.getContext('2d')!
    const { x, y, scale, width: sheetWidth, height: sheetHeight } = this.sheet
    const grown = view.scale / scale
    paint.setTransform(1, 0, 0, 1, 0, 0)
    paint.clearRect(0, 0, width, height)
    // Rough edges are not seen in motion, and cost half.
    paint.imageSmoothingEnabled = !moving
    paint.drawImage(this.paper, width / 2 + (x - view.x) * view.scale - (sheetWidth * grown) / 2, height / 2 - (y - view.y) * view.scale - (sheetHeight * grown) / 2, sheetWidth * grown, sheetHeight * grown)
    return this.canvas
  }

  private draw({ x, y, scale, width, height }: Sheet, pixelRatio: number): void {
    this.paper.width = width
    this.paper.height = height
    const paint = this.paper.getContext('2d')!
    const left = width / 2 - x * scale
    const top = height / 2 + y * scale
    const pixelM = pixelRatio / scale
    paint.setTransform(scale, 0, 0, -scale, left, top)
    paint.lineJoin = 'round'
    this.bands.forEach((band, i) => {
      paint.fillStyle = this.ink.tints[Math.min(i, this.ink.tints.length - 1)]!
      paint.fill(band, 'evenodd')
    })
    paint.strokeStyle = this.ink.line
    paint.lineWidth = 0.7 * pixelM
    for (const band of this.bands.slice(1)) paint.stroke(band)
    for (const [kind, path] of this.overlays) {
      paint.save()
      paint.clip(path, 'evenodd')
      paint.setTransform(1, 0, 0, 1, 0, 0)
      paint.fillStyle = this.pattern(kind, paint, pixelRatio, left, top)
      paint.fillRect(0, 0, width, height)
      paint.restore()
    }
    if (this.bands[0]) {
      paint.strokeStyle = this.ink.shore
      paint.lineWidth = 2 * pixelM
      paint.stroke(this.bands[0])
    }
  }

  /** What is on the sheet is out of date. */
  private redraw(): void {
    this.sheet = null
    this.changed()
  }

  /** Fixed to the water, not to the screen, so that it does not swim when the chart is moved. */
  private pattern(kind: OverlayKind, paint: CanvasRenderingContext2D, pixelRatio: number, left: number, top: number): CanvasPattern {
    let pattern = this.patterns.get(kind)
    if (!pattern) {
      const tile = document.createElement('canvas')
      const cell = Math.round(CELLS[kind] * pixelRatio)
      tile.width = tile.height = cell
      const ink = tile.getContext('2d')!
      ink.fillStyle = ink.strokeStyle = this.ink.patterns[kind]
      ink.lineCap = 'round'
      DRAWINGS[kind](ink, cell, pixelRatio)
      pattern = paint.createPattern(tile, 'repeat')!
      this.patterns.set(kind, pattern)
    }
    pattern.setTransform(new DOMMatrix().translate(left, top))
    return pattern
  }
}

const CELLS: Record<OverlayKind, number> = { now: 9, beside: 10, weed: 13, doubt: 8 }
const DRAWINGS: Record<OverlayKind, (ink: CanvasRenderingContext2D, cell: number, ratio: number) => void> = {
  now(ink, cell, ratio) {
    for (const at of [0.25, 0.75]) {
      ink.beginPath()
      ink.arc(cell * at, cell * at, 1.25 * ratio, 0, 2 * Math.PI)
      ink.fill()
    }
  },
  beside: (ink, cell, ratio) => strokes(ink, 1.5 * ratio, [[0.15, 0.3, 0.55, 0.3], [0.6, 0.8, 1, 0.8], [0, 0.8, 0.1, 0.8]], cell),
  weed: (ink, cell, ratio) => strokes(ink, 1.3 * ratio, [[0.3, 0.75, 0.3, 0.3], [0.3, 0.55, 0.12, 0.35], [0.3, 0.55, 0.48, 0.35], [0.8, 1, 0.8, 0.7]], cell),
  doubt: (ink, cell, ratio) => strokes(ink, 0.9 * ratio, [[0, 1, 1, 0], [-0.1, 0.1, 0.1, -0.1], [0.9, 1.1, 1.1, 0.9]], cell),
}

function strokes(ink: CanvasRenderingContext2D, width: number, lines: [number, number, number, number][], cell: number): void {
  ink.lineWidth = width
  ink.beginPath()
  for (const [x0, y0, x1, y1] of lines) {
    ink.moveTo(x0 * cell, y0 * cell)
    ink.lineTo(x1 * cell, y1 * cell)
  }
  ink.stroke()
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
