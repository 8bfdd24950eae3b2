import { create } from 'qrcode'
import type { Rectangle } from './drawing'

/** White around the squares, in squares: without it no reader finds them. */
const QUIET = 4

/**
 * The dark squares of a QR code (ISO/IEC 18004), those beside each other in a row as one.
 *
 * @param sizeMm of the whole, with the white around it
 * @param x, y of its lower left corner
 */
export function qrSquares(text: string, x: number, y: number, sizeMm: number): Rectangle[] {
  const { size, data } = create(text, { errorCorrectionLevel: 'M' }).modules
  const step = sizeMm / (size + 2 * QUIET)
  const squares: Rectangle[] = []
  for (let row = 0; row < size; row++) {
    const bottom = y + sizeMm - (QUIET + row + 1) * step
    for (let from = 0; from < size; from++) {
      if (!data[row * size + from]) continue
      let to = from
      while (to + 1 < size && data[row * size + to + 1]) to++
      squares.push({
        left: x + (QUIET + from) * step,
        bottom,
        right: x + (QUIET + to + 1) * step,
        top: bottom + step,
      })
      from = to
    }
  }
  return squares
}
