import Layer from 'ol/layer/Layer'
import type { FrameState } from 'ol/Map'
import type { DepthArea } from '../../core/water/contourLines'
import type { DepthGrid } from '../../core/water/depthGrid'

/**
 * A figure for every wet cell of a grid, drawn in steps of tint over the chart. The picture has a pixel a cell; a new hour rewrites its
 * pixels and nothing else, so that it follows a dragged slider.
 */
export class FieldLayer extends Layer {
  private readonly canvas = document.createElement('canvas')
  private readonly picture = document.createElement('canvas')
  private readonly pixels: ImageData
  private readonly words: Uint32Array
  private readonly grid: DepthGrid
  /** pixel of each wet cell: the picture's rows run from the north */
  private readonly pixelOf: Int32Array
  /** dry cells beside wet ones, with the wet one whose tint they take: the shoreline then cuts through tint, not through steps */
  private readonly rim: [number, number][]
  private shore: Path2D | null = null
  /** the water in one view, and its shoreline in ink */
  private readonly mask = document.createElement('canvas')
  private readonly line = document.createElement('canvas')
  private view = ''
  private ink = '#000'

  constructor(grid: DepthGrid, cells: Int32Array) {
    super({})
    this.grid = grid
    this.pixelOf = cells.map(cell => pixel(grid, cell))
    this.rim = rimOf(grid, cells)
    this.picture.width = grid.cols
    this.picture.height = grid.rows
    this.pixels = new ImageData(grid.cols, grid.rows)
    this.words = new Uint32Array(this.pixels.data.buffer)
    this.canvas.style.position = 'absolute'
  }

  /** @param tints for values below each of `limits`, and one more for what is above them all */
  show(values: Float32Array, limits: readonly number[], tints: readonly string[]): void {
    const colours = tints.map(littleEndian)
    const lowest = limits[0]!
    const step = limits.length > 1 ? limits[1]! - lowest : 1
    const last = colours.length - 1
    const { pixelOf, words } = this
    for (let i = 0; i < pixelOf.length; i++) {
      const at = Math.min(last, Math.max(0, Math.floor((values[i]! - lowest) / step) + 1))
      words[pixelOf[i]!] = colours[at]!
    }
    for (const [dry, wet] of this.rim) this.words[dry] = this.words[wet]!
    this.picture.getContext('2d')!.putImageData(this.pixels, 0, 0)
    this.changed()
  }

  setShore({ polygons }: DepthArea, ink: string): void {
    const path = new Path2D()
    for (const ring of polygons.flat()) {
      ring.forEach(([x, y], i) => (i === 0 ? path.moveTo(x, y) : path.lineTo(x, y)))
      path.closePath()
    }
    this.shore = path
    this.ink = ink
    this.view = ''
    this.changed()
  }

  /** The shoreline is cut and inked once for a view; an hour that changes under a resting view costs three copies of pixels. */
  override render({ size, pixelRatio, viewState: { center, resolution } }: FrameState): HTMLElement {
    const [width, height] = [Math.round(size[0]! * pixelRatio), Math.round(size[1]! * pixelRatio)]
    if (this.canvas.width !== width || this.canvas.height !== height) {
      for (const canvas of [this.canvas, this.mask, this.line]) {
        canvas.width = width
        canvas.height = height
      }
      this.canvas.style.width = `${size[0]}px`
      this.canvas.style.height = `${size[1]}px`
      this.view = ''
    }
    const scale = pixelRatio / resolution
    const left = width / 2 - center[0]! * scale
    const top = height / 2 + center[1]! * scale
    const view = `${left} ${top} ${scale}`
    if (this.shore && this.view !== view) {
      this.view = view
      this.cut(this.shore, left, top, scale, pixelRatio)
    }
    const { x0, y0, cols, rows, cellM } = this.grid
    const paint = this.canvas.getContext('2d')!
    paint.clearRect(0, 0, width, height)
    paint.imageSmoothingEnabled = false
    paint.drawImage(this.picture, left + x0 * scale, top - (y0 + rows * cellM) * scale, cols * cellM * scale, rows * cellM * scale)
    if (this.shore) {
      paint.globalCompositeOperation = 'destination-in'
      paint.drawImage(this.mask, 0, 0)
      paint.globalCompositeOperation = 'source-over'
      paint.drawImage(this.line, 0, 0)
    }
    return this.canvas
  }

  private cut(shore: Path2D, left: number, top: number, scale: number, pixelRatio: number): void {
    for (const canvas of [this.mask, this.line]) {
      const paint = canvas.getContext('2d')!
      paint.setTransform(1, 0, 0, 1, 0, 0)
      paint.clearRect(0, 0, canvas.width, canvas.height)
      paint.setTransform(scale, 0, 0, -scale, left, top)
      if (canvas === this.mask) {
        paint.fill(shore, 'evenodd')
      }
      else {
        paint.strokeStyle = this.ink
        paint.lineWidth = (2 * pixelRatio) / scale
        paint.stroke(shore)
      }
    }
  }
}

const pixel = ({ cols, rows }: DepthGrid, cell: number) => (rows - 1 - Math.floor(cell / cols)) * cols + (cell % cols)

/** Pixels of the dry cells around the water, each with the pixel of a wet neighbour. */
function rimOf(grid: DepthGrid, cells: Int32Array): [number, number][] {
  const { cols, rows, depthM } = grid
  const rim = new Map<number, number>()
  for (const cell of cells) {
    for (const n of [cell - 1, cell + 1, cell - cols, cell + cols, cell - cols - 1, cell - cols + 1, cell + cols - 1, cell + cols + 1]) {
      if (n >= 0 && n < cols * rows && Number.isNaN(depthM[n]!) && !rim.has(n)) rim.set(n, cell)
    }
  }
  return [...rim].map(([dry, wet]) => [pixel(grid, dry), pixel(grid, wet)])
}

/** "#RRGGBB" as an opaque pixel in the order of an ImageData's bytes. */
function littleEndian(hex: string): number {
  const rgb = Number.parseInt(hex.slice(1), 16)
  return ((0xFF << 24) | ((rgb & 0xFF) << 16) | (rgb & 0xFF00) | (rgb >> 16)) >>> 0
}
