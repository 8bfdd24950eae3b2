import { length, record, type ValueOf } from '../../field/field'

/** How the table of corrections is laid out. */
export const COMPENSATION = record('Compensation', {
  spacingMm: length('A correction every', [0.5, 1000], { blank: 20, symbol: 'd' }),
})
export type Compensation = ValueOf<typeof COMPENSATION>

declare module '../../document/axis' {
  interface SheetFields {
    compensation: Compensation
  }
}
