import { currencyNow, moneySign } from './money'

/** Which family of units a job is shown in; values are always stored in the base unit. */
export type UnitSystem = 'mm' | 'inch'

/** One unit of a quantity: its printed name, how many base units it is, and how finely it is printed. */
export interface Unit {
  unit: string
  perUnit: number
  decimals: number
}

interface QuantityFacts {
  /** The unit that stored values have and formulas reckon in, in plain letters; 1 for a plain number. */
  base: string
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
  length: {
    base: 'mm',
    mm: { unit: 'mm', perUnit: 1, decimals: 3 },
    inch: { unit: 'in', perUnit: MM_PER_INCH, decimals: 4 },
    accepts: LENGTHS,
  },
  smallLength: {
    base: 'um',
    mm: { unit: 'µm', perUnit: 1, decimals: 1 },
    inch: { unit: 'thou', perUnit: MM_PER_INCH, decimals: 2 },
    accepts: scaled(LENGTHS, 1000),
  },
  speed: {
    base: 'mm/min',
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
  acceleration: {
    base: 'mm/s2',
    mm: { unit: 'mm/s²', perUnit: 1, decimals: 0 },
    inch: { unit: 'in/s²', perUnit: MM_PER_INCH, decimals: 1 },
    accepts: { 'mm/s2': 1, 'm/s2': 1000, 'in/s2': MM_PER_INCH, g: 9806.65 },
  },
  force: {
    base: 'N',
    mm: { unit: 'N', perUnit: 1, decimals: 0 },
    inch: { unit: 'lbf', perUnit: N_PER_LBF, decimals: 1 },
    accepts: { n: 1, kn: 1000, kgf: 9.80665, kg: 9.80665, lbf: N_PER_LBF, lb: N_PER_LBF },
  },
  /** What a spring scale of the kitchen or the luggage shows. */
  pull: {
    base: 'N',
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
  mass: {
    base: 'kg',
    mm: { unit: 'kg', perUnit: 1, decimals: 2 },
    inch: { unit: 'lb', perUnit: 0.45359237, decimals: 2 },
    accepts: { kg: 1, g: 0.001, lb: 0.45359237, lbs: 0.45359237, oz: 0.028349523125 },
  },
  torque: {
    base: 'N m',
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
  angle: { base: 'deg', ...same('°', 2), accepts: { deg: 1, '°': 1 } },
  temperatureRise: {
    base: 'K',
    mm: { unit: 'K', perUnit: 1, decimals: 1 },
    inch: { unit: '°F', perUnit: 5 / 9, decimals: 1 },
    accepts: { k: 1, '°c': 1, c: 1, '°f': 5 / 9, f: 5 / 9 },
  },
  duration: { base: 's', ...same('s', 3), accepts: { s: 1, ms: 0.001, sec: 1 } },
  frequency: { base: 'Hz', ...same('Hz', 0), accepts: { hz: 1 } },
  stiffness: {
    base: 'N/um',
    mm: { unit: 'N/µm', perUnit: 1, decimals: 1 },
    inch: { unit: 'lbf/thou', perUnit: N_PER_LBF / MM_PER_INCH, decimals: 0 },
    accepts: { 'n/um': 1, 'lbf/thou': N_PER_LBF / MM_PER_INCH },
  },
  /** How far something leans or is out of square. */
  slope: {
    base: 'um/m',
    mm: { unit: 'µm/m', perUnit: 1, decimals: 0 },
    inch: { unit: 'thou/ft', perUnit: MM_PER_INCH / M_PER_FOOT, decimals: 2 },
    accepts: {
      'um/m': 1,
      'mm/m': 1000,
      'thou/ft': MM_PER_INCH / M_PER_FOOT,
      'in/ft': (1000 * MM_PER_INCH) / M_PER_FOOT,
    },
  },
  /** How fast something wears, in a thousand hours of running. */
  wear: {
    base: 'um/1000 h',
    mm: { unit: 'µm/1000 h', perUnit: 1, decimals: 0 },
    inch: { unit: 'thou/1000 h', perUnit: MM_PER_INCH, decimals: 2 },
    accepts: { 'um/1000 h': 1, 'thou/1000 h': MM_PER_INCH },
  },
  pressure: {
    base: 'MPa',
    mm: { unit: 'MPa', perUnit: 1, decimals: 1 },
    inch: { unit: 'psi', perUnit: MPA_PER_PSI, decimals: 0 },
    accepts: { mpa: 1, 'n/mm2': 1, psi: MPA_PER_PSI },
  },
  pressureSpeed: {
    base: 'MPa m/min',
    mm: { unit: 'MPa·m/min', perUnit: 1, decimals: 0 },
    inch: { unit: 'psi·ft/min', perUnit: MPA_PER_PSI * M_PER_FOOT, decimals: 0 },
    accepts: {
      'mpa m/min': 1,
      'mpa·m/min': 1,
      'psi ft/min': MPA_PER_PSI * M_PER_FOOT,
      'psi·ft/min': MPA_PER_PSI * M_PER_FOOT,
    },
  },
  inertia: {
    base: 'kg m2',
    mm: { unit: 'kg·cm²', perUnit: 1e-4, decimals: 4 },
    inch: { unit: 'kg·cm²', perUnit: 1e-4, decimals: 4 },
    accepts: { kg·cm2: 1e-4, 'kg cm2': 1e-4, g·cm2: 1e-7, 'g cm2': 1e-7, kg·m2: 1, 'kg m2': 1 },
  },
  hours: { base: 'h', ...same('h', 0), accepts: { h: 1, hours: 1 } },
  rotation: { base: 'rpm', ...same('rpm', 0), accepts: { rpm: 1 } },
  /** Steps of a controller along an axis. */
  stepsPerLength: {
    base: '1/mm',
    mm: { unit: 'steps/mm', perUnit: 1, decimals: 3 },
    inch: { unit: 'steps/in', perUnit: 1 / MM_PER_INCH, decimals: 3 },
    accepts: { 'steps/mm': 1, 'steps/in': 1 / MM_PER_INCH, '1/mm': 1, '1/in': 1 / MM_PER_INCH },
  },
  /** Money; how it is shown is set for the shop, see money.ts. */
  money: { base: 'EUR', ...same('€', 2), accepts: { '€': 1, eur: 1 } },
  /** A plain number. */
  ratio: { base: '1', ...same('', 3), accepts: {} },
  /** A share from 0 to 1, shown in per cent. */
  share: {
    base: '1',
    mm: { unit: '%', perUnit: 0.01, decimals: 1 },
    inch: { unit: '%', perUnit: 0.01, decimals: 1 },
    accepts: { '%': 0.01 },
  },
} satisfies Record<string, QuantityFacts>

export type QuantityKind = keyof typeof QUANTITIES

/** The facts of a quantity, with its unit names open to look-up. */
export const quantityFacts = (kind: QuantityKind): QuantityFacts =>
  kind === 'money' ? moneyFacts() : QUANTITIES[kind]

/** Money in the one that the shop goes by. */
function moneyFacts(): QuantityFacts {
  const { code, perEuro } = currencyNow()
  const perUnit = 1 / perEuro
  const unit = { unit: moneySign(), perUnit, decimals: 2 }
  return {
    base: 'EUR',
    mm: unit,
    inch: unit,
    accepts: { '€': 1, eur: 1, [unit.unit.toLowerCase()]: perUnit, [code.toLowerCase()]: perUnit },
  }
}

/**
 * The unit that a quantity is stored and reckoned in, in plain letters.
 *
 * @example baseUnitOf('stiffness') // 'N/um'
 */
export const baseUnitOf = (kind: QuantityKind): string => QUANTITIES[kind].base

const QUANTITY_OF: Readonly<Record<string, QuantityKind | undefined>> = Object.fromEntries(
  (Object.keys(QUANTITIES) as QuantityKind[])
    .filter(kind => kind !== 'pull' && baseUnitOf(kind) !== '1')
    .map(kind => [baseUnitOf(kind), kind]),
)

/**
 * The quantity that a unit in plain letters stands for; none for one that no quantity is stored in.
 *
 * @example quantityOf('N/um') // 'stiffness'
 */
export const quantityOf = (unit: string): QuantityKind | undefined => QUANTITY_OF[unit]
