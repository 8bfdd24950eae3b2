import { pushPull } from '@/core/sheets/pushPull/calculation'
import type { PushRound } from '@/core/sheets/pushPull/model'
import { canTell, pushesOf, pushRounds } from '@/core/sheets/pushPull/rounds'
import { quantityFacts } from '@/core/units/quantity'
import { chartColors } from '@/ui/chart/chartColors'
import { LineFigure } from '@/ui/chart/LineFigure'
import { useUnits } from '../../job/JobContext'
import { RoundPanel } from '../../job/rounds/RoundPanel'

const SCENE = {
  label:
    'The base stands on the bed, the tip touches the end of the slide; a spring scale pushes and pulls the slide along its ways: it reads more as the slide comes towards it',
  boxes: [
    { x: 10, y: 92, width: 280, height: 30, label: 'bed' },
    { x: 60, y: 58, width: 110, height: 34, label: 'slide' },
    { x: 4, y: 66, width: 40, height: 18, label: 'scale' },
  ],
  lines: [{ from: [44, 75], to: [60, 75] }],
  gauges: [{ base: [262, 92], dial: [226, 68], tip: [171, 74] }],
  words: [{ at: [10, 46], text: '← pull · push →' }],
} as const

const FIELDS = ['at', 'gaugeStepUm'] as const

/** The slide pushed and pulled: what grows with the force is give, what does not is play. */
export function PushPullPanel() {
  return (
    <RoundPanel
      rounds={pushRounds}
      title="Push and pull"
      checks={['prove.pushPull']}
      fields={FIELDS}
      addLabel="Another push"
      scene={SCENE}
      words="Motor powered and still, hands clear of what it could move. Set the dial to zero with the slide at rest, push with a known force and read while you push; then pull. With two sizes of force, play and give come apart: a push twice as hard moves a spring twice as far, and loose metal no further."
      picture={round => <Pushes round={round} />}
    />
  )
}

function Pushes({ round }: { round: PushRound }) {
  const units = useUnits()
  const pushes = pushesOf(round).toSorted((a, b) => a.forceN - b.forceN)
  if (pushes.length < 2) return null
  const [force, small] = [quantityFacts('pull')[units], quantityFacts('smallLength')[units]]
  const fitted = canTell(pushes) ? pushPull({ readings: pushes }) : null
  const fittedAt = (forceN: number, side: number) =>
    fitted &&
    (fitted.offsetUm +
      (side * fitted.playUm) / 2 +
      (fitted.stiffnessNPerUm ? forceN / fitted.stiffnessNPerUm : 0)) /
      small.perUnit
  const read = (side: number) =>
    pushes
      .filter(({ forceN }) => Math.sign(forceN) === side)
      .map(({ forceN, displacementUm }) => ({
        force: forceN / force.perUnit,
        read: displacementUm / small.perUnit,
        fit: fittedAt(forceN, side),
      }))
  return (
    <LineFigure
      label="Chart of the readings over the push, with the line through them; the step at nothing is the play"
      rows={[
        ...read(-1),
        { force: 0, read: null, fit: fittedAt(0, -1) },
        { force: 0, read: null, fit: null },
        { force: 0, read: null, fit: fittedAt(0, 1) },
        ...read(1),
      ]}
      x={{ key: 'force', label: `push, or pull with a minus, ${force.unit}` }}
      y={{ label: small.unit, decimals: small.decimals }}
      series={[
        { key: 'read', name: 'read', color: chartColors.lamp },
        { key: 'fit', name: 'play and give', color: chartColors.ink, dash: '5 4' },
      ]}
    />
  )
}
