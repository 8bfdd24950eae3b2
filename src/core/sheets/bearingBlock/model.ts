import { length, maybe, type RowOf, record, rows, type ValueOf } from '../../field/field'
import { HOLE_ABOUT_SCREW } from '../shared/cuts/holesAboutScrewModel'

const land = (label: string) => length(label, [0, 50], { orNone: true })

export const BEARINGS = rows(
  'Bearing',
  {
    widthMm: length('Width', [1, 200], { orNone: true, symbol: 'b' }),
    /** Land of the outer ring at its marked face and at the other, read with calipers. */
    landMarkedMm: land('Land at the marked face'),
    landOtherMm: land('Land at the other face'),
  },
  { most: 4, least: 0 },
)
export type BlockBearing = RowOf<typeof BEARINGS>

/** The bearing block, measured with its bearings out. */
export const BLOCK = record('Bearing block', {
  boreDepthMm: length('Depth of the bore', [1, 500], { orNone: true, symbol: 't' }),
  outerSpacerMm: length('Spacer between the outer rings', [0, 300], { symbol: 's' }),
  /** As long as the outer one, or the locknut crushes the pair; none until it is measured. */
  innerSpacerMm: length('Spacer between the inner rings', [0, 300], { orNone: true, blank: 0 }),
  coverSpigotMm: length('Spigot of the cover', [0, 100], { orNone: true, symbol: 'c' }),
  /** Shims between the spigot and the outer ring. */
  coverShimMm: length('Shim under the spigot', [0, 20]),
  targetProudMm: length('Gap under the cover, at least', [0, 1], { blank: 0.03, symbol: 'p1' }),
  maximumProudMm: length('Gap under the cover, at most', [0, 2], { blank: 0.1, symbol: 'p2' }),
  bearings: BEARINGS,
  caliperMm: length('What the calipers can tell', [0.001, 0.5], { blank: 0.02 }),
})
export type BearingBlock = ValueOf<typeof BLOCK>
/** None until the block is measured. */
export const MEASURED_BLOCK = maybe('Bearing block', BLOCK)

const known = { orNone: true } as const
/** A block of one's own: what of its body neither its bearings nor their stack say; none until it is known. */
export const BLOCK_BODY = record('Block to make', {
  widthMm: length('Width of the block', [10, 500], known),
  axisUpMm: length('Screw axis above the foot', [5, 400], known),
  boreDiameterMm: length('Bore, as wide as the outer rings', [8, 300], known),
  shoulderHoleMm: length('Hole through the shoulder', [3, 290], known),
  boltHoles: rows('Bolt hole of the block', HOLE_ABOUT_SCREW),
})
export type BlockBody = ValueOf<typeof BLOCK_BODY>

declare module '../../document/axis' {
  interface SheetFields {
    block: BearingBlock | null
    blockBody: BlockBody
  }
}
