import type { ZeroRound } from '@/core/sheets/zeroTime/model'
import { zeroRounds } from '@/core/sheets/zeroTime/rounds'
import { quantityFacts } from '@/core/units/quantity'
import { chartColors } from '@/ui/chart/chartColors'
import { LineFigure } from '@/ui/chart/LineFigure'
import { useUnits } from '../../job/JobContext'
import { RoundPanel } from '../../job/rounds/RoundPanel'

const SCENE = {
  label:
    'The base stands on the bed, the tip touches the end of the slide, which comes back to the same place from the same side; between the readings it runs to and fro',
  boxes: [
    { x: 10, y: 92, width: 280, height: 30, label: 'bed' },
    { x: 60, y: 58, width: 110, height: 34, label: 'slide' },
  ],
  gauges: [{ base: [262, 92], dial: [226, 68], tip: [171, 74] }],
  words: [{ at: [20, 46], text: 'runs, comes back, every three minutes →' }],
} as const

const FIELDS = ['gaugeStepUm', 'gaugeMore', 'nearMm', 'farMm'] as const

/** The same place again and again from cold on: what warms, creeps, slips or loses steps. */
export function ZeroTimePanel() {
  return (
    <RoundPanel
      rounds={zeroRounds}
      title="Zero against time"
      checks={['prove.zeroTime']}
      fields={FIELDS}
      addLabel="Another return"
      scene={SCENE}
      words="Begin with a cold machine. Set the dial to zero at a place near the fixed block, and if you have a second gauge, another at a place far from it. Run the axis to and fro as fast as it works; every three minutes come back slowly from the same side, read, and run on. Clear the gauge before it runs fast, hands off, one hand at the stop. After half an hour the curve shows what warms, what creeps, what jumps, and how long to run it before a full test."
      picture={round => <Returns round={round} />}
    />
  )
}

function Returns({ round }: { round: ZeroRound }) {
  const units = useUnits()
  const { perUnit, unit, decimals } = quantityFacts('smallLength')[units]
  const read = (um: number | null) => (um === null ? null : um / perUnit)
  const rows = round.stations
    .filter(({ nearUm, farUm }) => nearUm !== null || farUm !== null)
    .map(({ minutes, nearUm, farUm }) => ({ minutes, near: read(nearUm), far: read(farUm) }))
    .toSorted((a, b) => a.minutes - b.minutes)
  if (rows.length < 2) return null
  return (
    <LineFigure
      label="Chart of the returns against the minutes run"
      rows={rows}
      x={{ key: 'minutes', label: 'minutes run' }}
      y={{ label: unit, decimals }}
      series={[
        { key: 'near', name: 'near the fixed block', color: chartColors.ink, dash: '5 4' },
        { key: 'far', name: 'far from it', color: chartColors.lamp },
      ]}
    />
  )
}
