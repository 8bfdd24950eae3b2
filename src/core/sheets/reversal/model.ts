import { moment, momentOrNone, numbers, type RowOf, rows, words } from '../../field/field'
import { GAUGE_STEP, place, READING } from '../../readings/model'
import { TAKEN } from '../../readings/taken'
import { CONDITIONS, MANNER } from '../shared/proofs/conditions'

/** Indicator readings of a reversal test at places of the slide. */
export const REVERSAL_STATIONS = rows(
  'Station',
  {
    positionMm: place('Place of the slide'),
    approachPositiveUm: numbers('Coming up to it', READING, 200),
    approachNegativeUm: numbers('Coming down to it', READING, 200),
  },
  { most: 200 },
)
export type ReversalStation = RowOf<typeof REVERSAL_STATIONS>

export const TESTS = rows('Test', {
  startedAt: moment('Started'),
  finishedAt: momentOrNone('Finished'),
  label: words('Name', 120),
  gaugeStepUm: GAUGE_STEP,
  ...CONDITIONS,
  ...MANNER,
  taken: TAKEN,
  stations: REVERSAL_STATIONS,
})
export type ReversalTest = RowOf<typeof TESTS>

declare module '../../document/axis' {
  interface SheetFields {
    tests: ReversalTest[]
  }
}
