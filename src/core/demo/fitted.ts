import type { Axis } from '../document/axis'
import { numbered } from '../field/field'
import type { BoltedJoint } from '../machine/joints/model'
import type { ChainLink } from '../sheets/chain/model'
import type { Hole } from '../sheets/holes/model'
import { blankSheets } from '../sheets/newJob'
import type { Protrusion, SectionStation } from '../sheets/nutRoom/model'
import type { BracketHole } from '../sheets/template/model'

const BLANK = blankSheets()

type Bare<T> = Omit<T, 'id'>

/** Stations of a casting, from the screw axis to its walls: left, right, ceiling, floor, and how thick those are. */
type Row = [
  positionMm: number,
  left: number,
  right: number,
  ceiling: number,
  floor: number,
  ...walls: [number, number, number, number],
]
const stations = (rows: Row[]): SectionStation[] =>
  numbered(
    'station',
    rows.map(([positionMm, leftMm, rightMm, ceilingMm, floorMm, wl, wr, wc, wf]) => ({
      positionMm,
      leftMm,
      rightMm,
      ceilingMm,
      floorMm,
      wallLeftMm: wl,
      wallRightMm: wr,
      wallCeilingMm: wc,
      wallFloorMm: wf,
    })),
  )

const section = (rows: Row[], more: Partial<Axis['section']> = {}): Axis['section'] => ({
  ...BLANK.section,
  // Measured: no wider than the nut, unless it says otherwise.
  bracketWidthMm: 0,
  bracketHeightMm: 0,
  stations: stations(rows),
  ...more,
})

const fitting = (standsOutMm: number, side: Protrusion['side']): Bare<Protrusion> => ({
  what: 'grease fitting',
  standsOutMm,
  side,
})

const hole = (
  label: string,
  existingDiameterMm: number,
  requiredDiameterMm: number,
  centreOffsetMm: number,
  edgeDistanceMm: number,
  depthMm: number,
  use: Hole['use'] = 'clearance',
): Bare<Hole> => ({
  label,
  use,
  existingDiameterMm,
  requiredDiameterMm,
  centreOffsetMm,
  edgeDistanceMm,
  minimumWallMm: 6,
  depthMm,
})

const joint = (
  label: string,
  [thread, count]: [BoltedJoint['thread'], number],
  material: BoltedJoint['material'],
  [gripMm, washerMm, threadDepthMm]: [number, number, number],
  suppliedMm: number | null,
  more: Partial<Bare<BoltedJoint>> = {},
): Bare<BoltedJoint> => ({
  label,
  thread,
  count,
  holds: null,
  material,
  propertyClass: '8.8',
  gripMm,
  washerMm,
  threadDepthMm,
  blind: true,
  slotNuts: false,
  located: false,
  suppliedMm,
  ...more,
})

const link = (
  label: string,
  direction: 1 | -1,
  [nominalMm, plusMm, minusMm]: [number, number, number],
  more: Partial<Bare<ChainLink>> = {},
): Bare<ChainLink> => ({
  label,
  direction,
  nominalMm,
  plusMm,
  minusMm,
  distribution: 'normal',
  dimension: null,
  ...more,
})

/** Holes on a circle about the screw axis, the first at the top, going round to the right. */
const circleOfHoles = (count: number, circleMm: number, diameterMm: number): BracketHole[] =>
  numbered(
    'bracket-hole',
    Array.from({ length: count }, (_, index) => {
      const angle = Math.PI / 2 - (2 * Math.PI * index) / count
      const tidy = (mm: number) => Math.round(mm * 1000) / 1000
      return {
        label: `${index + 1}`,
        xMm: tidy((circleMm / 2) * Math.cos(angle)),
        yMm: tidy((circleMm / 2) * Math.sin(angle)),
        diameterMm,
      }
    }),
  )

