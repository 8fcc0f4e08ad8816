import Icon from 'ol/style/Icon'

export interface MarkInk {
  ink: string
  sheet: string
  chosen: boolean
}

/** Marks are painted at this many pixels a unit and shown at one, so that they stay sharp. */
const SHARP = 2

/**
 * A mark for the map, painted once as pixels: a frame with a drawing in it. Pictures in a vector format would be painted anew
 * for each mark in each frame.
 */
export function markIcon({ frame, drawing, at, size, ink, sheet, width }: {
  /** outline and strokes as SVG path data, in units of the mark */
  frame: string
  drawing: string
  /** where the drawing's own 24-unit square begins */
  at: number
  /** side of the mark, units and pixels */
  size: number
  ink: string
  sheet: string
  /** of the frame's stroke */
  width: number
}): Icon {
  const canvas = document.createElement('canvas')
  canvas.width = canvas.height = 40 * SHARP
  const paint = canvas.getContext('2d')!
  paint.scale(SHARP, SHARP)
  paint.lineCap = paint.lineJoin = 'round'
  paint.strokeStyle = ink
  const outline = new Path2D(frame)
  paint.fillStyle = sheet
  paint.fill(outline)
  paint.lineWidth = width
  paint.stroke(outline)
  paint.translate(at, at)
  paint.lineWidth = 2.2
  paint.stroke(new Path2D(drawing))
  return new Icon({ img: canvas, scale: size / (40 * SHARP), declutterMode: 'none' })
}
