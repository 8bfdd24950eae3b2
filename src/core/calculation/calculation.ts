import type { Field, NumberField, ValueOf, ValuesOf } from '../field/field'
import { checkOf } from './checkOf'
import { InputError } from './inputError'

/** What a calculation takes and gives: no rows, no days, nothing that may be missing but a figure. */
type Described =
  | Extract<Field, { is: 'number' | 'choice' | 'words' | 'flag' }>
  | { readonly is: 'list'; readonly label: string; readonly of: Described; readonly least: number }
  | { readonly is: 'record'; readonly label: string; readonly of: DescribedSet }
  | { readonly is: 'map'; readonly label: string; readonly of: NumberField; readonly pattern: string }
interface DescribedSet {
  readonly [name: string]: Described
}

type WithDefault<T> = { [K in keyof T]: T[K] extends { default: number } ? K : never }[keyof T]

/** The object that a calculation takes; inputs with a default may be left out. */
export type InputsOf<T> = { [K in Exclude<keyof T, WithDefault<T>>]: ValueOf<T[K]> } & {
  [K in WithDefault<T>]?: ValueOf<T[K]>
}

/** What the registry knows of a calculation: enough for the working panel, the shell and a reference page. */
export interface CalculationFacts {
  /** Group and name, such as `screw.criticalSpeed`. */
  id: string
  title: string
  /** The formula as people write it, with the symbols of the fields. */
  formula: string
  /** Standard or first principle that the formula comes from. */
  source: string
  /** When the result may be trusted. */
  validity: string
  inputs: DescribedSet
  outputs: DescribedSet
}

/** Facts, and a function that checks its inputs; `compute` is the plain function without the check. */
export interface Calculation<I = never, O = unknown> extends CalculationFacts {
  (inputs: I): O
  compute: (inputs: I) => O
}

/**
 * Makes a calculation out of its facts and its plain function.
 *
 * @returns a function that rejects inputs without meaning (InputError) and carries the facts as properties
 * @example criticalSpeed({ rootDiameterMm: 17, freeLengthMm: 500, ends: 'fixed-free' }) // 939.9 rpm
 */
export function calculation<const I extends DescribedSet, const O extends DescribedSet>(
  facts: Omit<CalculationFacts, 'inputs' | 'outputs'> & {
    inputs: I
    outputs: O
    compute: (inputs: InputsOf<I>) => ValuesOf<O>
  },
): Calculation<InputsOf<I>, ValuesOf<O>> {
  const check = checkOf(facts.inputs)
  const checked = (inputs: InputsOf<I>) => {
    check(inputs as Record<string, unknown>)
    return finite(facts.compute(inputs))
  }
  return Object.assign(checked, facts)
}

/**
 * What was worked out, as it is.
 *
 * @throws InputError naming the output that comes out without end
 */
export function finite<O>(outputs: O): O {
  for (const name in outputs) refuseEndless(name, outputs[name])
  return outputs
}

/**
 * Inputs can be within their ranges one by one and yet too far apart to give a figure.
 *
 * @throws InputError naming the output that comes out without end
 */
function refuseEndless(name: string, value: unknown): void {
  if (typeof value === 'number') {
    if (!Number.isFinite(value)) throw new InputError(name, value, 'inputs that are less far apart')
  } else if (Array.isArray(value)) for (const one of value) refuseEndless(name, one)
  else if (typeof value === 'object' && value !== null)
    for (const inner in value) refuseEndless(inner, (value as Record<string, unknown>)[inner])
}
