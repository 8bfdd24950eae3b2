import { textWidthMm } from './letterWidths'

/** What a drawing is made of, in millimetres at full size; x to the right, y up. */
export type Mark =
  | { is: 'line'; layer: Layer; x1: number; y1: number; x2: number; y2: number }
  | { is: 'circle'; layer: Layer; x: number; y: number; r: number }
  | { is: 'text'; layer: Layer; x: number; y: number; heightMm: number; text: string }

/** What a mark is for: edges that are cut or drilled, centre lines, and words that are neither. */
export const LAYERS = ['edge', 'centre', 'words'] as const
export type Layer = (typeof LAYERS)[number]

export interface Drawing {
  title: string
  marks: Mark[]
}

export const line = (layer: Layer, x1: number, y1: number, x2: number, y2: number): Mark => ({
  is: 'line',
  layer,
  x1,
  y1,
  x2,
  y2,
})
export const circle = (layer: Layer, x: number, y: number, r: number): Mark => ({
  is: 'circle',
  layer,
  x,
  y,
  r,
})
export const words = (x: number, y: number, text: string, heightMm = 3): Mark => ({
  is: 'text',
  layer: 'words',
  x,
  y,
  heightMm,
  text,
})
/** The four edges of a rectangle. */
export const box = (layer: Layer, x: number, y: number, width: number, height: number): Mark[] => [
  line(layer, x, y, x + width, y),
  line(layer, x + width, y, x + width, y + height),
  line(layer, x + width, y + height, x, y + height),
  line(layer, x, y + height, x, y),
]
/** A cross through a point, each arm from the middle out: so its dashes meet there, where the punch goes. */
export const cross = (x: number, y: number, reachMm: number): Mark[] =>
  [
    [1, 0],
    [0, 1],
    [-1, 0],
    [0, -1],
  ].map(([dx = 0, dy = 0]) => line('centre', x, y, x + dx * reachMm, y + dy * reachMm))

export interface Rectangle {
  left: number
  bottom: number
  right: number
  top: number
}

/** The rectangle that a text takes. */
export const textBox = ({
  x,
  y,
  heightMm,
  text,
}: {
  x: number
  y: number
  heightMm: number
  text: string
}): Rectangle => ({ left: x, bottom: y, right: x + textWidthMm(text, heightMm), top: y + heightMm })

/**
 * The rectangle that holds everything of a drawing.
 *
 * @example boundsOf([circle('edge', 0, 0, 5)]) // { left: -5, bottom: -5, right: 5, top: 5 }
 */
export function boundsOf(marks: readonly Mark[]): Rectangle {
  const xs: number[] = []
  const ys: number[] = []
  for (const mark of marks)
    switch (mark.is) {
      case 'line':
        xs.push(mark.x1, mark.x2)
        ys.push(mark.y1, mark.y2)
        break
      case 'circle':
        xs.push(mark.x - mark.r, mark.x + mark.r)
        ys.push(mark.y - mark.r, mark.y + mark.r)
        break
      case 'text': {
        const box = textBox(mark)
        xs.push(box.left, box.right)
        ys.push(box.bottom, box.top)
      }
    }
  return { left: Math.min(...xs), bottom: Math.min(...ys), right: Math.max(...xs), top: Math.max(...ys) }
}
