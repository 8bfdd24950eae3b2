import { length, maybe, type RowOf, record, rows, type ValueOf } from '../../field/field'

const land = (label: string) => length(label, [0, 50], { orNone: true })

export const BEARINGS = rows(
  'Bearing',
  {
    widthMm: length('Width', [1, 200], { blank: 10 }),
    /** Land of the outer ring at its marked face and at the other, read with calipers. */
    landMarkedMm: land('Land at the marked face'),
    landOtherMm: land('Land at the other face'),
  },
  { most: 4, least: 0 },
)
export type BlockBearing = RowOf<typeof BEARINGS>

/** The bearing block, measured with its bearings out. */
export const BLOCK = record('Bearing block', {
  boreDepthMm: length('Depth of the bore', [1, 500], { blank: 30 }),
  outerSpacerMm: length('Spacer between the outer rings', [0, 300]),
  coverSpigotMm: length('Spigot of the cover', [0, 100], { blank: 3 }),
  targetProudMm: length('To stand proud', [0, 1], { blank: 0.03 }),
  maximumProudMm: length('To stand proud at most', [0, 2], { blank: 0.1 }),
  bearings: BEARINGS,
  caliperMm: length('What the calipers can tell', [0.001, 0.5], { blank: 0.02 }),
})
export type BearingBlock = ValueOf<typeof BLOCK>
/** None until the block is measured. */
export const MEASURED_BLOCK = maybe('Bearing block', BLOCK)

declare module '../../document/axis' {
  interface SheetFields {
    block: BearingBlock | null
  }
}
