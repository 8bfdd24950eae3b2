import type { Axis } from '../document/axis'
import {
  type NumberField,
  numberOf,
  plain,
  slope,
  smallLength,
  temperatureRise,
  torque,
} from '../field/field'
import type { AxisFigures, Causes } from '../simulate/axis/figures'

// What can be supposed of an axis before it is read: one cause at a time, of a size that somebody can picture.

/** One thing that may be wrong, as it is asked about. */
export interface WhatIf {
  /** As the rest of "What would I read if ...". */
  readonly label: string
  /** How large it is. */
  readonly size: NumberField
  /** What it is made of in the simulation. */
  readonly causes: (size: number, figures: AxisFigures) => Causes
  /** Whether such an axis can have it; every axis where left out. */
  readonly fits?: (figures: AxisFigures, axis: Axis) => boolean
}

const um = (label: string, blank: number, most = 1000) => smallLength(label, [0, most], { blank })
const HIGHEST_UM = 3000
const shifted = (label: string) =>
  smallLength(label, [-HIGHEST_UM, HIGHEST_UM], { blank: -100, help: 'Below the line is less than nothing.' })
const toOneEnd = (label: string, blank: number) =>
  numberOf('pull')(label, [-2000, 2000], { blank, help: 'At the low end it is less than nothing.' })
const newtons = (label: string, blank: number) => numberOf('pull')(label, [0, 2000], { blank })
/** From so much of its top speed on something slips or loses steps. */
const FAST_SHARE = 0.45
const fast = ({ topSpeedMmPerMin }: AxisFigures) => FAST_SHARE * topSpeedMmPerMin
/** A hurt place is felt over this share of the travel, about its middle. */
const HURT_SHARE = 0.15
/** Half an hour and it is nearly as warm as it gets. */
const WARM_MIN = 12
const UM_PER_MM = 1000

