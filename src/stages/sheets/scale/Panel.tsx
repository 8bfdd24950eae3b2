import type { ScaleRound } from '@/core/sheets/scale/model'
import { movesOf, scaleRounds } from '@/core/sheets/scale/rounds'
import { quantityFacts } from '@/core/units/quantity'
import { chartColors } from '@/ui/chart/chartColors'
import { LineFigure } from '@/ui/chart/LineFigure'
import { useUnits } from '../../job/JobContext'
import { RoundPanel } from '../../job/rounds/RoundPanel'

const SCENE = {
  label:
    'Gauge blocks or a long rule between a stop on the bed and an indicator on the slide; the slide comes to each place from the same side',
  boxes: [
    { x: 10, y: 92, width: 280, height: 30, label: 'bed' },
    { x: 18, y: 62, width: 16, height: 30 },
    { x: 34, y: 66, width: 120, height: 18, label: 'blocks, or a rule' },
    { x: 206, y: 52, width: 76, height: 40, label: 'slide' },
  ],
  gauges: [{ base: [214, 52], dial: [190, 34], tip: [155, 75] }],
  words: [{ at: [206, 46], text: '← from one side' }],
} as const

const FIELDS = ['gaugeStepUm', 'stepsPerMm'] as const

/** How far the slide goes for what is commanded. */
export function ScalePanel() {
  return (
    <RoundPanel
      rounds={scaleRounds}
      title="Scale"
      checks={['prove.scale']}
      fields={FIELDS}
      addLabel="Another place"
      scene={SCENE}
      words="Measure where the slide goes at some places over most of its travel: gauge blocks between a stop and an indicator, a setting rod, or long calipers. Come to each place from the same side, so that play stays out of it. Let the scale lie on the machine until both are alike warm. Leave the steps empty to use those under First moves."
      picture={round => <Off round={round} />}
    />
  )
}

function Off({ round }: { round: ScaleRound }) {
  const units = useUnits()
  const moves = movesOf(round).toSorted((a, b) => a.commandedMm - b.commandedMm)
  if (moves.length < 2) return null
  const [length, small] = [quantityFacts('length')[units], quantityFacts('smallLength')[units]]
  return (
    <LineFigure
      label="Chart of what was measured less what was commanded, over the travel"
      rows={moves.map(({ commandedMm, measuredMm }) => ({
        place: commandedMm / length.perUnit,
        off: ((measuredMm - commandedMm) * 1000) / small.perUnit,
      }))}
      x={{ key: 'place', label: `commanded, ${length.unit}` }}
      y={{ label: small.unit, decimals: small.decimals }}
      series={[{ key: 'off', name: 'off', color: chartColors.lamp }]}
    />
  )
}
