import { attempt } from '@/core/evaluation/attempt'
import type { Say } from '@/core/evaluation/check'
import { lifeWords } from '@/core/evaluation/measures'
import type { PreloadRound } from '@/core/sheets/preload/model'
import { preloadRange, setBy } from '@/core/sheets/preload/range'
import { say } from '@/core/units/print'
import { DataTable } from '@/ui/table/DataTable'
import { useSettledEvaluation } from '../../job/useEvaluation'

const token = (name: string) => `var(--dusk-colors-${name})`
const LEFT = 14
const WIDTH = 292

/** Where a set pair stands between opening under the largest load and being crushed: by the turn from no play. */
export function PreloadRange({ round }: { round: PreloadRound }) {
  const context = useSettledEvaluation()
  const { units } = context
  const found = attempt(() => preloadRange(context)).value
  if (!found || round.set !== 'loose') return null
  const { least, wanted, most } = found
  const widest = 1.25 * Math.max(most.turnDeg, least.turnDeg, round.turnedDeg ?? 0)
  const x = (deg: number) => LEFT + (deg / widest) * WIDTH
  const deg = (value: number) => say(value, 'angle', units, 0)
  const set = round.turnedDeg === null ? null : attempt(() => setBy(context, round.turnedDeg as number)).value
  const saying: Say = (value, quantity, decimals) => say(value, quantity, units, decimals)
  const rows = [
    { name: 'least', ...least },
    { name: 'wanted', ...wanted },
    { name: 'most', ...most },
    ...(set ? [{ name: 'as set', ...set }] : []),
  ]
  return (
    <>
      <svg
        viewBox="0 0 320 108"
        role="img"
        aria-label={`Turn of the locknut from no play: below ${deg(least.turnDeg)} the pair opens under the largest load, ${deg(wanted.turnDeg)} is wanted, above ${deg(most.turnDeg)} it is too tight${round.turnedDeg === null ? '' : `; it was turned ${deg(round.turnedDeg)}`}`}
        style={{ width: '100%', maxWidth: '440px' }}
      >
        <rect x={LEFT} y={44} width={WIDTH} height={16} fill={token('raised')} stroke={token('quiet')} />
        <rect
          x={LEFT}
          y={44}
          width={Math.max(0, x(least.turnDeg) - LEFT)}
          height={16}
          fill={token('close')}
          fillOpacity={0.5}
        />
        <rect
          x={x(most.turnDeg)}
          y={44}
          width={LEFT + WIDTH - x(most.turnDeg)}
          height={16}
          fill={token('fails')}
          fillOpacity={0.5}
        />
        <line
          x1={x(wanted.turnDeg)}
          x2={x(wanted.turnDeg)}
          y1={36}
          y2={66}
          stroke={token('ink')}
          strokeWidth={2}
        />
        <text x={x(wanted.turnDeg)} y={82} fontSize={12} textAnchor="middle" fill={token('ink')}>
          wanted {deg(wanted.turnDeg)}
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
      <DataTable
        label="What a turn of the locknut comes to"
        columns={[
          { id: 'name', head: 'Preload', cell: row => row.name },
          { id: 'turn', head: 'Turn', figures: true, cell: row => deg(row.turnDeg) },
          { id: 'force', head: 'Gives', figures: true, cell: row => say(row.preloadN, 'force', units, 0) },
          { id: 'opens', head: 'Opens at', figures: true, cell: row => say(row.opensN, 'force', units, 0) },
          { id: 'life', head: 'Good for', figures: true, cell: row => lifeWords(row.lifeHours, saying) },
        ]}
        rows={rows}
        rowId={row => row.name}
        isStrong={row => row.name === 'as set'}
        leastPx={360}
      />
    </>
  )
}
