import type { ReturnRound } from '@/core/sheets/lostSteps/model'
import { returnRounds } from '@/core/sheets/lostSteps/rounds'
import { quantityFacts } from '@/core/units/quantity'
import { chartColors } from '@/ui/chart/chartColors'
import { LineFigure } from '@/ui/chart/LineFigure'
import { useUnits } from '../../job/JobContext'
import { RoundPanel } from '../../job/rounds/RoundPanel'

const SCENE = {
  label:
    'The base stands on the bed, the tip touches the end of the slide at its zero, which it comes to from the left each time',
  boxes: [
    { x: 10, y: 92, width: 280, height: 30, label: 'bed' },
    { x: 60, y: 58, width: 110, height: 34, label: 'slide' },
  ],
  gauges: [{ base: [262, 92], dial: [226, 68], tip: [171, 74] }],
  words: [{ at: [40, 46], text: 'always from this side →' }],
} as const

const FIELDS = ['movesEach', 'fastMmPerMin', 'gaugeStepUm'] as const

/** Coming back to zero after fast moves: steps that are lost, or something that slips. */
export function LostStepsPanel() {
  return (
    <RoundPanel
      rounds={returnRounds}
      title="Lost steps"
      checks={['prove.steps']}
      fields={FIELDS}
      addLabel="Another return"
      scene={SCENE}
      words="Set the dial to zero at a place in the middle. Move away and back slowly, read, twice or more: that is how well it can return at all. Then let it run the moves fast, come back from the same side, and read. Take the gauge away or hold it clear of the fast moves, and stand clear yourself. A stepper slips by whole cycles of four full steps; anything else is no lost step."
      picture={round => <Returns round={round} />}
    />
  )
}

function Returns({ round }: { round: ReturnRound }) {
  const units = useUnits()
  const { perUnit, unit, decimals } = quantityFacts('smallLength')[units]
  const read = (um: number | null) => (um === null ? null : um / perUnit)
  const rows = round.stations.map(({ slowUm, fastUm }, index) => ({
    number: index + 1,
    slow: read(slowUm),
    fast: read(fastUm),
  }))
  if (rows.filter(({ slow, fast }) => slow !== null || fast !== null).length < 2) return null
  return (
    <LineFigure
      label="Chart of the returns one after another, after slow and after fast moves"
      rows={rows}
      x={{ key: 'number', label: 'return' }}
      y={{ label: unit, decimals }}
      series={[
        { key: 'slow', name: 'after slow moves', color: chartColors.ink, dash: '5 4' },
        { key: 'fast', name: 'after fast moves', color: chartColors.lamp },
      ]}
    />
  )
}
