import type { QuantityKind } from '../units/quantity'

// What a value is, said once: the type, the schema, the form, the columns, the blank row, what a calculation takes and
// gives, and the heading in a file all come from here. Nothing here needs the validation package: see schema.ts.

/** A number in the base unit that its name carries, with the range in which it has a meaning. */
export interface NumberField {
  readonly is: 'number'
  readonly label: string
  /** How to get it, with what a small shop has. */
  readonly help?: string
  /** How formulas write it. */
  readonly symbol?: string
  readonly quantity: QuantityKind
  /** The unit of a plain number, where it has one, such as `mH`. */
  readonly unit?: string
  /** The ends of the range; without end where they are infinite. */
  readonly min: number
  readonly max: number
  /** The lower end itself, where the value must be above it. */
  readonly over?: number
  /** The upper end itself, where the value must be below it. */
  readonly below?: number
  readonly whole?: boolean
  /** The only values that have a meaning, where they are few. */
  readonly oneOf?: readonly number[]
  /** Taken by a calculation when it is left out. */
  readonly default?: number
  /** Whether there may be none: null then. */
  readonly orNone?: boolean
  /** What a new row starts with. */
  readonly blank: number | null
}
/** One of a few words or numbers. */
export interface ChoiceField<T extends string | number = string | number> {
  readonly is: 'choice'
  readonly label: string
  readonly of: readonly T[]
  /** How each is said to people; as it is stored where left out. */
  readonly words?: { readonly [K in T]?: string }
  readonly orNone?: boolean
  readonly blank: T | null
}
export interface WordsField {
  readonly is: 'words'
  readonly label: string
  readonly most: number
  readonly orNone?: boolean
  readonly blank: string | null
}
export interface FlagField {
  readonly is: 'flag'
  readonly label: string
  readonly blank: boolean
}
/** A date and time, as `2026-11-02T18:30:00.000Z`. */
export interface MomentField {
  readonly is: 'moment'
  readonly label: string
  readonly orNone?: boolean
  readonly blank: string | null
}
/** A day of the calendar wherever one lives, as `2026-11-26`. */
export interface DayField {
  readonly is: 'day'
  readonly label: string
  readonly orNone?: boolean
  readonly blank: string | null
}
/** A time of the day, in minutes since midnight. */
export interface ClockField {
  readonly is: 'clock'
  readonly label: string
  readonly blank: number
}
/** Points of speed and torque. */
export interface CurveField {
  readonly is: 'curve'
  readonly label: string
  readonly blank: null
}
/** A list of numbers, such as repeated readings: it is kept and replaced as a whole. */
export interface NumbersField {
  readonly is: 'numbers'
  readonly label: string
  readonly of: NumberField
  readonly most: number
}
/** Rows of a table; each has an id, by which everything refers to it. */
export interface RowsField<R extends { id: string } = { id: string }> {
  readonly is: 'rows'
  /** What a row is called: "Hole". */
  readonly label: string
  readonly of: Fields
  readonly most: number
  readonly least: number
  /** The type of a row; there is no such value. */
  readonly row?: R
}
export type Field =
  | NumberField
  | ChoiceField
  | WordsField
  | FlagField
  | MomentField
  | DayField
  | ClockField
  | CurveField
  | NumbersField
  | { readonly is: 'list'; readonly label: string; readonly of: Field; readonly least: number }
  | RowsField
  | { readonly is: 'record'; readonly label: string; readonly of: Fields }
  | { readonly is: 'maybe'; readonly label: string; readonly of: Field }
  /** By names; a name is taken that the pattern matches, read as Unicode. A description is data: it goes to a page, too. */
  | { readonly is: 'map'; readonly label: string; readonly of: Field; readonly pattern: string }
export interface Fields {
  readonly [name: string]: Field
}

/** A row of a table: its fields and the id that everything refers to. */
export type Row<T> = T & { id: string }
/** Of any field at all nothing is known: else the type would go round for ever. */
type OrNothing<F> = [Field] extends [F] ? unknown : ValueOf<F> | null
type OrNone<F, T> = F extends { orNone: true } ? T | null : T

