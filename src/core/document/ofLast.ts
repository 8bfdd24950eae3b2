import { type Field, maybe, record, rows, type ValueOf, words } from '../field/field'
import { DIMENSION_KEYS, DIMENSIONS, type DimensionKey } from './dimensions'

type OrNone = Extract<Field, { is: 'number' }> & { readonly orNone: true; readonly blank: null }

/** So many machines before the last one say how castings spread; more say no more. */
export const MOST_BEFORE = 30

const MACHINE = words('Machine', 80)
/** What was read on a machine; none for what was not. */
const READ = record(
  'Dimensions that were read',
  Object.fromEntries(
    DIMENSION_KEYS.map(key => [key, { ...DIMENSIONS[key], orNone: true, blank: null }]),
  ) as unknown as { readonly [K in DimensionKey]: OrNone },
)

/**
 * What was read and found on the last machine of the kind, and what was read on those before it, newest first: shown beside
 * what is empty on this one, and what its spread is expected by.
 */
export const OF_LAST = maybe(
  'Of the last one',
  record('Of the last one', {
    machine: MACHINE,
    dimensions: READ,
    before: rows('Machine before it', { machine: MACHINE, dimensions: READ }, { most: MOST_BEFORE }),
    mended: rows('Fault that was mended', { fault: words('Fault', 40) }, { most: 30 }),
  }),
)
export type OfLast = NonNullable<ValueOf<typeof OF_LAST>>
