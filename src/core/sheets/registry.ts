import type { CalculationFacts } from '../calculation/calculation'
import { MACHINE_CALCULATIONS } from '../machine/calculations'
import { SCHEDULE_CALCULATIONS } from '../schedule/calculations'
import { simPlay } from '../simulate/play'
import { OUTCOMES } from './asked.generated'

/** A calculation as the registry lists it: its inputs are checked when it runs. */
export type Registered = CalculationFacts & ((inputs: Record<string, unknown>) => Record<string, unknown>)

/** Every calculation by its id. */
export const registry: ReadonlyMap<string, Registered> = new Map(
  [
    ...MACHINE_CALCULATIONS,
    ...SCHEDULE_CALCULATIONS,
    simPlay,
    ...OUTCOMES.flatMap(({ calculations = [] }) => calculations),
  ].map(entry => [entry.id, entry as unknown as Registered]),
)