/** The table of the mill: it fits, its block clamps, and one joint came with screws too short. */
export const FITTED_SKARROW_X = {
  recessMetal: { fixedMm: null, farMm: 20 },
  section: section(
    [
      [40, 33.5, 36, 35.2, 41, 14, 15, 16, 22],
      [150, 33.1, 35.4, 34.6, 40.5, 14, 15, 16, 22],
      [280, 32.4, 35.1, 33.9, 40.2, 13, 14, 15, 21],
      [410, 32.9, 35.6, 34.3, 40.6, 13, 15, 15, 21],
      [520, 33.6, 36.2, 35.4, 41.3, 14, 15, 16, 22],
    ],
    { bracketWidthMm: 60, bracketHeightMm: 62, protrusions: numbered('protrusion', [fitting(7, 'floor')]) },
  ),
  holes: numbered('hole', [
    hole('Bore of the fixed block', 25.4, 32, 1.6, 38, 28, 'seat'),
    hole('Way through for the screw', 18, 24, 0, 30, 40),
  ]),
  block: {
    boreDepthMm: 31.94,
    outerSpacerMm: 8.02,
    innerSpacerMm: 8.02,
    coverSpigotMm: 3.98,
    coverShimMm: 0,
    targetProudMm: 0.03,
    maximumProudMm: 0.1,
    bearings: numbered('bearing', [
      { widthMm: 10, landMarkedMm: 2.34, landOtherMm: 1.52 },
      { widthMm: 10, landMarkedMm: 1.5, landOtherMm: 2.36 },
    ]),
    caliperMm: 0.02,
  },
  blockBody: {
    widthMm: 66,
    axisUpMm: 32,
    boreDiameterMm: 32,
    shoulderHoleMm: 24,
    boltHoles: numbered(
      'block-hole',
      [
        [-23, 23],
        [23, 23],
        [-23, -23],
        [23, -23],
      ].map(([xMm = 0, yMm = 0], index) => ({ label: `Cover ${index + 1}`, xMm, yMm, diameterMm: 5.5 })),
    ),
  },
  joints: numbered('joint', [
    joint('Fixed block to the bed', ['M8', 4], 'cast-iron', [22, 1.6, 20], 40, { holds: 'fixedBlock' }),
    joint('Far block to the bed', ['M8', 2], 'cast-iron', [20, 1.6, 20], null, { holds: 'farBlock' }),
    joint('Nut to its bracket', ['M5', 6], 'aluminium', [11, 1, 16], 20, { blind: false, holds: 'nut' }),
    joint('Motor plate', ['M5', 4], 'aluminium', [8, 1, 14], null, { holds: 'motorFace' }),
  ]),
  bracketHoles: circleOfHoles(6, 47, 5.5),
  chain: {
    lowerLimitMm: 1,
    upperLimitMm: 3,
    links: numbered('link', [
      link('Motor plate to the block', 1, [46, 0.2, 0.2]),
      link('End of the screw beyond the block', -1, [22.5, 0.3, 0.3]),
      link('Motor shaft beyond its face', -1, [21, 0.4, 0.4], { distribution: 'uniform' }),
    ]),
  },
} satisfies Partial<Axis>

/** The saddle: a rib on the left must be relieved before the nut passes. */
export const FITTED_SKARROW_Y = {
  section: section([
    [40, 32, 34, 33, 38, 13, 14, 15, 20],
    [120, 28.2, 33.5, 32.4, 37.5, 16, 14, 15, 20],
    [200, 27.8, 33.6, 32.6, 37.8, 16, 14, 15, 20],
    [280, 31.5, 34.2, 33.1, 38.4, 13, 14, 15, 20],
  ]),
  joints: numbered('joint', [
    joint('Fixed block to the saddle', ['M6', 4], 'cast-iron', [16, 1.6, 14], 30, { holds: 'fixedBlock' }),
    joint('Far block to the saddle', ['M6', 2], 'cast-iron', [16, 1.6, 14], 30, { holds: 'farBlock' }),
    joint('Nut to its bracket', ['M5', 6], 'aluminium', [11, 1, 16], 25, { blind: false, holds: 'nut' }),
  ]),
} satisfies Partial<Axis>

