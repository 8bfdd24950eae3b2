import { chakra } from '@chakra-ui/react'
import { setDimension } from '@/core/document/edits'
import type { WaysRound } from '@/core/sheets/waysFriction/model'
import { frictionRead, pullsOf, waysRounds } from '@/core/sheets/waysFriction/rounds'
import { say } from '@/core/units/print'
import { quantityFacts } from '@/core/units/quantity'
import { chartColors } from '@/ui/chart/chartColors'
import { LineFigure } from '@/ui/chart/LineFigure'
import { Button } from '@/ui/controls'
import { useEdit, useUnits } from '../../job/JobContext'
import { RoundPanel } from '../../job/rounds/RoundPanel'
import { useAxisNow } from '../../job/useAxis'
import { useSettledEvaluation } from '../../job/useEvaluation'

const SCENE = {
  label: 'A spring scale pulls the slide along its ways, level, with a weight laid on the slide',
  boxes: [
    { x: 10, y: 92, width: 280, height: 30, label: 'ways' },
    { x: 40, y: 58, width: 120, height: 34, label: 'slide' },
    { x: 76, y: 30, width: 48, height: 28, label: 'weight' },
    { x: 200, y: 66, width: 60, height: 18, label: 'scale' },
  ],
  lines: [
    { from: [160, 75], to: [200, 75] },
    { from: [260, 75], to: [290, 75] },
  ],
  words: [{ at: [206, 58], text: 'pull, level →' }],
} as const

const FIELDS = ['massKg', 'scaleStepN'] as const

/** What the ways rub and what gib and wipers drag, by pulls with some weights on. */
export function WaysFrictionPanel() {
  return (
    <RoundPanel
      rounds={waysRounds}
      title="Friction of the ways"
      checks={['align.waysFriction']}
      fields={FIELDS}
      addLabel="Another weight"
      scene={SCENE}
      words="The screw is out or its nut off the table, the gib as it will run, the ways oiled. Hook the scale in line with the slide and pull slowly; read while it moves, not when it breaks away. Then with weights on: a vice, a bag of shot. What grows with the weight is friction; what is there without any is gib and wipers."
      picture={round => <Pulls round={round} />}
      after={() => <IntoSurvey />}
    />
  )
}

function Pulls({ round }: { round: WaysRound }) {
  const units = useUnits()
  const pulls = pullsOf(round).toSorted((a, b) => a.addedMassKg - b.addedMassKg)
  if (pulls.length < 2) return null
  const [mass, force] = [quantityFacts('mass')[units], quantityFacts('force')[units]]
  return (
    <LineFigure
      label="Chart of the pull over the weight laid on"
      rows={pulls.map(({ addedMassKg, pullN }) => ({
        weight: addedMassKg / mass.perUnit,
        pull: pullN / force.perUnit,
      }))}
      x={{ key: 'weight', label: `weight laid on, ${mass.unit}` }}
      y={{ label: force.unit, decimals: 0 }}
      series={[{ key: 'pull', name: 'pull', color: chartColors.lamp }]}
    />
  )
}

/** Puts friction and drag where everything is reckoned from them. */
function IntoSurvey() {
  const found = frictionRead(useSettledEvaluation())
  const edit = useEdit()
  const axisNow = useAxisNow()
  const units = useUnits()
  if (!found || found.frictionCoefficient <= 0 || found.dragN < 0) return null
  const put = () => {
    edit(setDimension(axisNow(), 'frictionCoefficient', found.frictionCoefficient, 'measured'))
    edit(setDimension(axisNow(), 'dragN', found.dragN, 'measured'))
  }
  return (
    <chakra.div>
      <Button variant="outline" onClick={put}>
        Put {say(found.frictionCoefficient, 'ratio', units, 3)} and {say(found.dragN, 'force', units, 0)} into
        Survey
      </Button>
    </chakra.div>
  )
}
