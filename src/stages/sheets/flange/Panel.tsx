import { turnFit } from '@/core/calculation/leastSquares'
import type { FlangeRound } from '@/core/sheets/flange/model'
import { flangeRounds, sweptOf } from '@/core/sheets/flange/rounds'
import { oddReadings } from '@/core/sheets/shared/rounds/odd'
import { say } from '@/core/units/print'
import { FaceDisc } from '@/ui/drawings/FaceDisc'
import { useUnits } from '../../job/JobContext'
import { RoundPanel } from '../../job/rounds/RoundPanel'

const SCENE = {
  label:
    'The base is clamped to the screw and goes round with it; the tip runs on the face that should be square to the screw: it reads more where the face stands proud',
  boxes: [
    { x: 10, y: 58, width: 200, height: 16, label: 'screw' },
    { x: 210, y: 20, width: 30, height: 96, label: 'face' },
  ],
  gauges: [{ base: [90, 58], dial: [150, 34], tip: [209, 34] }],
  words: [{ at: [10, 116], text: 'turn the screw once round' }],
} as const

const FIELDS = ['face', 'gaugeStepUm', 'tipLifted', 'radiusMm', 'boltCircleMm', 'acceptedUm'] as const

/** A face that should be square to the screw, swept by an indicator. */
export function FlangePanel() {
  return (
    <RoundPanel
      rounds={flangeRounds}
      title="Nut flange and faces"
      checks={['align.flange']}
      fields={FIELDS}
      addLabel="Another angle"
      scene={SCENE}
      words="Clamp the base to the screw, or to a bar that turns in its place, with the tip on the face near its rim. Turn once round and read at even angles, as seen from the motor: 0 up, clockwise. A larger reading stands proud. With calipers alone, read the depth from a straightedge at four places: two hundredths is what they can tell, so a tilt below five hundredths stays unknown."
      picture={round => <Disc round={round} />}
    />
  )
}

function Disc({ round }: { round: FlangeRound }) {
  const units = useUnits()
  const readings = sweptOf(round)
  const fit = turnFit(readings.map(({ angleDeg, readingUm }) => ({ angleDeg, value: readingUm })))
  if (readings.length === 0) return null
  return (
    <FaceDisc
      label="The face from the motor’s side with its readings and the side that stands proud; the figures are in the table"
      readings={readings.map(({ angleDeg, readingUm }) => ({
        angleDeg,
        text: say(readingUm, 'smallLength', units),
      }))}
      // No side is named while a reading cannot be as it stands.
      proudAtDeg={oddReadings(flangeRounds, round).length > 0 ? null : (fit?.largestAtDeg ?? null)}
      proudWords="proud"
    />
  )
}
