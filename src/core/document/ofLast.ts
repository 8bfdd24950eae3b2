import { type Field, maybe, record, rows, type ValueOf, words } from '../field/field'
import { DIMENSION_KEYS, DIMENSIONS, type DimensionKey } from './dimensions'

type OrNone = Extract<Field, { is: 'number' }> & { readonly orNone: true; readonly blank: null }

/** What was read and found on the last machine of the kind: shown beside what is empty on this one, and judged by nowhere. */
export const OF_LAST = maybe(
  'Of the last one',
  record('Of the last one', {
    machine: words('Machine', 80),
    dimensions: record(
      'Dimensions of the last one',
      Object.fromEntries(
        DIMENSION_KEYS.map(key => [key, { ...DIMENSIONS[key], orNone: true, blank: null }]),
      ) as unknown as { readonly [K in DimensionKey]: OrNone },
    ),
    mended: rows('Fault that was mended', { fault: words('Fault', 40) }, { most: 30 }),
  }),
)
export type OfLast = NonNullable<ValueOf<typeof OF_LAST>>
