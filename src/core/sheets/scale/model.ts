import { length, type RowOf, rows, stepsPerLength } from '../../field/field'
import { GAUGE_STEP } from '../../readings/model'
import { ROUND } from '../shared/rounds/model'

export const MOVES = rows(
  'Move',
  {
    commandedMm: length('Commanded', [-20_000, 20_000]),
    measuredMm: length('Measured', [-20_000, 20_000], { orNone: true }),
  },
  { most: 60 },
)

/** Places along the travel, all approached from one side, measured by a scale that one trusts. */
export const SCALE_ROUNDS = rows('Round', {
  ...ROUND,
  gaugeStepUm: { ...GAUGE_STEP, label: 'Measured to a step of' },
  stepsPerMm: stepsPerLength('Steps, as set in the controller', [0.01, 1_000_000], { orNone: true }),
  stations: MOVES,
})
export type ScaleRound = RowOf<typeof SCALE_ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    scaleRounds: ScaleRound[]
  }
}
