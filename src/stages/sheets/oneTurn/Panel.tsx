import type { WaveRound } from '@/core/sheets/oneTurn/model'
import { waveRounds } from '@/core/sheets/oneTurn/rounds'
import { quantityFacts } from '@/core/units/quantity'
import { chartColors } from '@/ui/chart/chartColors'
import { LineFigure } from '@/ui/chart/LineFigure'
import { useUnits } from '../../job/JobContext'
import { RoundPanel } from '../../job/rounds/RoundPanel'

const SCENE = {
  label:
    'The base stands on the bed, the tip touches the end of the slide, which comes to each place from the same side: it reads more as the slide comes towards it',
  boxes: [
    { x: 10, y: 92, width: 280, height: 30, label: 'bed' },
    { x: 60, y: 58, width: 110, height: 34, label: 'slide' },
  ],
  gauges: [{ base: [262, 92], dial: [226, 68], tip: [171, 74] }],
  words: [{ at: [30, 46], text: 'an eighth of a turn at a time →' }],
} as const

const FIELDS = ['gaugeStepUm', 'gaugeMore'] as const

/** What the screw adds within each of its turns. */
export function OneTurnPanel() {
  return (
    <RoundPanel
      rounds={waveRounds}
      title="One turn"
      checks={['prove.oncePerTurn']}
      fields={FIELDS}
      addLabel="Another place"
      scene={SCENE}
      words="Near the middle of the travel, send the slide on by an eighth of a lead at a time, over one turn or two, always from the same side. At each place write what the dial shows less what was commanded: set it to zero at the first. Targets along the travel stand at any angle of the screw: what a turn adds must be known before their corrections are put into a controller."
      picture={round => <Turn round={round} />}
    />
  )
}

function Turn({ round }: { round: WaveRound }) {
  const units = useUnits()
  const [length, small] = [quantityFacts('length')[units], quantityFacts('smallLength')[units]]
  const rows = round.stations
    .flatMap(({ positionMm, deviationUm }) =>
      deviationUm === null ? [] : [{ place: positionMm / length.perUnit, off: deviationUm / small.perUnit }],
    )
    .toSorted((a, b) => a.place - b.place)
  if (rows.length < 3) return null
  return (
    <LineFigure
      label="Chart of what was read over the turn"
      rows={rows}
      x={{ key: 'place', label: `commanded, ${length.unit}` }}
      y={{ label: small.unit, decimals: small.decimals }}
      series={[{ key: 'off', name: 'off', color: chartColors.lamp }]}
    />
  )
}
