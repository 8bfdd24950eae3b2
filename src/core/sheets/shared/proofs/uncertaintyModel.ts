import { angle, numberOf, record, smallLength, type ValueOf } from '../../../field/field'

/** What a figure is uncertain by beside its readings: nobody can read it off them, so it is asked. */
export const UNCERTAINTY = record('Uncertainty', {
  gaugeErrorUm: smallLength('The gauge is off by up to', [0, 1000], {
    orNone: true,
    help: 'By its sheet; a shop indicator by one or two of its marks.',
  }),
  temperatureK: numberOf('temperatureRise')('Warmth differs by up to', [0, 40], {
    orNone: true,
    help: 'Scale from screw: half a degree after an evening side by side.',
  }),
  outOfLineDeg: angle('Out of line by up to', [0, 45], {
    orNone: true,
    help: 'A stem or scale that leans reads too much; along a milled edge 0.2°.',
  }),
  settingUpUm: smallLength('Set up again, it differs by', [0, 1000], {
    orNone: true,
    help: 'Take the gauge down, put it up again, and read the same figure.',
  }),
})
export type Uncertainty = ValueOf<typeof UNCERTAINTY>

declare module '../../../document/axis' {
  interface SheetFields {
    uncertainty: Uncertainty
  }
}