/** The value that a field describes. */
export type ValueOf<F> = F extends { is: 'number' }
  ? OrNone<F, number>
  : F extends ChoiceField<infer T>
    ? OrNone<F, T>
    : F extends { is: 'words' | 'moment' | 'day' }
      ? OrNone<F, string>
      : F extends { is: 'flag' }
        ? boolean
        : F extends { is: 'clock' }
          ? number
          : F extends { is: 'curve' }
            ? { speedRpm: number; torqueNm: number }[] | null
            : F extends { is: 'numbers' }
              ? number[]
              : F extends { is: 'list'; of: infer T }
                ? ValueOf<T>[]
                : F extends { is: 'rows'; row?: infer R }
                  ? NonNullable<R>[]
                  : F extends { is: 'record'; of: infer T }
                    ? ValuesOf<T>
                    : F extends { is: 'maybe'; of: infer T }
                      ? OrNothing<T>
                      : F extends { is: 'map'; of: infer T }
                        ? Record<string, ValueOf<T>>
                        : never
/** The record that a set of fields describes. */
export type ValuesOf<T> = { -readonly [K in keyof T]: ValueOf<T[K]> }

/** A row of a table that a field describes. */
export type RowOf<F extends { readonly row?: { id: string } }> = NonNullable<F['row']>

type NumberMore = Partial<
  Pick<NumberField, 'help' | 'symbol' | 'unit' | 'whole' | 'orNone' | 'oneOf' | 'default' | 'blank'>
>

/** Where a number has a meaning: from one end to the other, or with ends that are open or missing. */
export type Range = readonly [min: number, max: number] | Ends
type Ends = Partial<Pick<NumberField, 'min' | 'over' | 'max' | 'below'>>

/**
 * A kind of number field; what is left blank starts at 0, or at the nearest to it that the range allows.
 *
 * @example numberOf('length')('Grip', [0, 500]).max // 500
 * @example numberOf('length')('lead', { over: 0 }, { symbol: 'Ph' }).max // Infinity
 */
export const numberOf =
  (quantity: QuantityKind) =>
  <const M extends NumberMore = Record<never, never>>(label: string, range: Range, more?: M) => {
    const ends: Ends = 'length' in range ? { min: range[0], max: range[1] } : range
    const min = ends.min ?? ends.over ?? Number.NEGATIVE_INFINITY
    const max = ends.max ?? ends.below ?? Number.POSITIVE_INFINITY
    const blank = more?.orNone ? null : Math.min(Math.max(0, min), max)
    return { is: 'number', label, quantity, ...ends, min, max, blank, ...more } as Omit<
      NumberField,
      'orNone' | 'default'
    > & {
      readonly is: 'number'
      readonly orNone: M extends { orNone: true } ? true : false
    } & (M extends { default: number } ? { readonly default: number } : unknown)
  }

/**
 * A field as a formula takes it: with a figure, also where a form may have none yet, and with the sign of its range. Its
 * ends are what a form takes; a formula holds beyond them, and is fed with figures that nobody typed.
 *
 * @param other what is different in the formula: its symbol, or its words where they need the rest of the form
 * @example given(length('Bore', [1, 500], { orNone: true, symbol: 'd' })).over // 0
 */
export function given(
  field: NumberField,
  other: Partial<Pick<NumberField, 'symbol' | 'label' | 'min'>> = {},
): NumberField & { readonly orNone: false } {
  const least = other.min ?? field.min
  const sign: Ends = least > 0 ? { over: 0 } : least === 0 ? { min: 0 } : {}
  const { label, help, symbol, unit } = { ...field, ...other }
  return numberOf(field.quantity)(label, sign, { help, symbol, unit })
}

/** The number fields of a set, for a grid of fields. */
export const numberFields = <T extends Fields>(fields: T) =>
  Object.fromEntries(Object.entries(fields).filter(([, field]) => field.is === 'number')) as {
    readonly [K in keyof T as T[K] extends { readonly is: 'number' } ? K : never]: NumberField
  }

export const length = numberOf('length')
export const smallLength = numberOf('smallLength')
export const force = numberOf('force')
export const speed = numberOf('speed')
export const share = numberOf('share')
export const angle = numberOf('angle')
export const torque = numberOf('torque')
export const stepsPerLength = numberOf('stepsPerLength')
export const mass = numberOf('mass')
export const rotation = numberOf('rotation')
export const acceleration = numberOf('acceleration')
export const stiffness = numberOf('stiffness')
export const slope = numberOf('slope')
export const wearRate = numberOf('wear')
export const money = numberOf('money')
export const pressure = numberOf('pressure')
export const pressureSpeed = numberOf('pressureSpeed')
export const inertia = numberOf('inertia')
export const temperatureRise = numberOf('temperatureRise')
export const duration = numberOf('duration')
export const hours = numberOf('hours')
export const frequency = numberOf('frequency')
/** A number of no quantity of the bench; it may have a unit of its own. */
export const plain = numberOf('ratio')

