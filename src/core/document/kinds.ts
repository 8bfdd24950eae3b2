// The few words that documents are made of, so that every room names things alike.

export const PART_KINDS = ['screw', 'bearing', 'coupler', 'belt', 'motor', 'brake'] as const
export type PartKind = (typeof PART_KINDS)[number]

export const MACHINE_KINDS = ['mill', 'lathe', 'router'] as const
export type MachineKind = (typeof MACHINE_KINDS)[number]

/** How the two ends of a screw are held, softest first. */
export const SCREW_ENDS = ['fixed-free', 'supported-supported', 'fixed-supported', 'fixed-fixed'] as const
export type ScrewEnds = (typeof SCREW_ENDS)[number]
export const SCREW_ENDS_WORDS: Readonly<Record<ScrewEnds, string>> = {
  'fixed-free': 'fixed at one end, free at the other',
  'supported-supported': 'supported at both ends',
  'fixed-supported': 'fixed at one end, supported at the other',
  'fixed-fixed': 'fixed at both ends',
}

/** By a coupler, by a belt to the screw, or by a belt to a nut that turns on a screw which stands. */
export const TRANSMISSIONS = ['direct', 'belt', 'nut'] as const
/** The ends of an axis: the fixed one has the motor. */
export const AXIS_ENDS = ['fixed', 'far'] as const
export type AxisEnd = (typeof AXIS_ENDS)[number]

export const NUT_FACINGS = ['far', 'fixed'] as const

/** Where a value comes from. */
export const PROVENANCES = ['measured', 'sheet', 'outside', 'planned', 'assumed'] as const
export type Provenance = (typeof PROVENANCES)[number]
/** Whether a value was read, off the machine or a sheet, and is neither a first reading from outside nor a plan nor a guess. */
export const isRead = (from: Provenance): boolean => from === 'measured' || from === 'sheet'
/** Whether a value is a figure to go by until it is measured: a guess, or what was read roughly from outside. */
export const isRough = (from: Provenance): boolean => from === 'assumed' || from === 'outside'
