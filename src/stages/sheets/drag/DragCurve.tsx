import type { DragReading } from '@/core/machine/align/tightSpots'
import { say } from '@/core/units/print'
import { useUnits } from '../../job/JobContext'

const token = (name: string) => `var(--dusk-colors-${name})`
const LEFT = 12
const WIDTH = 296
const TOP = 26
const TALL = 84

/** What it took to turn the screw along the travel: one line going away from the motor, one coming back. */
export function DragCurve({ along, spanMm }: { along: readonly DragReading[]; spanMm: number }) {
  const units = useUnits()
  if (along.length < 2) return null
  const most = Math.max(...along.map(({ torqueNm }) => torqueNm), 1e-9)
  const x = (mm: number) => LEFT + (mm / spanMm) * WIDTH
  const y = (nm: number) => TOP + TALL - (nm / most) * TALL
  const of = (direction: 1 | -1) =>
    along.filter(one => one.direction === direction).toSorted((a, b) => a.positionMm - b.positionMm)
  const lines = [
    { direction: 1 as const, color: token('lamp'), dash: undefined },
    { direction: -1 as const, color: token('ink'), dash: '6 4' },
  ]
  return (
    <svg
      viewBox="0 0 320 134"
      role="img"
      aria-label="Drag along the travel, away from the motor and towards it; the figures are in the table"
      style={{ width: '100%', maxWidth: '480px' }}
    >
      <line x1={LEFT} x2={LEFT + WIDTH} y1={TOP + TALL} y2={TOP + TALL} stroke={token('quiet')} />
      <rect x={LEFT - 8} y={TOP + TALL - 18} width={8} height={18} fill={token('quiet')} />
      <rect x={LEFT + WIDTH} y={TOP + TALL - 18} width={8} height={18} fill={token('quiet')} />
      {lines.map(({ direction, color, dash }) => (
        <g key={direction}>
          <polyline
            points={of(direction)
              .map(({ positionMm, torqueNm }) => `${x(positionMm)},${y(torqueNm)}`)
              .join(' ')}
            fill="none"
            stroke={color}
            strokeWidth={2.2}
            strokeDasharray={dash}
          />
          {of(direction).map(({ positionMm, torqueNm }) => (
            <circle key={positionMm} cx={x(positionMm)} cy={y(torqueNm)} r={3} fill={color} />
          ))}
        </g>
      ))}
      <text x={LEFT} y={14} fontSize={12} fill={token('ink')}>
        up to {say(most, 'torque', units, 2)}; full: away, dashed: back
      </text>
      <text x={LEFT} y={126} fontSize={12} fill={token('quiet')}>
        fixed block
      </text>
      <text x={LEFT + WIDTH} y={126} fontSize={12} textAnchor="end" fill={token('quiet')}>
        far block
      </text>
    </svg>
  )
}
