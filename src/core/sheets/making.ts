import type { DimensionKey } from '../document/dimensions'
import type { PropertyClass, TappedMaterial } from '../machine/joints/fastener'
import type { Thread } from '../machine/joints/thread'
import type { QuantityKind } from '../units/quantity'
import type { Contributor } from './chain/calculation'
import type { SectionSide } from './nutRoom/calculation'

// What is measured and planned to make room for a drive in the castings of a machine.

/** The room around the screw axis at one place along it, as measured. */
export interface SectionStation {
  /** From the fixed block's face. */
  positionMm: number
  leftMm: number
  rightMm: number
  ceilingMm: number
  floorMm: number
  wallLeftMm: number
  wallRightMm: number
  wallCeilingMm: number
  wallFloorMm: number
}
export const PROTRUSION_KINDS = ['grease fitting', 'screw heads', 'return tubes'] as const
/** What stands out of the nut and its bracket, on one side. */
export interface Protrusion {
  what: (typeof PROTRUSION_KINDS)[number]
  standsOutMm: number
  side: SectionSide
}
/** What is around the nut, and what must be kept. */
export interface Section {
  stations: SectionStation[]
  /** The nut's bracket or housing, across; 0 where the nut itself is the widest. */
  bracketWidthMm: number
  bracketHeightMm: number
  protrusions: Protrusion[]
  /** Spacers under the carriages, which raise the table off the screw. */
  spacersMm: number
  minimumGapMm: number
  minimumWallMm: number
}
/** A hole of the casting that is bored larger. */
export interface Hole {
  label: string
  existingDiameterMm: number
  requiredDiameterMm: number
  centreOffsetMm: number
  edgeDistanceMm: number
  minimumWallMm: number
  depthMm: number
}
/** The bearing block, measured with its bearings out. */
export interface BearingBlock {
  boreDepthMm: number
  outerSpacerMm: number
  coverSpigotMm: number
  targetProudMm: number
  maximumProudMm: number
  bearings: {
    widthMm: number
    /** Land of the outer ring at its marked face and at the other, read with calipers; null where not read. */
    landMarkedMm: number | null
    landOtherMm: number | null
  }[]
  /** What the calipers can tell. */
  caliperMm: number
}
/** A bolted joint of the conversion. */
export interface BoltedJoint {
  label: string
  thread: Thread
  material: TappedMaterial
  propertyClass: PropertyClass
  gripMm: number
  washerMm: number
  threadDepthMm: number
  blind: boolean
  /** Whether it screws into a nut in the slot of an extrusion, one for each screw, instead of a tapped hole. */
  slotNuts: boolean
  count: number
  /** Length of the screws that came with the part; null where none did. */
  suppliedMm: number | null
}
/** A link of the chain of dimensions; one that stands for a measured dimension takes its value. */
export interface ChainLink extends Contributor {
  label: string
  dimension: DimensionKey | null
}
export interface Chain {
  links: ChainLink[]
  lowerLimitMm: number
  upperLimitMm: number
}

/** A hole of the nut bracket, from the screw axis: x to the right, y up, seen from the fixed end. */
export interface BracketHole {
  label: string
  xMm: number
  yMm: number
  diameterMm: number
}

/** What is made to fit an axis. */
export interface Making {
  section: Section
  holes: Hole[]
  /** null until the block is measured. */
  block: BearingBlock | null
  joints: BoltedJoint[]
  bracketHoles: BracketHole[]
  chain: Chain
}

interface Facts {
  label: string
  quantity: QuantityKind
  min: number
  max: number
}
const length = (label: string, max = 2000, min = 0): Facts => ({ label, quantity: 'length', min, max })

export const MOST_ROWS = 100

export const STATION_FIELDS = {
  positionMm: length('Along the screw', 20_000, -1000),
  leftMm: length('To the left'),
  rightMm: length('To the right'),
  ceilingMm: length('To the ceiling'),
  floorMm: length('To the floor'),
  wallLeftMm: length('Wall, left', 500),
  wallRightMm: length('Wall, right', 500),
  wallCeilingMm: length('Wall above', 500),
  wallFloorMm: length('Wall below', 500),
} satisfies Record<keyof SectionStation, Facts>

