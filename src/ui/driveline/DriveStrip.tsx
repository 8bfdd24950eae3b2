import type { DriveLine as Line } from '@/core/drawing/driveLine'
import { fill } from './Part'

const WIDTH_PX = 260
const HEIGHT_PX = 30

/**
 * The drive in small, to tell at a glance which one it is: a picture, and nothing to pick.
 *
 * @param scale pixels to a millimetre; left out, it is as large as a strip lets it be
 */
export function DriveStrip({ line, scale: given }: { line: Line; scale?: number }) {
  const heightMm = Math.max(1, line.topMm - line.bottomMm)
  const scale = given ?? Math.min(WIDTH_PX / (line.rightMm - line.leftMm), HEIGHT_PX / heightMm)
  return (
    <svg
      width={(line.rightMm - line.leftMm) * scale}
      height={heightMm * scale}
      viewBox={`${line.leftMm} ${-line.topMm} ${line.rightMm - line.leftMm} ${line.topMm - line.bottomMm}`}
      aria-hidden="true"
    >
      {line.boxes.map(box => (
        <rect
          key={`${box.part} ${box.role} ${box.xMm} ${box.yMm}`}
          x={box.xMm}
          y={-box.yMm - box.heightMm}
          width={box.widthMm}
          height={box.heightMm}
          fill={box.guessed ? 'none' : `var(--dusk-colors-${fill(box)})`}
          stroke={`var(--dusk-colors-${box.guessed ? 'edge' : 'canvas'})`}
          strokeWidth={0.8 / scale}
          strokeDasharray={box.guessed ? `${4 / scale} ${3 / scale}` : undefined}
        />
      ))}
    </svg>
  )
}
