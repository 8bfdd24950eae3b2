import { InputError } from './inputError'

/** A number with its symbol in the formula, its unit, and the range that has a meaning. */
export interface NumberSpec {
  kind: 'number'
  symbol: string
  unit: string
  label: string
  /** Least value accepted. */
  min?: number
  /** The value must be above this. */
  over?: number
  max?: number
  below?: number
  integer?: boolean
  /** The only values that have a meaning, where they are few. */
  oneOf?: readonly number[]
  /** Whether there may be no such figure: null then. */
  orNone?: true
  /** Taken when the input is left out; makes it optional. */
  default?: number
}
export interface ChoiceSpec<T extends string = string> {
  kind: 'choice'
  label: string
  of: readonly T[]
}
export interface FlagSpec {
  kind: 'flag'
  label: string
}
/** A short text, such as the id of a task. */
export interface WordsSpec {
  kind: 'words'
  label: string
}
export interface ListSpec<T extends Spec = Spec> {
  kind: 'list'
  label: string
  of: T
  atLeast: number
}
export interface RecordSpec<T extends Specs = Specs> {
  kind: 'record'
  label: string
  of: T
}
export type Spec = NumberSpec | ChoiceSpec | FlagSpec | WordsSpec | ListSpec | RecordSpec
export type Specs = { readonly [name: string]: Spec }

/** The value that a spec describes. */
export type ValueOf<S> = S extends NumberSpec & { orNone: true }
  ? number | null
  : S extends NumberSpec
    ? number
    : S extends ChoiceSpec<infer T>
      ? T
      : S extends FlagSpec
        ? boolean
        : S extends WordsSpec
          ? string
          : S extends ListSpec<infer T>
            ? ValueOf<T>[]
            : S extends RecordSpec<infer T>
              ? InputsOf<T>
              : never

type Optional<S> = { [K in keyof S]: S[K] extends { default: number } ? K : never }[keyof S]

/** The object that a set of specs describes; inputs with a default may be left out. */
export type InputsOf<S> = { [K in Exclude<keyof S, Optional<S>>]: ValueOf<S[K]> } & {
  [K in Optional<S>]?: ValueOf<S[K]>
}
export type OutputsOf<S> = { [K in keyof S]: ValueOf<S[K]> }

const LONGEST_WORDS = 80

type Range = Omit<NumberSpec, 'kind' | 'symbol' | 'unit' | 'label'>

export const number = <const R extends Range>(label: string, symbol: string, unit: string, range: R) => ({
  kind: 'number' as const,
  label,
  symbol,
  unit,
  ...range,
})
export const choice = <const T extends string>(label: string, of: readonly T[]): ChoiceSpec<T> => ({
  kind: 'choice',
  label,
  of,
})
export const flag = (label: string): FlagSpec => ({ kind: 'flag', label })
export const words = (label: string): WordsSpec => ({ kind: 'words', label })
export const list = <T extends Spec>(label: string, of: T, atLeast = 1): ListSpec<T> => ({
  kind: 'list',
  label,
  of,
  atLeast,
})
export const record = <T extends Specs>(label: string, of: T): RecordSpec<T> => ({
  kind: 'record',
  label,
  of,
})

/**
 * Says in words what a spec accepts.
 *
 * @example describe(number('lead', 'Ph', 'mm', { over: 0 })) // 'a number over 0 mm'
 */
export function describe(spec: Spec): string {
  switch (spec.kind) {
    case 'number': {
      if (spec.oneOf) return `one of ${spec.oneOf.join(', ')} ${spec.unit}`
      const unit = spec.unit && spec.unit !== '1' ? ` ${spec.unit}` : ''
      const bounds = [
        spec.over !== undefined && `over ${spec.over}`,
        spec.min !== undefined && `from ${spec.min}`,
        spec.below !== undefined && `below ${spec.below}`,
        spec.max !== undefined && `up to ${spec.max}`,
      ].filter(Boolean)
      const noun = spec.integer ? 'a whole number' : 'a number'
      return `${noun}${bounds.length ? ` ${bounds.join(' ')}` : ''}${unit}${spec.orNone ? ', or null' : ''}`
    }
    case 'choice':
      return `one of ${spec.of.join(', ')}`
    case 'flag':
      return 'true or false'
    case 'words':
      return `a text of 1 to ${LONGEST_WORDS} characters`
    case 'list':
      return `a list of at least ${spec.atLeast}`
    case 'record':
      return `an object with ${Object.keys(spec.of).join(', ')}`
  }
}

const isNumberWithin = (spec: NumberSpec, value: unknown): boolean =>
  value === null
    ? spec.orNone === true
    : typeof value === 'number'
      ? Number.isFinite(value) &&
        !(spec.over !== undefined && value <= spec.over) &&
        !(spec.min !== undefined && value < spec.min) &&
        !(spec.below !== undefined && value >= spec.below) &&
        !(spec.max !== undefined && value > spec.max) &&
        !(spec.integer && !Number.isInteger(value)) &&
        !(spec.oneOf && !spec.oneOf.includes(value))
      : value === undefined && spec.default !== undefined

/** Whether a value is of the kind and in the range of its spec, not looking inside lists and records. */
export function fits(spec: Spec, value: unknown): boolean {
  switch (spec.kind) {
    case 'number':
      return isNumberWithin(spec, value)
    case 'choice':
      return typeof value === 'string' && spec.of.includes(value)
    case 'flag':
      return typeof value === 'boolean'
    case 'words':
      return typeof value === 'string' && value.length > 0 && value.length <= LONGEST_WORDS
    case 'list':
      return Array.isArray(value) && value.length >= spec.atLeast
    case 'record':
      return typeof value === 'object' && value !== null && !Array.isArray(value)
  }
}

interface Checked {
  readonly name: string
  readonly spec: Spec
  /** Checks what is inside of it, where something is. */
  readonly inside: ((value: unknown, place: string) => void) | null
}

/**
 * What checks every value of a set against its spec; it is made once, so that it costs little at every call.
 *
 * @returns a check that throws InputError naming the input with its place, what was got and what is accepted
 */
export function checkOf(specs: Specs): (values: Record<string, unknown>, place?: string) => void {
  const all = Object.entries(specs).map(([name, spec]): Checked => ({ name, spec, inside: insideOf(spec) }))
  return (values, place = '') => {
    for (let index = 0; index < all.length; index++) {
      const { name, spec, inside } = all[index] as Checked
      const value = values[name]
      if (!fits(spec, value)) throw new InputError(place + name, value, describe(spec))
      inside?.(value, place + name)
    }
  }
}

function insideOf(spec: Spec): Checked['inside'] {
  if (spec.kind === 'record') {
    const check = checkOf(spec.of)
    return (value, place) => check(value as Record<string, unknown>, `${place}.`)
  }
  if (spec.kind !== 'list') return null
  const { of } = spec
  const inside = insideOf(of)
  return (value, place) => {
    const items = value as unknown[]
    for (let index = 0; index < items.length; index++) {
      const item = items[index]
      // The place is put together only when there is something to say.
      if (!fits(of, item)) throw new InputError(`${place}[${index}]`, item, describe(of))
      try {
        inside?.(item, '')
      } catch (error) {
        if (error instanceof InputError)
          throw new InputError(`${place}[${index}]${error.input}`, error.got, error.takes)
        throw error
      }
    }
  }
}
