import { tighteningTurns } from '@/core/machine/joints/tightening'

const token = (name: string) => `var(--dusk-colors-${name})`
const MOST_DRAWN = 24
/** Between the middles of two neighbours, so that they do not touch. */
const APART = 21

/** Screws of a joint on a circle, each with its turn: crosswise, so that the joint closes evenly. */
export function TighteningDrawing({ count, label }: { count: number; label: string }) {
  if (count < 3 || count > MOST_DRAWN) return null
  const radius = Math.max(32, (APART * count) / (2 * Math.PI))
  const reach = radius + 12
  return (
    <svg
      viewBox={`${-reach} ${-reach} ${2 * reach} ${2 * reach}`}
      role="img"
      aria-label={`Tightening order: ${label}`}
      style={{ width: `${2 * reach}px`, maxWidth: '100%' }}
    >
      <circle r={radius} fill="none" stroke={token('edge')} strokeDasharray="3 3" />
      {tighteningTurns(count).map((turn, index) => {
        const angle = (2 * Math.PI * index) / count - Math.PI / 2
        const [x, y] = [radius * Math.cos(angle), radius * Math.sin(angle)]
        return (
          <g key={turn}>
            <circle cx={x} cy={y} r={9} fill={token('raised')} stroke={token('ink')} />
            <text x={x} y={y + 4} textAnchor="middle" fontSize={11} fill={token('ink')}>
              {turn}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
