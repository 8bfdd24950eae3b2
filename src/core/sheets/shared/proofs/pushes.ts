import { GRAVITY_M_PER_S2, radians } from '../../../calculation/constants'
import type { Axis } from '../../../document/axis'
import { attempt } from '../../../evaluation/attempt'
import type { Say } from '../../../evaluation/check'
import type { EvaluationContext } from '../../../evaluation/context'
import { forces, weightAlongN } from '../../../machine/drive/load'

/** From this share of the friction on a weight decides which flank the drive stands on. */
const WEIGHS_SHARE = 0.5

/**
 * Why a push to and fro tells nothing: it does not get past the friction of the slide, or does not lift what hangs on it.
 *
 * @param leastN the least that was pushed and pulled with
 * @returns null where it gets past both, as far as they are known
 */
export function notPushedThrough(t: EvaluationContext, leastN: number, say: Say): string | null {
  const frictionN = attempt(() => forces(t).frictionN).value ?? 0
  const weightN = Math.abs(attempt(() => weightAlongN(t)).value ?? 0)
  if (weightN > WEIGHS_SHARE * frictionN && leastN <= frictionN + weightN)
    return `${say(leastN, 'pull', 0)} do not move the slide both ways: ${say(weightN, 'pull', 0)} of weight and ${say(frictionN, 'pull', 0)} of friction hold it on one side of its play. Push and pull harder than both together, with a lever and the scale between, and with a block under it against falling.`
  if (leastN <= frictionN)
    return `A push of ${say(leastN, 'pull')} does not get past the friction of the slide, ${say(frictionN, 'pull', 0)}: the play may stand where it stood. Push harder, the least twice as hard as that.`
  return null
}

/** What a hand has to get past before a slide moves, as far as Survey knows it: what it rubs, and what its weight pulls along it. */
export function holdsSlideN({ dimensions }: Axis): number {
  const { movingMassKg, frictionCoefficient, dragN, inclineDeg, counterbalanceN } = dimensions
  const massN = (movingMassKg.value ?? 0) * GRAVITY_M_PER_S2
  const incline = radians(inclineDeg.value ?? 0)
  const rubsN = massN * Math.cos(incline) * (frictionCoefficient.value ?? 0) + (dragN.value ?? 0)
  return rubsN + Math.abs(massN * Math.sin(incline) - (counterbalanceN.value ?? 0))
}
