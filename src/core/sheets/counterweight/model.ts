import { length, numberOf, record, type ValueOf } from '../../field/field'

const beyond = (label: string, help: string) => length(label, [0, 5000], { orNone: true, help })

/** What a table run out over its end needs to stay down. */
export const COUNTERWEIGHT = record('Counterweight', {
  wayLengthMm: length('Way it lies on', [10, 10_000], {
    orNone: true,
    help: 'Along the travel: the part of the way that the table rests on, not the table.',
  }),
  beyondFixedMm: beyond(
    'Middle beyond, at the fixed end',
    'With the table as far out to the fixed end as it will be run: from the middle of the way to the middle of the table.',
  ),
  beyondFarMm: beyond(
    'Middle beyond, at the far end',
    'The same with the table as far out to the other end. Leave it empty where it is not run out there.',
  ),
  weightArmMm: length('Weight, from the middle of the way', [0, 5000], {
    orNone: true,
    help: 'With the table run out: to where the weight will lie on it, on the other side of the middle of the way.',
  }),
  weightKg: numberOf('mass')('Weight to be laid on', [0, 2000], {
    blank: 0,
    help: 'What is at hand: a vice, a dividing head, bar ends. Weighed, not guessed.',
  }),
})
export type Counterweight = ValueOf<typeof COUNTERWEIGHT>

declare module '../../document/axis' {
  interface SheetFields {
    counterweight: Counterweight
  }
}
