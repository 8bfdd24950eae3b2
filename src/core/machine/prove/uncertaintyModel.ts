import { angle, numberOf, record, smallLength, type ValueOf } from '../../field/field'

/** What a figure is uncertain by beside its readings: nobody can read it off them, so it is asked. */
export const UNCERTAINTY = record('Uncertainty', {
  gaugeErrorUm: smallLength('Error of the gauge, by its sheet', [0, 1000], {
    orNone: true,
    help: 'Over the range that it is read in, to either side. An indicator of a shop is off by one or two of its marks.',
  }),
  temperatureK: numberOf('temperatureRise')('Scale and screw are alike warm to within', [0, 40], {
    orNone: true,
    help: 'Half a degree where both have stood side by side for an evening; several after a warm-up.',
  }),
  outOfLineDeg: angle('Indicator or scale out of line by up to', [0, 45], {
    orNone: true,
    help: 'What leans reads too much: over 400 mm a degree is 0.06 mm, a fifth of it a fiftieth of that. A scale laid along a milled edge is good to 0.2°.',
  }),
  settingUpUm: smallLength('Setting up again changes it by up to', [0, 1000], {
    orNone: true,
    help: 'Take base and gauge down, put them up again, and see how far the same figure goes.',
  }),
})
export type Uncertainty = ValueOf<typeof UNCERTAINTY>

declare module '../../document/axis' {
  interface SheetFields {
    uncertainty: Uncertainty
  }
}
