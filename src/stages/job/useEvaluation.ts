import { useCallback, useMemo } from 'react'
import type { Axis } from '@/core/document/axis'
import type { Catalogue } from '@/core/document/parts/types'
import { EvaluationContext } from '@/core/evaluation/context'
import { byUrgency, type Finding } from '@/core/evaluation/finding'
import { catalogueOf } from '@/core/machine/parts'
import { FIRST_CHECKS } from '@/core/sheets/firstChecks'
import type { UnitSystem } from '@/core/units/quantity'
import { useShopParts, useShopTexts } from '@/store/shopParts'
import type { AxisTask, SearchTask, SupplyTask } from '@/workers/protocol'
import { useJob, useJobContext, useUnits, whole } from './JobContext'
import { laterNow, useLater } from './later'
import { axisIn, useAxis, useAxisBeside, useSettledAxis, useSettledResult } from './useAxis'
import { useAnswer } from './useRun'

/** The parts that this job can choose from. */
export const useCatalogue = (): Catalogue =>
  catalogueOf({ ownParts: useJob(job => job.ownParts), shop: useJob(job => job.shop) })

/** Those, with the shop's own list: what can be chosen from, and comes into the job when it is. */
export const useWholeCatalogue = (): Catalogue =>
  catalogueOf({
    ownParts: useJob(job => job.ownParts),
    shop: useJob(job => job.shop),
    shopParts: useShopParts(),
  })

/** An axis as it goes over to a worker, the same object until something in it changes. */
export function useTask(axis: Axis): AxisTask {
  const ownParts = useJob(job => job.ownParts)
  const shop = useJob(job => job.shop)
  const units = useUnits()
  return useMemo(() => ({ axis, ownParts, shop, units }), [axis, ownParts, shop, units])
}

const today = () => new Date().toLocaleDateString('sv')

/** An axis with its parts, and what there is of them today. */
export function useSupplyTask(axis: Axis): SupplyTask {
  const task = useTask(axis)
  const orders = useJob(job => job.orders)
  return useMemo(() => ({ ...task, orders, today: today() }), [task, orders])
}

/** An axis as a search takes it: with the shop's own list too. */
export function useSearchTask(axis: Axis): SearchTask {
  const task = useSupplyTask(axis)
  const shopTexts = useShopTexts()
  return useMemo(() => ({ ...task, shopTexts }), [task, shopTexts])
}

/** By the state of an axis; and the latest of each axis, of which the next state takes over what has not changed. */
const evaluations = new WeakMap<Axis, EvaluationContext>()
const latest = new Map<string, EvaluationContext>()
/** Axes of a job or two: others are judged afresh. */
const MOST_KEPT = 24

/**
 * The evaluation of an axis, one for each state of it: it remembers what was worked out, for all who ask. It has the checks
 * that are here: those of late stages come with their sheets.
 */
export function evaluationOf(axis: Axis, catalogue: Catalogue, units: UnitSystem): EvaluationContext {
  const checks = laterNow()?.checks ?? FIRST_CHECKS
  const known = evaluations.get(axis)
  const before = known ?? latest.get(axis.id)
  const isAlike = before?.catalogue === catalogue && before.units === units && before.checks === checks
  if (known && isAlike) return known
  const evaluation = isAlike ? before.next(axis) : new EvaluationContext(axis, catalogue, units, checks)
  evaluations.set(axis, evaluation)
  if (latest.size >= MOST_KEPT && !latest.has(axis.id)) latest.clear()
  latest.set(axis.id, evaluation)
  return evaluation
}

/** The evaluation of the axis at work, at once. */
export function useEvaluation(): EvaluationContext {
  useLater()
  return evaluationOf(useAxis(whole), useCatalogue(), useUnits())
}

/** The evaluation for what is not looked at while a value is typed: it follows when the typing rests. */
export function useSettledEvaluation(): EvaluationContext {
  useLater()
  return evaluationOf(useSettledAxis(), useCatalogue(), useUnits())
}

/** What the checks find that are not here yet, as they are judged beside the screen when the typing rests. */
function useLaterFindings(): Finding[] | null {
  const isHere = useLater() !== null
  const task = useTask(useSettledAxis())
  const ask = useCallback(async () => {
    const { askJudge } = await import('@/workers/client')
    return askJudge(judge => judge.later(task))
  }, [task])
  return useAnswer(isHere ? null : ask, task.axis.id)
}

/** The evaluation for what is looked at beside what is typed: it follows every key, once that has been drawn. */
export function useEvaluationBeside(): EvaluationContext {
  useLater()
  return evaluationOf(useAxisBeside(), useCatalogue(), useUnits())
}

/** Every finding of the axis, worst first: they follow every key, once that has been drawn. */
export function useFindings(): Finding[] {
  const { findings } = useEvaluationBeside()
  const later = useLaterFindings()
  return useMemo(() => (later ? byUrgency([...findings, ...later]) : findings), [findings, later])
}

/**
 * Plain data out of the evaluation, when the typing rests; renders again only when it differs, whatever else the
 * evaluation holds.
 *
 * @param work the same function every time
 */
export function useWorkedOut<T>(work: (evaluation: EvaluationContext) => T): T {
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