/** Everything that can be supposed, in the order of the drive and then of the ways. */
export const WHAT_IFS = {
  'nut-play': {
    label: 'the nut had play',
    size: um('Play of the nut', 20),
    causes: size => ({ playUm: { nut: size } }),
  },
  'fixed-bearing-play': {
    label: 'the locknut had crept back and the bearings had play',
    size: um('Play of the bearings', 20),
    causes: size => ({ playUm: { bearing: size } }),
  },
  'preload-low': {
    label: 'the locknut was not turned far enough',
    size: plain('Of the turn it needs', [0.05, 0.95], { blank: 0.3 }),
    causes: size => ({ locknutTurn: size }),
  },
  'preload-high': {
    label: 'nut or bearings were preloaded too hard',
    size: plain('So many times the drag that it should have', [1.1, 8], { blank: 3 }),
    // Drag grows about by the square of how far a locknut is turned.
    causes: size => ({ dragTimes: size, locknutTurn: Math.sqrt(size) }),
  },
  'coupler-play': {
    label: 'the coupler or the belt had play',
    size: um('Play, as travel of the slide', 20),
    causes: size => ({ playUm: { coupler: size } }),
  },
  'coupler-slip': {
    label: 'a hub slipped at fast reversals',
    size: um('Slip at each, as travel of the slide', 10),
    causes: (size, figures) => ({ slip: { um: size, aboveMmPerMin: fast(figures) } }),
  },
  'nut-bracket-loose': {
    label: 'the bracket of the nut was loose',
    size: um('How far it goes', 20),
    causes: size => ({ playUm: { bracket: size } }),
  },
  'block-loose': {
    label: 'the fixed block was loose on the casting',
    size: um('How far it goes', 20),
    causes: size => ({ playUm: { block: size } }),
  },
  'fixed-block-off': {
    label: 'the fixed block stood high or low',
    size: shifted('Height of the fixed block'),
    causes: size => ({ fixedBlock: { heightUm: size, sideUm: 0 } }),
  },
  'fixed-block-aside': {
    label: 'the fixed block stood to one side',
    size: shifted('Towards the operator'),
    causes: size => ({ fixedBlock: { heightUm: 0, sideUm: size } }),
  },
  'far-block-off': {
    label: 'the far block stood high or low',
    size: shifted('Height of the far block'),
    causes: size => ({ farBlock: { heightUm: size, sideUm: 0 } }),
    fits: ({ ends }) => ends !== 'fixed-free',
  },
  'far-block-aside': {
    label: 'the far block stood to one side',
    size: shifted('Towards the operator'),
    causes: size => ({ farBlock: { heightUm: 0, sideUm: size } }),
    fits: ({ ends }) => ends !== 'fixed-free',
  },
  'nut-off-line': {
    label: 'the nut stood high or low',
    size: shifted('Height of the nut'),
    causes: size => ({ nut: { heightUm: size, sideUm: 0 } }),
  },
  'bent-screw': {
    label: 'the screw was bent',
    size: um('Bow in its middle', 150),
    causes: size => ({ bow: { um: size, atDeg: 60 } }),
  },
  'journal-off': {
    label: 'a journal ran out in its bearings',
    size: um('Off its middle', 60),
    causes: size => ({ journal: { at: 'fixed', um: size } }),
  },
  'face-off-square': {
    label: 'the face for the nut leant',
    size: slope('It leans by', [0, 20_000], { blank: 3000 }),
    causes: size => ({ face: { tiltUmPerMm: size / UM_PER_MM, atDeg: 30 } }),
  },
  'motor-off-line': {
    label: 'the motor stood beside the line',
    size: um('Beside it', 200, 5000),
    causes: size => ({
      motor: { besideUm: size, towardsDeg: 90, mrad: 0, openAtDeg: 0 },
      pulleys: { besideUm: size, tiltUmPerMm: 0 },
    }),
  },
  'bracket-droops': {
    label: 'the motor drew its bracket down',
    size: um('Down by', 60),
    causes: size => ({ droopUm: size }),
  },
  'dirt-in-nut': {
    label: 'a ball track was hurt, or dirt sat in the nut',
    size: torque('More to turn there', [0, 20], { blank: 0.1 }),
    causes: (size, { nutAtZeroMm, travelMm }) => ({
      track: { atMm: nutAtZeroMm + travelMm / 2, widthMm: HURT_SHARE * travelMm, nm: size },
    }),
  },
  'gib-loose': {
    label: 'the gib was loose',
    size: um('More play to the side', 60),
    causes: size => ({ gib: { playUm: size } }),
  },
  'gib-tight': {
    label: 'the gib was too tight',
    size: newtons('More to push the slide', 60),
    causes: size => ({ gib: { playUm: -8, tightN: size } }),
  },
  'gib-tight-low': {
    label: 'the gib was tight at the low end',
    size: newtons('More to push the slide there', 60),
    causes: size => ({ gib: { endN: size, end: 'low' } }),
  },
  'gib-tight-high': {
    label: 'the gib was tight at the high end',
    size: newtons('More to push the slide there', 60),
    causes: size => ({ gib: { endN: size, end: 'high' } }),
  },
  'gib-walks': {
    label: 'the gib walked with the slide',
    size: newtons('More to push one way, as much less the other', 30),
    causes: size => ({ gib: { walkingN: size } }),
  },
  'ways-worn': {
    label: 'the ways were worn in the middle',
    size: um('More play to the side there', 60),
    causes: size => ({ gib: { wornUm: size } }),
  },
  'ways-not-parallel': {
    label: 'the ways closed in towards one end',
    size: toOneEnd('More to push the slide at the high end', 40),
    causes: size => ({ waysN: size }),
  },
  'rail-not-straight': {
    label: 'a rail was bowed',
    size: um('Bow over its length', 80),
    causes: size => ({ rail: { bowUm: size } }),
  },
  'axes-not-square': {
    label: 'the axes were out of square',
    size: slope('Out of square by', [-5000, 5000], { blank: 400 }),
    causes: size => ({ squareUmPerM: size }),
  },
  'lost-steps': {
    label: 'the motor lost steps in fast moves up',
    size: plain('Cycles of four full steps lost each time', [1, 20], { whole: true, blank: 1 }),
    causes: (size, figures) => ({ lost: { cycles: size, aboveMmPerMin: fast(figures) } }),
    fits: ({ fullStepsPerRev }) => fullStepsPerRev !== null,
  },
  'scale-wrong': {
    label: 'the steps a millimetre were set wrong',
    size: slope('It goes too far by', [-50_000, 50_000], { blank: 2000 }),
    causes: size => ({ scaleOff: size / 1e6 }),
  },
  'compensation-wrong': {
    label: 'the controller took out play that is not there',
    size: smallLength('What it adds at each reversal', [-1000, 1000], {
      blank: 30,
      help: 'Less than nothing where it takes away.',
    }),
    causes: size => ({ compensatedUm: size }),
  },
  'wave-in-screw': {
    label: 'the screw was off once a turn',
    size: um('To each side', 10),
    causes: size => ({ wave: { um: size, atDeg: 40 } }),
  },
  'warm-growth': {
    label: 'the screw warmed as it ran',
    size: temperatureRise('Warmer in the end by', [0, 60], { blank: 8 }),
    causes: size => ({ heat: { riseK: size, minutes: WARM_MIN } }),
  },
} as const satisfies Record<string, WhatIf>
export type WhatIfId = keyof typeof WHAT_IFS

/** What can be supposed of an axis, as it is built. */
export const whatIfsOf = (figures: AxisFigures, axis: Axis): WhatIfId[] =>
  (Object.keys(WHAT_IFS) as WhatIfId[]).filter(id => (WHAT_IFS[id] as WhatIf).fits?.(figures, axis) ?? true)