export const choice = <
  const T extends string | number,
  const M extends Partial<Pick<ChoiceField<T>, 'words' | 'blank'>>,
>(
  label: string,
  of: readonly T[],
  more?: M,
) => ({ is: 'choice' as const, label, of, blank: of[0] as T, ...more }) as unknown as ChoiceField<T>
export const choiceOrNone = <const T extends string | number>(
  label: string,
  of: readonly T[],
  words?: { readonly [K in T]?: string },
) =>
  ({ is: 'choice', label, of, words, orNone: true, blank: null }) as ChoiceField<T> & {
    readonly orNone: true
  }
export const words = (label: string, most: number, blank = label) =>
  ({ is: 'words', label, most, blank }) as const satisfies WordsField
export const wordsOrNone = (label: string, most: number) =>
  ({ is: 'words', label, most, orNone: true, blank: null }) as const satisfies WordsField
export const flag = (label: string, blank = false) =>
  ({ is: 'flag', label, blank }) as const satisfies FlagField
export const moment = (label: string) => ({ is: 'moment', label, blank: '' }) as const satisfies MomentField
export const momentOrNone = (label: string) =>
  ({ is: 'moment', label, orNone: true, blank: null }) as const satisfies MomentField
/** The day on which everything begins: a new row is given the day of today. */
export const day = (label: string) => ({ is: 'day', label, blank: '2026-01-01' }) as const satisfies DayField
export const dayOrNone = (label: string) =>
  ({ is: 'day', label, orNone: true, blank: null }) as const satisfies DayField
export const clock = (label: string, blank: number) =>
  ({ is: 'clock', label, blank }) as const satisfies ClockField
export const numbers = (label: string, of: NumberField, most: number) =>
  ({ is: 'numbers', label, of, most }) as const satisfies NumbersField
export const list = <const F extends Field>(label: string, of: F, least = 1) =>
  ({ is: 'list', label, of, least }) as const
export const record = <const T extends Fields>(label: string, of: T) => ({ is: 'record', label, of }) as const
export const maybe = <const F extends Field>(label: string, of: F) => ({ is: 'maybe', label, of }) as const
export const map = <const F extends Field>(label: string, of: F, key: RegExp) =>
  ({ is: 'map', label, of, pattern: key.source }) as const

/** Most rows of a table, unless it says otherwise. */
const MOST_ROWS = 100
export const rows = <const T extends Fields>(
  label: string,
  of: T,
  { most = MOST_ROWS, least = 0 } = {},
): Omit<RowsField<Row<ValuesOf<T>>>, 'of'> & { readonly of: T } => ({ is: 'rows', label, of, most, least })

/**
 * What a field holds before anyone has typed into it.
 *
 * @example blankOf(rows('Hole', HOLE)) // []
 */
export function blankOf(field: Field): unknown {
  switch (field.is) {
    case 'numbers':
    case 'list':
    case 'rows':
      return []
    case 'record':
      return blanks(field.of)
    case 'maybe':
      return null
    case 'map':
      return {}
    default:
      return field.blank
  }
}

/** A record with every field blank. */
export const blankRecord = <T extends Fields>(fields: T): ValuesOf<T> => blanks(fields) as ValuesOf<T>

const blanks = (fields: Fields): Record<string, unknown> =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, blankOf(field)]))

/**
 * A new row with every field blank but those given.
 *
 * @param id of the row; ids are never used twice in a job
 */
export const blankRow = <R extends { id: string }>(
  { of }: { readonly of: Fields; readonly row?: R },
  id: string,
  given: Partial<R> = {},
): R => ({ ...blanks(of), ...given, id }) as R

/**
 * Rows with ids made of a word and their number, where ids must come out alike every time.
 *
 * @example numbered('hole', [{ label: 'A' }]) // [{ label: 'A', id: 'hole-1' }]
 */
export const numbered = <T extends object>(word: string, list: readonly T[]): Row<T>[] =>
  list.map((row, index) => ({ ...row, id: `${word}-${index + 1}` }))
