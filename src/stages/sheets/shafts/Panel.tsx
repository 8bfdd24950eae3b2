import { chakra } from '@chakra-ui/react'
import { hasBelt } from '@/core/document/axis'
import { setDimension } from '@/core/document/edits'
import type { CouplerRound } from '@/core/sheets/shafts/model'
import { beltRounds, couplerRead, couplerRounds, rimOf } from '@/core/sheets/shafts/rounds'
import { oddReadings } from '@/core/sheets/shared/rounds/odd'
import { say } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { FaceDisc } from '@/ui/drawings/FaceDisc'
import { Panel } from '@/ui/Panel'
import { DimensionFields } from '../../job/DimensionFields'
import { useEdit, useUnits } from '../../job/JobContext'
import { RoundPanel } from '../../job/rounds/RoundPanel'
import { useAxis, useAxisNow } from '../../job/useAxis'
import { useSettledEvaluation } from '../../job/useEvaluation'

const HUBS = {
  label:
    'The base is clamped to the motor’s hub and goes round with it; one tip runs on the rim of the screw’s hub, another on its face',
  boxes: [
    { x: 10, y: 52, width: 100, height: 40, label: 'motor' },
    { x: 110, y: 60, width: 34, height: 24 },
    { x: 176, y: 60, width: 34, height: 24 },
    { x: 210, y: 66, width: 80, height: 12, label: 'screw' },
  ],
  gauges: [{ base: [127, 60], dial: [192, 30], tip: [192, 59] }],
  words: [
    { at: [150, 110], text: 'turn both together' },
    { at: [214, 34], text: 'rim, then face' },
  ],
} as const

const PULLEYS = {
  label: 'A straightedge lies on the face of the motor’s pulley; feelers go under it at the other pulley',
  boxes: [
    { x: 30, y: 40, width: 60, height: 50, label: 'motor' },
    { x: 200, y: 46, width: 60, height: 50, label: 'screw' },
    { x: 20, y: 30, width: 256, height: 10, label: '' },
  ],
  words: [
    { at: [96, 26], text: 'straightedge' },
    { at: [266, 46], text: 'gap' },
  ],
} as const

const COUPLER_FIELDS = ['gaugeStepUm', 'tipLifted', 'faceRadiusMm', 'armSagUm', 'plateBoltsMm'] as const
const BELT_FIELDS = ['gaugeStepUm'] as const

/** How motor and screw stand to each other, once both are in. */
export function ShaftsPanel() {
  const belted = useAxis(axis => hasBelt(axis.drive))
  if (belted)
    return (
      <RoundPanel
        rounds={beltRounds}
        title="Pulleys in line"
        checks={['align.belt']}
        fields={BELT_FIELDS}
        addLabel="Another gap"
        scene={PULLEYS}
        words="Lay a straightedge on the face of the motor’s pulley so that it bears flat. What stays open to the screw’s pulley is read with feelers or shims at two or three places across it; a gap counts plus, a pulley that stands out beyond the straightedge minus."
      />
    )
  return (
    <>
      <RoundPanel
        rounds={couplerRounds}
        title="Motor to screw"
        checks={['align.coupler']}
        fields={COUPLER_FIELDS}
        addLabel="Another angle"
        scene={HUBS}
        words="Take the coupler’s middle out. Clamp the base to the motor’s hub, the tip on the rim of the screw’s hub; turn both shafts together, a mark on each to keep them so, and read at even angles seen from behind the motor: 0 up, clockwise. Then the same with the tip on the face. The motor’s weight is on its bracket while you read."
        picture={round => <Hub round={round} />}
        after={() => <TakeOver />}
      />
      <Panel
        title="As the coupler is judged by"
        note="What no coupler is asked to make up for does not wear it. Until it is measured each stands at a usual value, marked assumed."
      >
        <DimensionFields group="shafts" />
      </Panel>
    </>
  )
}

function Hub({ round }: { round: CouplerRound }) {
  const units = useUnits()
  const found = couplerRead(useSettledEvaluation())
  const rim = rimOf(round)
  if (rim.length === 0) return null
  return (
    <FaceDisc
      label="The screw’s hub from behind the motor with its readings on the rim and the side towards which it stands; the figures are in the table"
      readings={rim.map(({ angleDeg, readingUm }) => ({
        angleDeg,
        text: say(readingUm, 'smallLength', units),
      }))}
      proudAtDeg={oddReadings(couplerRounds, round).length > 0 ? null : (found?.parallelTowardsDeg ?? null)}
      proudWords="screw"
    />
  )
}

/** Puts what was read where the coupler is judged by it. */
function TakeOver() {
  const found = couplerRead(useSettledEvaluation())
  const edit = useEdit()
  const axisNow = useAxisNow()
  const units = useUnits()
  if (!found) return null
  const { parallelMm, angularDeg } = found
  const put = () => {
    edit(setDimension(axisNow(), 'shaftParallelMm', parallelMm, 'measured'))
    edit(setDimension(axisNow(), 'shaftAngleDeg', angularDeg, 'measured'))
  }
  return (
    <chakra.div>
      <Button variant="outline" onClick={put}>
        Judge the coupler by {say(parallelMm, 'length', units, 2)} and {say(angularDeg, 'angle', units, 2)}
      </Button>
    </chakra.div>
  )
}
