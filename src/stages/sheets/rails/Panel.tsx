import type { RowsField } from '@/core/field/field'
import { RAIL_PLACES, type RailRound } from '@/core/sheets/rails/model'
import { heightsOf, railRounds } from '@/core/sheets/rails/rounds'
import { Schools } from '../../job/build/Schools'
import { RoundPanel } from '../../job/rounds/RoundPanel'
import { RailCurve } from './RailCurve'

const SCENE = {
  label:
    'The base rides on the carriage of the first rail; the tip touches the side of the second rail, or a straightedge laid beside the first: it reads more as that comes nearer',
  boxes: [
    { x: 10, y: 92, width: 280, height: 14, label: 'first rail' },
    { x: 10, y: 20, width: 280, height: 14, label: 'second rail, or straightedge' },
    { x: 60, y: 84, width: 60, height: 30, label: 'carriage' },
  ],
  gauges: [{ base: [90, 84], dial: [150, 60], tip: [150, 35] }],
  words: [{ at: [176, 66], text: 'slide along →' }],
} as const

const { positionMm, readingUm, slopeUmPerM } = RAIL_PLACES.of
const READ: RowsField = { ...RAIL_PLACES, of: { positionMm, readingUm } }
const STEPPED: RowsField = { ...RAIL_PLACES, of: { slopeUmPerM } }

const fieldsOf = ({ how }: RailRound) =>
  [
    'how',
    ...(how === 'level' ? (['baseMm'] as const) : (['gaugeStepUm', 'tipLifted'] as const)),
    'acceptedUm',
    'screwPitchMm',
  ] as const
const stationsOf = ({ how }: RailRound) => (how === 'level' ? STEPPED : READ)

const SCHOOLS_HERE = ['rails'] as const

/** How straight a rail lies, and how the second follows the first. */
export function RailsPanel() {
  return (
    <RoundPanel
      rounds={railRounds}
      title="Rails"
      checks={['align.rails']}
      fields={fieldsOf}
      stations={stationsOf}
      addLabel="Another place"
      scene={SCENE}
      words="The first rail is set straight: along a straightedge or a stretched wire, or with a level stepped along by its own base, each step beginning where the last one ended. The second is set by the first: base on the first rail’s carriage, tip on the second rail. Its rail screws are slack, but for the one you stand at."
      also={<Schools keys={SCHOOLS_HERE} />}
      picture={round => <RailCurve heights={heightsOf(round)} />}
    />
  )
}
