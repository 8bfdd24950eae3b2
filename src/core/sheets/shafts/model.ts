import { angle, length, type RowOf, rows, smallLength } from '../../field/field'
import { GAUGE_STEP, readingOrNone, TIP_LIFTED } from '../../readings/model'
import { ROUND_OF_SCREW } from '../shared/rounds/model'

/** An indicator on the motor's hub, carried round on rim and face of the screw's hub. */
export const HUB_ANGLES = rows(
  'Angle',
  { angleDeg: angle('At', [0, 360]), rimUm: readingOrNone('Rim'), faceUm: readingOrNone('Face') },
  { most: 72 },
)
export const COUPLER_ROUNDS = rows('Round', {
  ...ROUND_OF_SCREW,
  gaugeStepUm: GAUGE_STEP,
  tipLifted: TIP_LIFTED,
  faceRadiusMm: length('Tip on the face at a radius of', [2, 200], { blank: 10 }),
  armSagUm: smallLength('On a bar, less at the bottom by', [0, 2000], {
    orNone: true,
    help: 'The sag of the arm: clamp it on a stiff bar between centres, zero it on top, and read below. Once for each arm.',
  }),
  plateBoltsMm: length("Bolt circle of the motor's plate", [10, 500], { blank: 67 }),
  stations: HUB_ANGLES,
})
export type CouplerRound = RowOf<typeof COUPLER_ROUNDS>

/** A straightedge laid on the face of the motor's pulley: what stays open to the other pulley. */
export const PULLEY_GAPS = rows(
  'Gap',
  {
    acrossMm: length('Across the pulley', [0, 1000]),
    gapUm: smallLength('Gap under the straightedge', [-20_000, 20_000], { orNone: true }),
  },
  { most: 20 },
)
export const BELT_ROUNDS = rows('Round', {
  ...ROUND_OF_SCREW,
  gaugeStepUm: GAUGE_STEP,
  stations: PULLEY_GAPS,
})
export type BeltRound = RowOf<typeof BELT_ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    couplerRounds: CouplerRound[]
    beltRounds: BeltRound[]
  }
}
