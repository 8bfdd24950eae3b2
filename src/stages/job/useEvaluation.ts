import { useCallback, useMemo } from 'react'
import type { Axis } from '@/core/document/axis'
import type { Catalogue } from '@/core/document/parts/types'
import { catalogueOf } from '@/core/machine/parts'
import { type Evaluation, evaluateAxis } from '@/core/sheets/evaluateAxis'
import type { UnitSystem } from '@/core/units/quantity'
import type { AxisTask } from '@/workers/protocol'
import { useJob, useJobContext, useUnits, whole } from './JobContext'
import { axisIn, useAxis, useSettledAxis, useSettledResult } from './useAxis'

/** The parts that this job can choose from. */
export const useCatalogue = (): Catalogue =>
  catalogueOf({ ownParts: useJob(job => job.ownParts), shop: useJob(job => job.shop) })

/** An axis as it goes over to a worker, the same object until something in it changes. */
export function useTask(axis: Axis): AxisTask {
  const ownParts = useJob(job => job.ownParts)
  const shop = useJob(job => job.shop)
  const units = useUnits()
  return useMemo(() => ({ axis, ownParts, shop, units }), [axis, ownParts, shop, units])
}

interface Judged {
  catalogue: Catalogue
  units: UnitSystem
  evaluation: Evaluation
}
const evaluations = new WeakMap<Axis, Judged>()

/** The evaluation of an axis, one for each state of it: it remembers what was worked out, for all who ask. */
export function evaluationOf(axis: Axis, catalogue: Catalogue, units: UnitSystem): Evaluation {
  const known = evaluations.get(axis)
  if (known?.catalogue === catalogue && known.units === units) return known.evaluation
  const evaluation = evaluateAxis(axis, catalogue, units)
  evaluations.set(axis, { catalogue, units, evaluation })
  return evaluation
}

/** The evaluation of the axis at work, at once. */
export const useEvaluation = (): Evaluation => evaluationOf(useAxis(whole), useCatalogue(), useUnits())

/** The evaluation for what is not looked at while a value is typed: it follows when the typing rests. */
export const useSettledEvaluation = (): Evaluation =>
  evaluationOf(useSettledAxis(), useCatalogue(), useUnits())

/**
 * Plain data out of the evaluation, when the typing rests; renders again only when it differs, whatever else the
 * evaluation holds.
 *
 * @param work the same function every time
 */
export function useWorkedOut<T>(work: (evaluation: Evaluation) => T): T {
  const { axisId } = useJobContext()
  const catalogue = useCatalogue()
  const units = useUnits()
  return useSettledResult(
    useCallback(
      job => work(evaluationOf(axisIn(job, axisId), catalogue, units)),
      [work, axisId, catalogue, units],
    ),
  )
}
