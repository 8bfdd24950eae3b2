import type { PartOf } from '../../document/parts/types'
import type { EvaluationContext } from '../../evaluation/context'

/** The brake on the motor; none where none is chosen. */
export const chosenBrake = (t: EvaluationContext): PartOf['brake'] | null =>
  t.catalogue.brake.get(t.axis.parts.brake ?? '') ?? null
