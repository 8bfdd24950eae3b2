import { CAUSE_WORDS } from '@/core/sheets/drag/check'
import type { Band } from '@/core/sheets/shared/rounds/bands'
import type { Cause, DragReading } from '@/core/sheets/shared/rounds/tightSpots'
import { say } from '@/core/units/print'
import { useUnits } from '../../job/JobContext'

const token = (name: string) => `var(--dusk-colors-${name})`
const LEFT = 12
const WIDTH = 296
const TOP = 26
const TALL = 112

/** A lower band has no room for its name: the bars beneath have it. */
const LEAST_BAND = 13
type Point = Band['points'][number]
const wider = (most: Point, one: Point) => (one.highNm - one.lowNm > most.highNm - most.lowNm ? one : most)

interface Props {
  along: readonly DragReading[]
  spanMm: number
  /** What each cause takes, where that can be told, and the one that takes most. */
  bands?: readonly Band[]
  named?: Cause | null
  /** Whether the far end of the screw is free: no block is drawn there. */
  isFarFree?: boolean
}

/**
 * What it took to turn the screw along the travel: one line going away from the motor, one coming back, and beneath them
 * what each cause takes of it.
 */
export function DragCurve({ along, spanMm, bands = [], named = null, isFarFree = false }: Props) {
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
      viewBox="0 0 320 162"
      role="img"
      aria-label="Drag along the travel, away from the motor and towards it; the figures are in the table"
      style={{ width: '100%', maxWidth: '480px' }}
    >
      <line x1={LEFT} x2={LEFT + WIDTH} y1={TOP + TALL} y2={TOP + TALL} stroke={token('quiet')} />
      <rect x={LEFT - 8} y={TOP + TALL - 18} width={8} height={18} fill={token('quiet')} />
      {!isFarFree && (
        <rect x={LEFT + WIDTH} y={TOP + TALL - 18} width={8} height={18} fill={token('quiet')} />
      )}
      {bands.map(({ cause, points }) => (
        <polygon
          key={cause ?? 'level'}
          data-band={cause ?? 'level'}
          points={[
            ...points.map(one => `${x(one.positionMm)},${y(one.lowNm)}`),
            ...points.toReversed().map(one => `${x(one.positionMm)},${y(one.highNm)}`),
          ].join(' ')}
          fill={token(cause === null ? 'raised' : cause === named ? 'fails' : 'close')}
          fillOpacity={cause === null ? 1 : 0.45}
          stroke={token('quiet')}
          strokeWidth={0.6}
        />
      ))}
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
      {bands.map(({ cause, points }) => {
        const at = cause === null ? points[points.length >> 1] : points.reduce(wider)
        if (!at || y(at.lowNm) - y(at.highNm) < LEAST_BAND) return null
        return (
          <text
            key={cause ?? 'level'}
            x={x(at.positionMm) + (at === points[0] ? 4 : at === points.at(-1) ? -4 : 0)}
            y={(y(at.lowNm) + y(at.highNm)) / 2 + 4}
            fontSize={12}
            textAnchor={at === points[0] ? 'start' : at === points.at(-1) ? 'end' : 'middle'}
            fill={token('ink')}
            // A line that goes through a word is held off it.
            stroke={token('panel')}
            strokeWidth={3}
            paintOrder="stroke"
          >
            {cause === null ? 'everywhere' : CAUSE_WORDS[cause]}
          </text>
        )
      })}
      <text x={LEFT} y={14} fontSize={12} fill={token('ink')}>
        up to {say(most, 'torque', units, 2)}; full: away, dashed: back
      </text>
      <text x={LEFT} y={154} fontSize={12} fill={token('quiet')}>
        fixed block
      </text>
      <text x={LEFT + WIDTH} y={154} fontSize={12} textAnchor="end" fill={token('quiet')}>
        {isFarFree ? 'free end' : 'far block'}
      </text>
    </svg>
  )
}
