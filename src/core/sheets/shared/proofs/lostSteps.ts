import { calculation } from '../../../calculation/calculation'
import type { EvaluationContext } from '../../../evaluation/context'
import { choice, length, plain, smallLength } from '../../../field/field'
import { ratio } from '../../../machine/drive/transmission'

/** Full steps of one cycle of the field: a stepper that loses it slips by whole ones. */
const STEPS_OF_CYCLE = 4
/** A cycle must stand out from the reading by so many standard uncertainties. */
const TOLD_APART = 8
/** What is left beside whole cycles may be so many standard uncertainties. */
const AT_REST = 2

/**
 * Whether a slide that does not come back to zero has lost steps.
 *
 * @example lostSteps({ returnErrorUm: 206.2, leadMm: 10, fullStepsPerRev: 400, ratio: 1, standardUncertaintyUm: 5 }).cycles // 2
 */
export const lostSteps = calculation({
  id: 'prove.steps',
  title: 'Lost steps',
  formula: 'c = 4 (1000 Ph) / (N i); n = round(e / c); r = e - n c; lost steps where |n| >= 1 and |r| <= 2 u',
  source: 'A stepping motor that falls out of step slips by whole cycles of its field, four full steps',
  validity: 'Back to zero after fast moves, approached from one side; not where 8 u is more than a cycle',
  inputs: {
    returnErrorUm: smallLength('off zero on coming back', {}, { symbol: 'e' }),
    leadMm: length('lead', { over: 0 }, { symbol: 'Ph' }),
    fullStepsPerRev: plain('full steps a turn', { over: 0 }, { symbol: 'N' }),
    ratio: plain('turns of the motor for one of the screw', { over: 0 }, { symbol: 'i' }),
    standardUncertaintyUm: smallLength('standard uncertainty', { min: 0 }, { symbol: 'u' }),
  },
  outputs: {
    cycleUm: smallLength('one cycle', {}, { symbol: 'c' }),
    cycles: plain('cycles', {}, { symbol: 'n' }),
    restUm: smallLength('rest', {}, { symbol: 'r' }),
    verdict: choice('verdict', ['steps', 'not-steps', 'cannot-tell']),
  },
  compute({ returnErrorUm, leadMm, fullStepsPerRev, ratio, standardUncertaintyUm: u }) {
    const cycleUm = (STEPS_OF_CYCLE * leadMm * 1000) / (fullStepsPerRev * ratio)
    const cycles = Math.round(returnErrorUm / cycleUm)
    const restUm = returnErrorUm - cycles * cycleUm
    const verdict =
      TOLD_APART * u >= cycleUm
        ? ('cannot-tell' as const)
        : Math.abs(cycles) >= 1 && Math.abs(restUm) <= AT_REST * u
          ? ('steps' as const)
          : ('not-steps' as const)
    return { cycleUm, cycles, restUm, verdict }
  },
})

/** What a shift of a drive comes to in cycles of its motor. @throws NotKnown without a motor and a screw */
export const inCycles = (t: EvaluationContext, returnErrorUm: number, standardUncertaintyUm: number) =>
  t.figure('lostSteps', lostSteps, {
    returnErrorUm,
    leadMm: t.part('screw').leadMm,
    fullStepsPerRev: t.part('motor').fullStepsPerRev,
    ratio: ratio(t),
    standardUncertaintyUm,
  })

/**
 * Whole cycles that a stepper lost, in words; null where a shift is none, or the motor knows where it is.
 *
 * @throws NotKnown without a motor and a screw
 */
export function cyclesLost(
  t: EvaluationContext,
  shiftUm: number,
  standardUncertaintyUm: number,
): string | null {
  const { verdict, cycles } = inCycles(t, shiftUm, standardUncertaintyUm)
  return verdict === 'steps' && t.part('motor').loop === 'open' ? cyclesWords(cycles) : null
}

/** Cycles in words. @example cyclesWords(-2) // '2 whole cycles of its motor, so it lost 8 full steps' */
export const cyclesWords = (cycles: number): string => {
  const many = Math.abs(cycles)
  return `${many} whole ${many === 1 ? 'cycle' : 'cycles'} of its motor, so it lost ${STEPS_OF_CYCLE * many} full steps`
}
