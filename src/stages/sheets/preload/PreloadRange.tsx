import { attempt } from '@/core/evaluation/attempt'
import { locknut } from '@/core/machine/build/preload'
import { forces } from '@/core/machine/drive/load'
import type { PreloadRound } from '@/core/sheets/preload/model'
import { say } from '@/core/units/print'
import { useEvaluation } from '../../job/useEvaluation'

const token = (name: string) => `var(--dusk-colors-${name})`
const LEFT = 14
const WIDTH = 292

/** Where a set pair stands between opening under the largest load and being crushed: by the turn from no play. */
export function PreloadRange({ round }: { round: PreloadRound }) {
  const context = useEvaluation()
  const { units } = context
  const found = attempt(() => ({ nut: locknut(context), loadN: forces(context).maxN })).value
  if (!found || round.set !== 'loose') return null
  const { nut, loadN } = found
  // A pair opens at 2^1.5 times its preload, and preload grows by the 1.5th power of the turn.
  const opensAtTurn = nut.turnDeg * (loadN / (2 ** 1.5 * nut.preloadN)) ** (2 / 3)
  const most = 1.3 * nut.turnDeg
  const widest = 1.25 * Math.max(most, opensAtTurn, round.turnedDeg ?? 0)
  const x = (deg: number) => LEFT + (deg / widest) * WIDTH
  const deg = (value: number) => say(value, 'angle', units, 0)
  return (
    <svg
      viewBox="0 0 320 108"
      role="img"
      aria-label={`Turn of the locknut from no play: below ${deg(opensAtTurn)} the pair opens under the largest load, ${deg(nut.turnDeg)} is wanted, above ${deg(most)} it is too tight${round.turnedDeg === null ? '' : `; it was turned ${deg(round.turnedDeg)}`}`}
      style={{ width: '100%', maxWidth: '440px' }}
    >
      <rect x={LEFT} y={44} width={WIDTH} height={16} fill={token('raised')} stroke={token('quiet')} />
      <rect
        x={LEFT}
        y={44}
        width={Math.max(0, x(opensAtTurn) - LEFT)}
        height={16}
        fill={token('close')}
        fillOpacity={0.5}
      />
      <rect
        x={x(most)}
        y={44}
        width={LEFT + WIDTH - x(most)}
        height={16}
        fill={token('fails')}
        fillOpacity={0.5}
      />
      <line x1={x(nut.turnDeg)} x2={x(nut.turnDeg)} y1={36} y2={66} stroke={token('ink')} strokeWidth={2} />
      <text x={x(nut.turnDeg)} y={82} fontSize={12} textAnchor="middle" fill={token('ink')}>
        wanted {deg(nut.turnDeg)}
      </text>
      <text x={LEFT} y={30} fontSize={12} fill={token('ink')}>
        opens
      </text>
      <text x={LEFT + WIDTH} y={30} fontSize={12} textAnchor="end" fill={token('ink')}>
        heats, wears
      </text>
      {round.turnedDeg !== null && (
        <>
          <circle cx={x(round.turnedDeg)} cy={52} r={7} fill={token('lamp')} />
          <text
            x={x(round.turnedDeg)}
            y={100}
            fontSize={12}
            fontWeight={700}
            textAnchor="middle"
            fill={token('ink')}
          >
            as set {deg(round.turnedDeg)}
          </text>
        </>
      )}
    </svg>
  )
}
