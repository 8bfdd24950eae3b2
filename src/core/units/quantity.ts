/** Which family of units a job is shown in; values are always stored in the base unit. */
export type UnitSystem = 'mm' | 'inch'

/** One unit of a quantity: its printed name, how many base units it is, and how finely it is printed. */
export interface Unit {
  unit: string
  perUnit: number
  decimals: number
}

interface QuantityFacts {
  mm: Unit
  inch: Unit
  /** Everything people type for a unit of this quantity, and how many base units it is. */
  accepts: Record<string, number>
}

const same = (unit: string, decimals: number): { mm: Unit; inch: Unit } => ({
  mm: { unit, perUnit: 1, decimals },
  inch: { unit, perUnit: 1, decimals },
})
const scaled = (accepts: Record<string, number>, factor: number) =>
  Object.fromEntries(Object.entries(accepts).map(([name, value]) => [name, value * factor]))

export const MM_PER_INCH = 25.4
const N_PER_LBF = 4.4482216152605
const MPA_PER_PSI = N_PER_LBF / MM_PER_INCH ** 2
const M_PER_FOOT = 0.3048
const LENGTHS: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  um: 0.001,
  micron: 0.001,
  microns: 0.001,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  ft: 12 * MM_PER_INCH,
  thou: MM_PER_INCH / 1000,
  mil: MM_PER_INCH / 1000,
}

