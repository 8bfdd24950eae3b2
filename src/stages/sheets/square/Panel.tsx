import { lastRound } from '@/core/sheets/shared/rounds/rounds'
import type { SquareRound } from '@/core/sheets/square/model'
import { squareRounds } from '@/core/sheets/square/rounds'
import type { GaugeScene } from '@/ui/drawings/GaugeDrawing'
import { RoundPanel } from '../../job/rounds/RoundPanel'
import { useAxis } from '../../job/useAxis'

const DIAGONALS: GaugeScene = {
  label:
    'A rectangle of four marks: diagonal A goes from the first side’s near mark to the second side’s far one, diagonal B the other way',
  boxes: [{ x: 50, y: 22, width: 200, height: 86 }],
  lines: [
    { from: [50, 108], to: [250, 22] },
    { from: [50, 22], to: [250, 108], dashed: true },
  ],
  words: [
    { at: [104, 78], text: 'A' },
    { at: [104, 40], text: 'B' },
    { at: [110, 124], text: 'first side →' },
    { at: [106, 16], text: 'second side →' },
  ],
}
const TURNED: GaugeScene = {
  label:
    'A square lies along the other axis; the base is on the slide and the tip runs along its upright edge. Then the square is turned over',
  boxes: [
    { x: 40, y: 98, width: 190, height: 12, label: '' },
    { x: 40, y: 16, width: 12, height: 82, label: '' },
  ],
  gauges: [{ base: [150, 98], dial: [96, 58], tip: [53, 58] }],
  words: [{ at: [176, 62], text: 'slide along the edge ↕' }],
}

const HOW: Record<SquareRound['how'], string> = {
  diagonals:
    'Mark four points: run the gantry to two places and prick two marks at each, or use the ends of the rails. Only the diagonals must be read well; the sides to a hundredth of themselves. First each side by itself, with the screws apart; then square; then coupled. Read again with the gantry elsewhere, with nothing touched between: that tells the leads of the two screws apart.',
  square:
    'Lay the square against the other axis, run the indicator along its upright edge and note the rise from one end to the other. Turn the square over about that edge, and note the rise again in the same direction: half the difference is the machine, half the sum the square.',
}

const fieldsOf = ({ how }: SquareRound) =>
  how === 'diagonals'
    ? ([
        'how',
        'atMm',
        'sideAMm',
        'sideBMm',
        'readingUncertaintyMm',
        'acceptedUmPerM',
        'diagonalAMm',
        'diagonalBMm',
      ] as const)
    : (['how', 'gaugeStepUm', 'tipLifted', 'edgeMm', 'acceptedUmPerM', 'firstUm', 'turnedUm'] as const)

/** Square of a gantry or of two axes, and whether two screws keep it. */
export function SquarePanel() {
  const how = useAxis(axis => lastRound(squareRounds, axis)?.how) ?? 'diagonals'
  return (
    <RoundPanel
      rounds={squareRounds}
      title="Square"
      checks={['align.square', 'align.leadMismatch']}
      fields={fieldsOf}
      scene={how === 'diagonals' ? DIAGONALS : TURNED}
      words={HOW[how]}
    />
  )
}
