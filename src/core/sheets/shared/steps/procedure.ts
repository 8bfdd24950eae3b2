import type { Axis } from '../../../document/axis'
import { type EvaluationContext, remembered } from '../../../evaluation/context'
import { SHEET_STEPS } from '../../steps.generated'
import { thingsOf } from './bags'
import { driveEnd } from './driveEnd'
import { finish, firstMoves, proof, wiring } from './finish'
import { withMishaps } from './mishaps'
import { bearingBlock, loose, screwAndNut } from './prepare'
import { setTrue, tighten } from './setTrue'
import { type Added, chosenParts, type Step, type Written } from './step'
import { SUB_ASSEMBLY_IDS, type SubAssembly } from './subAssemblies'
import { takeApart } from './takeApart'
import { forScrew, squareAndCouple } from './twoScrews'
import { onItsWays } from './ways'
import { whyOf } from './why'

/** Sub-assemblies that a gantry with two screws has twice. */
const TWICE: ReadonlySet<SubAssembly> = new Set(['block', 'screwNut', 'casting', 'setTrue', 'motor'])

/** Steps as they are written, with what they belong to, their reason, and what they take out of the bags. */
function madeInto(part: SubAssembly, axis: Axis, steps: readonly Written[]): Step[] {
  const things = thingsOf(axis)
  return steps.map(one => {
    const takes = things.filter(({ backAt }) => backAt === one.id).map(({ id }) => id)
    return { ...one, part, why: one.why ?? whyOf(one.id), ...(takes.length > 0 && { takes }) }
  })
}

/** Steps with those that sheets add, each right before the one it names. */
const withSheets = (steps: readonly Written[], added: readonly Added[]): Written[] =>
  steps.flatMap(one => [...added.filter(({ before }) => before === one.id).map(({ step }) => step), one])

/** The steps that take the axis apart: they ask for no part of the new drive. */
export const teardown = remembered(({ axis }): Step[] => madeInto('apart', axis, takeApart(axis)))

/**
 * The ordered steps that take an axis apart and build it from its parts.
 *
 * Everything goes in loose; the nut is clamped against turning; each end is tightened with the nut run up to
 * it, the fixed end first; the motor's face screws go before its shaft screw; a ball nut keeps a stop tie
 * until both ends are in; a head that could fall is carried, hung or locked throughout; threadlocker comes last.
 * Two screws are built one by one, then squared, then coupled. What a mishap asks for comes before the step it happened at.
 *
 * @returns the steps in order, or null while a part is not chosen
 * @example procedure(context)?.[0].id // 'isolate'
 */
export const procedure = remembered((context): Step[] | null => {
  const { axis, catalogue } = context
  const parts = chosenParts(axis, catalogue)
  if (!parts) return null
  const twice = axis.drive.screws === 2
  const { fitting, joining } = driveEnd(parts, context)
  const written: Record<SubAssembly, Written[]> = {
    apart: [],
    block: bearingBlock(context, parts),
    screwNut: screwAndNut(parts),
    ways: onItsWays(context),
    casting: [...loose(axis, parts), ...tighten(context)],
    setTrue: setTrue(context),
    square: squareAndCouple(context),
    motor: fitting,
    wiring: wiring(context),
    moves: firstMoves(context, joining),
    proof: proof(),
    final: finish(context, parts),
  }
  const added = SHEET_STEPS.flatMap(stepsOf => stepsOf(context))
  const steps = SUB_ASSEMBLY_IDS.flatMap(part => {
    const once = withSheets(written[part], added)
    const all = twice && TWICE.has(part) ? [...forScrew(once, 1), ...forScrew(once, 2)] : once
    return part === 'apart' ? teardown(context) : madeInto(part, axis, all)
  })
  return provedWhole(withMishaps(steps, axis))
})

/** Each proof that the load stays rests on everything before it that holds it, and on what frees it in its own sub-assembly. */
const provedWhole = (steps: Step[]): Step[] =>
  steps.map((one, at) =>
    one.provesHold
      ? {
          ...one,
          restsOn: [
            ...one.restsOn,
            ...steps
              .slice(0, at)
              .flatMap(({ id, load, part }) =>
                load === 'fits' || (load === 'frees' && part === one.part) ? [id] : [],
              ),
          ],
        }
      : one,
  )

/** The steps of an axis as far as they are known: while a part is not chosen, those that take it apart. */
export const knownSteps = (context: EvaluationContext): Step[] => procedure(context) ?? teardown(context)