/** The quantities of the bench, each with its metric and its inch unit. */
export const QUANTITIES = {
  /** Base: mm. */
  length: {
    mm: { unit: 'mm', perUnit: 1, decimals: 3 },
    inch: { unit: 'in', perUnit: MM_PER_INCH, decimals: 4 },
    accepts: LENGTHS,
  },
  /** Base: um. */
  smallLength: {
    mm: { unit: 'µm', perUnit: 1, decimals: 1 },
    inch: { unit: 'thou', perUnit: MM_PER_INCH, decimals: 2 },
    accepts: scaled(LENGTHS, 1000),
  },
  /** Base: mm/min. */
  speed: {
    mm: { unit: 'mm/min', perUnit: 1, decimals: 0 },
    inch: { unit: 'in/min', perUnit: MM_PER_INCH, decimals: 1 },
    accepts: {
      'mm/min': 1,
      'm/min': 1000,
      'mm/s': 60,
      'm/s': 60_000,
      'in/min': MM_PER_INCH,
      ipm: MM_PER_INCH,
      'in/s': 60 * MM_PER_INCH,
    },
  },
  /** Base: mm/s2. */
  acceleration: {
    mm: { unit: 'mm/s²', perUnit: 1, decimals: 0 },
    inch: { unit: 'in/s²', perUnit: MM_PER_INCH, decimals: 1 },
    accepts: { 'mm/s2': 1, 'm/s2': 1000, 'in/s2': MM_PER_INCH, g: 9806.65 },
  },
  /** Base: N. */
  force: {
    mm: { unit: 'N', perUnit: 1, decimals: 0 },
    inch: { unit: 'lbf', perUnit: N_PER_LBF, decimals: 1 },
    accepts: { n: 1, kn: 1000, kgf: 9.80665, kg: 9.80665, lbf: N_PER_LBF, lb: N_PER_LBF },
  },
  /** What a spring scale of the kitchen or the luggage shows. Base: N. */
  pull: {
    mm: { unit: 'N', perUnit: 1, decimals: 2 },
    inch: { unit: 'lbf', perUnit: N_PER_LBF, decimals: 3 },
    accepts: {
      n: 1,
      kn: 1000,
      kgf: 9.80665,
      kg: 9.80665,
      gf: 0.00980665,
      g: 0.00980665,
      lbf: N_PER_LBF,
      lb: N_PER_LBF,
      ozf: N_PER_LBF / 16,
      oz: N_PER_LBF / 16,
    },
  },
  /** Base: kg. */
  mass: {
    mm: { unit: 'kg', perUnit: 1, decimals: 2 },
    inch: { unit: 'lb', perUnit: 0.45359237, decimals: 2 },
    accepts: { kg: 1, g: 0.001, lb: 0.45359237, lbs: 0.45359237, oz: 0.028349523125 },
  },
  /** Base: N m. */
  torque: {
    mm: { unit: 'N·m', perUnit: 1, decimals: 2 },
    inch: { unit: 'lbf·in', perUnit: 0.1129848290276167, decimals: 1 },
    accepts: {
      n·m: 1,
      'n m': 1,
      nm: 1,
      'n cm': 0.01,
      ncm: 0.01,
      lbf·in: 0.1129848290276167,
      'lbf in': 0.1129848290276167,
      'in lb': 0.1129848290276167,
      'oz in': 0.1129848290276167 / 16,
    },
  },
  /** Base: deg. */
  angle: { ...same('°', 2), accepts: { deg: 1, '°': 1 } },
  /** Base: K. */
  temperatureRise: {
    mm: { unit: 'K', perUnit: 1, decimals: 1 },
    inch: { unit: '°F', perUnit: 5 / 9, decimals: 1 },
    accepts: { k: 1, '°c': 1, c: 1, '°f': 5 / 9, f: 5 / 9 },
  },
  /** Base: s. */
  duration: { ...same('s', 3), accepts: { s: 1, ms: 0.001, sec: 1 } },
  /** Base: Hz. */
  frequency: { ...same('Hz', 0), accepts: { hz: 1 } },
  /** Base: N/um. */
  stiffness: {
    mm: { unit: 'N/µm', perUnit: 1, decimals: 1 },
    inch: { unit: 'lbf/thou', perUnit: N_PER_LBF / MM_PER_INCH, decimals: 0 },
    accepts: { 'n/um': 1, 'lbf/thou': N_PER_LBF / MM_PER_INCH },
  },
  /** Base: MPa. */
  pressure: {
    mm: { unit: 'MPa', perUnit: 1, decimals: 1 },
    inch: { unit: 'psi', perUnit: MPA_PER_PSI, decimals: 0 },
    accepts: { mpa: 1, 'n/mm2': 1, psi: MPA_PER_PSI },
  },
  /** Base: MPa m/min. */
  pressureSpeed: {
    mm: { unit: 'MPa·m/min', perUnit: 1, decimals: 0 },
    inch: { unit: 'psi·ft/min', perUnit: MPA_PER_PSI * M_PER_FOOT, decimals: 0 },
    accepts: {
      'mpa m/min': 1,
      'mpa·m/min': 1,
      'psi ft/min': MPA_PER_PSI * M_PER_FOOT,
      'psi·ft/min': MPA_PER_PSI * M_PER_FOOT,
    },
  },
  /** Base: kg m2. */
  inertia: {
    mm: { unit: 'kg·cm²', perUnit: 1e-4, decimals: 4 },
    inch: { unit: 'kg·cm²', perUnit: 1e-4, decimals: 4 },
    accepts: { kg·cm2: 1e-4, 'kg cm2': 1e-4, g·cm2: 1e-7, 'g cm2': 1e-7, kg·m2: 1, 'kg m2': 1 },
  },
  /** Base: h. */
  hours: { ...same('h', 0), accepts: { h: 1, hours: 1 } },
  /** Base: rpm. */
  rotation: { ...same('rpm', 0), accepts: { rpm: 1 } },
  /** Steps of a controller along an axis. Base: steps/mm. */
  stepsPerLength: {
    mm: { unit: 'steps/mm', perUnit: 1, decimals: 3 },
    inch: { unit: 'steps/in', perUnit: 1 / MM_PER_INCH, decimals: 3 },
    accepts: { 'steps/mm': 1, 'steps/in': 1 / MM_PER_INCH, '1/mm': 1, '1/in': 1 / MM_PER_INCH },
  },
  /** Base: a plain number. */
  ratio: { ...same('', 3), accepts: {} },
  /** Base: a share from 0 to 1, shown in per cent. */
  share: {
    mm: { unit: '%', perUnit: 0.01, decimals: 1 },
    inch: { unit: '%', perUnit: 0.01, decimals: 1 },
    accepts: { '%': 0.01 },
  },
} satisfies Record<string, QuantityFacts>

export type QuantityKind = keyof typeof QUANTITIES

/** The facts of a quantity, with its unit names open to look-up. */
export const quantityFacts = (kind: QuantityKind): QuantityFacts => QUANTITIES[kind]
