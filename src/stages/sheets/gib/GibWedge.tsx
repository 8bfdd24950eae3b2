import { say } from '@/core/units/print'
import { useUnits } from '../../job/JobContext'

const token = (name: string) => `var(--dusk-colors-${name})`
const LEFT = 14
const WIDTH = 292
const GROUND = 96
const TALL = 62

/** The plays as the gap beside the gib along the travel, much enlarged, with the play that is wanted. */
export function GibWedge({
  plays,
  targetUm,
}: {
  plays: readonly { positionMm: number; playUm: number }[]
  targetUm: number
}) {
  const units = useUnits()
  if (plays.length < 2) return null
  const places = plays.map(({ positionMm }) => positionMm)
  const [from, to] = [Math.min(...places), Math.max(...places)]
  const most = Math.max(targetUm, ...plays.map(({ playUm }) => playUm))
  const x = (mm: number) => LEFT + ((mm - from) / Math.max(1e-9, to - from)) * WIDTH
  const y = (um: number) => GROUND - (um / most) * TALL
  const sorted = plays.toSorted((a, b) => a.positionMm - b.positionMm)
  const edge = sorted.map(({ positionMm, playUm }) => `${x(positionMm)},${y(playUm)}`).join(' ')
  const small = (um: number) => say(um, 'smallLength', units)
  return (
    <svg
      viewBox="0 0 320 132"
      role="img"
      aria-label={`Play beside the gib: ${sorted.map(({ positionMm, playUm }) => `${small(playUm)} at ${say(positionMm, 'length', units, 0)}`).join(', ')}; ${small(targetUm)} wanted`}
      style={{ width: '100%', maxWidth: '440px' }}
    >
      <polygon
        points={`${x(from)},${GROUND} ${edge} ${x(to)},${GROUND}`}
        fill={token('raised')}
        stroke={token('lamp')}
        strokeWidth={2}
      />
      <polygon
        points={`${x(from)},${GROUND + 4} ${x(to)},${GROUND + 4} ${x(to)},${GROUND + 10} ${x(from)},${GROUND + 18}`}
        fill={token('panel')}
        stroke={token('ink')}
      />
      <text x={x(to) - 4} y={GROUND + 30} textAnchor="end" fontSize={12} fill={token('quiet')}>
        gib
      </text>
      <line
        x1={x(from)}
        x2={x(to)}
        y1={y(targetUm)}
        y2={y(targetUm)}
        stroke={token('ink')}
        strokeDasharray="5 4"
      />
      <text x={x(from)} y={y(targetUm) + 14} fontSize={12} fill={token('ink')}>
        {small(targetUm)} wanted
      </text>
      {sorted.map(({ positionMm, playUm }, index) => (
        <text
          key={positionMm}
          x={x(positionMm)}
          y={y(playUm) - 5}
          fontSize={12}
          fontWeight={700}
          fill={token('ink')}
          textAnchor={index === 0 ? 'start' : index === sorted.length - 1 ? 'end' : 'middle'}
        >
          {small(playUm)}
        </text>
      ))}
    </svg>
  )
}
