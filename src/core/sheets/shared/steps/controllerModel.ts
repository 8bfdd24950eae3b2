import { choice, choiceOrNone, flag, length, plain, record, type ValueOf } from '../../../field/field'

/** Axes that a controller knows by a letter. */
export const CONTROLLER_LETTERS = ['X', 'Y', 'Z', 'U', 'V', 'W', 'A', 'B', 'C'] as const

/** What was found when the axis first moved. */
export const CONTROLLER = record('First moves', {
  /** A long move as it was commanded, and as far as it went. */
  commandedMm: length('Commanded', [1, 10_000], {
    symbol: 'c',
    orNone: true,
    help: 'Most of the travel, in one move, after a short one the same way that takes the play out.',
  }),
  movedMm: length('Moved, as measured', [1, 10_000], {
    symbol: 's',
    orNone: true,
    help: 'Calipers, a long rule or a gauge block with an indicator, from where the move began.',
  }),
  /** The letter by which the controller knows the axis; where it is left out, its name, if that is such a letter. */
  letter: choiceOrNone('Letter in the controller', CONTROLLER_LETTERS),
  /** In what it counts a dwell: nothing in the language says which. */
  dwellUnit: choice('A dwell counts', ['seconds', 'milliseconds'], {
    words: { seconds: 'seconds (P1.5)', milliseconds: 'milliseconds (P1500)' },
  }),
  countsPerRev: plain('Counts that the servo drive takes a turn', [10, 50_000_000], {
    orNone: true,
    whole: true,
    help: 'As it is set in the drive, after its electronic gear. Empty: as the sheet of the motor has it.',
  }),
  pulseLimitHz: plain('Pulses that the controller gives out, at most', [100, 50_000_000], {
    orNone: true,
    unit: '1/s',
    help: 'From its sheet: 25,000, 100,000, 200,000 and 400,000 are usual.',
  }),
  /** Whether the table that corrects the lead is made and stands in the controller. */
  leadTableIn: flag('The table of the lead stands in it'),
  /** Whether plus went the way that the machine calls plus. */
  direction: choiceOrNone('Direction', ['right', 'turned'], {
    right: 'as it was wired',
    turned: 'turned round in the controller',
  }),
})
export type Controller = ValueOf<typeof CONTROLLER>

declare module '../../../document/axis' {
  interface SheetFields {
    controller: Controller
  }
}