/** The carriage of the lathe: with the grease fitting above, its apron cannot be cut as deep as it would take. */
export const FITTED_OSTREY_Z = {
  section: section(
    [
      [50, 36, 40, 34, 44, 15, 16, 10, 20],
      [300, 35.5, 40, 33.2, 44, 15, 16, 9.5, 20],
      [590, 36.2, 40, 34.1, 44, 15, 16, 10, 20],
    ],
    { protrusions: numbered('protrusion', [fitting(8, 'ceiling')]) },
  ),
} satisfies Partial<Axis>

/** The cross slide: its fitting was moved to the side, as the slide above it is thin. */
export const FITTED_OSTREY_X = {
  section: section(
    [
      [30, 38, 36, 27, 30, 14, 12, 7, 12],
      [120, 38, 36, 26.6, 30, 14, 12, 7, 12],
      [200, 38, 36, 27, 30, 14, 12, 7, 12],
    ],
    { protrusions: numbered('protrusion', [fitting(8, 'left')]), minimumGapMm: 1 },
  ),
  joints: numbered('joint', [
    joint('Nut to the cross slide', ['M5', 4], 'cast-iron', [10, 1, 12], 16, { holds: 'nut' }),
  ]),
} satisfies Partial<Axis>

/** The gantry of the router: room enough around both screws. */
export const FITTED_LONG_TOM_X = {
  section: section([
    [50, 60, 60, 55, 70, 20, 20, 20, 20],
    [1300, 60, 60, 54, 70, 20, 20, 20, 20],
    [2550, 60, 60, 55, 70, 20, 20, 20, 20],
  ]),
  joints: numbered('joint', [
    joint('Fixed blocks to the rail', ['M6', 8], 'steel', [18, 1.6, 6], 25, {
      blind: false,
      slotNuts: true,
      holds: 'fixedBlock',
    }),
    joint('Far blocks to the rail', ['M6', 8], 'steel', [18, 1.6, 6], 25, {
      blind: false,
      slotNuts: true,
      holds: 'farBlock',
    }),
    joint('Nut to the gantry foot', ['M6', 12], 'aluminium', [12, 1.6, 20], null, {
      blind: false,
      holds: 'nut',
    }),
  ]),
} satisfies Partial<Axis>

/** The carriage across the gantry: room enough, with a seat to bore in its end plate. */
export const FITTED_LONG_TOM_Y = {
  section: section([
    [60, 45, 45, 42, 48, 12, 12, 12, 12],
    [620, 45, 45, 41.4, 48, 12, 12, 12, 12],
    [1260, 45, 45, 42, 48, 12, 12, 12, 12],
  ]),
  holes: numbered('hole', [hole('Bearing seat in the end plate', 20, 32, 0, 45, 15)]),
  joints: numbered('joint', [
    joint('Fixed block to the end plate', ['M6', 4], 'aluminium', [14, 1.6, 20], 25, { holds: 'fixedBlock' }),
    joint('Nut to the carriage plate', ['M5', 6], 'aluminium', [10, 1, 15], null, {
      blind: false,
      holds: 'nut',
    }),
  ]),
} satisfies Partial<Axis>

/** The router's own Z: a narrow channel between two plates, cut as far as the plates bear. */
export const FITTED_LONG_TOM_Z = {
  section: section(
    [
      [40, 26, 26, 24.2, 30, 12, 12, 15, 15],
      [110, 26, 26, 23.6, 30, 12, 12, 15, 15],
      [220, 26, 26, 24.1, 30, 12, 12, 15, 15],
    ],
    { minimumGapMm: 1 },
  ),
  joints: numbered('joint', [
    joint('Nut to the spindle plate', ['M5', 4], 'aluminium', [10, 1, 14], 20, { holds: 'nut' }),
  ]),
} satisfies Partial<Axis>