export const SECTION_FIELDS = {
  bracketWidthMm: length('Bracket, width across the screw', 1000),
  bracketHeightMm: length('Bracket, height across the screw', 1000),
  spacersMm: length('Spacers under the carriages', 200),
  minimumGapMm: length('Gap to keep', 50),
  minimumWallMm: length('Wall to keep', 100),
}
export type SectionField = keyof typeof SECTION_FIELDS

export const PROTRUSION_FIELDS = { standsOutMm: length('Stands out', 100, 0.1) }
export const MOST_PROTRUSIONS = 8

export const HOLE_FIELDS = {
  existingDiameterMm: length('Hole as it is', 500),
  requiredDiameterMm: length('Hole wanted', 500, 0.5),
  centreOffsetMm: length('New centre off the old one', 200),
  edgeDistanceMm: length('To the nearest edge', 1000),
  minimumWallMm: length('Wall to keep', 100),
  depthMm: length('Depth', 1000),
} satisfies Record<Exclude<keyof Hole, 'label'>, Facts>

export const BLOCK_FIELDS = {
  boreDepthMm: length('Depth of the bore', 500, 1),
  outerSpacerMm: length('Spacer between the outer rings', 300),
  coverSpigotMm: length('Spigot of the cover', 100),
  targetProudMm: length('To stand proud', 1),
  maximumProudMm: length('To stand proud at most', 2),
  caliperMm: length('What the calipers can tell', 0.5, 0.001),
}
export const BEARING_FIELDS = {
  widthMm: length('Width', 200, 1),
  landMarkedMm: length('Land at the marked face', 50),
  landOtherMm: length('Land at the other face', 50),
}
export const MOST_BEARINGS = 4

export const JOINT_FIELDS = {
  gripMm: length('Grip', 500),
  washerMm: length('Washer', 20),
  threadDepthMm: length('Depth of the thread', 300),
}

export const BRACKET_HOLE_FIELDS = {
  xMm: length('To the right', 500, -500),
  yMm: length('Up', 500, -500),
  diameterMm: length('Diameter', 100, 0.5),
}

export const LINK_FIELDS = {
  nominalMm: length('Nominal', 20_000, -20_000),
  plusMm: length('Plus', 100),
  minusMm: length('Minus', 100),
}

export const NO_MAKING: Making = {
  section: {
    stations: [],
    bracketWidthMm: 0,
    bracketHeightMm: 0,
    protrusions: [],
    spacersMm: 0,
    minimumGapMm: 1.5,
    minimumWallMm: 6,
  },
  holes: [],
  block: null,
  joints: [],
  bracketHoles: [],
  chain: { links: [], lowerLimitMm: -0.05, upperLimitMm: 0.05 },
}

/** A bearing block to start measuring from: two bearings of one width. */
export const BLOCK_TO_START: BearingBlock = {
  boreDepthMm: 30,
  outerSpacerMm: 0,
  coverSpigotMm: 3,
  targetProudMm: 0.03,
  maximumProudMm: 0.1,
  bearings: [
    { widthMm: 10, landMarkedMm: null, landOtherMm: null },
    { widthMm: 10, landMarkedMm: null, landOtherMm: null },
  ],
  caliperMm: 0.02,
}

/** What the builder owns that making room calls for. */
export interface Shop {
  cutterSizesMm: number[]
  shimStockMm: number[]
}
export const SHOP_TO_START: Shop = {
  cutterSizesMm: [16, 20, 25, 32, 40, 50, 60],
  shimStockMm: [0.02, 0.03, 0.05, 0.1, 0.2, 0.5],
}

export const ORDER_STATES = ['open', 'ordered', 'arrived', 'missing'] as const
export type OrderState = (typeof ORDER_STATES)[number]
/** What is known of an order, by the key of what is ordered. */
export interface Order {
  state: OrderState
  priceEur: number | null
  leadDays: number | null
}
export type Orders = { readonly [key: string]: Order }
