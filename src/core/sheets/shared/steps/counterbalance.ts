import type { Axis } from '../../../document/axis'
import type { EvaluationContext } from '../../../evaluation/context'
import { say } from '../../../units/print'
import { loadWord, mayFall } from './lifting'
import { step, type Written } from './step'

type Balanced = Pick<Axis, 'counterbalance' | 'dimensions'>

/** Whether something takes weight off the axis, or is to. */
export const hasCounterbalance = ({ counterbalance, dimensions }: Balanced): boolean =>
  counterbalance.kind !== null || (dimensions.counterbalanceN.value ?? 0) > 0

/** What a counterbalance to be fitted is, in the words of an order. */
const BOUGHT: Readonly<Record<'springs' | 'gas-spring' | 'weights', string>> = {
  springs: 'Springs for the counterbalance, together',
  'gas-spring': 'Gas spring with its end fittings and studs',
  weights: 'Weights with chain, wheels and a guide for the counterbalance, together',
}

/** What a counterbalance that is chosen and not there yet needs bought. */
export function counterbalanceOrders({ counterbalance: { kind, toFit }, dimensions }: Axis): {
  key: string
  what: string
  count: number
}[] {
  const forceN = dimensions.counterbalanceN.value ?? 0
  if (!toFit || forceN <= 0) return []
  const which = kind ?? 'gas-spring'
  return [
    {
      key: `balance:${which} ${Math.round(forceN)}`,
      what: `${BOUGHT[which]}, ${Math.round(forceN)} N`,
      count: 1,
    },
  ]
}

/** The counterbalance in, where it is new, and loaded with its force read: until then nothing may count on it. */
export function counterbalanceIn({ axis, units }: EvaluationContext): Written[] {
  if (!mayFall(axis) || !hasCounterbalance(axis)) return []
  const { kind, toFit } = axis.counterbalance
  const load = loadWord(axis)
  const forceN = axis.dimensions.counterbalanceN.value
  const wanted = forceN === null ? 'what was chosen' : say(forceN, 'force', units)
  const how: Record<'springs' | 'gas-spring' | 'weights', string> = {
    springs: `Tension the springs by their own adjuster until they lift with ${wanted}.`,
    'gas-spring': `Its ends onto their studs where it is longest. Its force cannot be set: one that does not lift with ${wanted} is exchanged.`,
    weights: `Hang the weights on their chain, both wheels turning freely: they lift with ${wanted}.`,
  }
  return [
    ...(toFit
      ? [
          step(
            'balance-fit',
            'Fit the counterbalance, not loaded yet',
            `Its fixing to the column and to the ${load}, in line with the travel, with room to the end of its stroke at both ends.`,
            {
              hold: true,
              keepsSafe: true,
              load: 'fits',
              tools: ['hex keys', 'drill and tap'],
              caution: `The ${load} stays on its block and hoist. Never drill into a gas spring, and never heat it.`,
            },
          ),
        ]
      : []),
    step(
      'balance-loaded',
      'Load the counterbalance, and read its force',
      `${kind ? how[kind] : how.springs} Read it with the spring scale at both ends of the travel, and enter it under Survey: nothing is counted on before.`,
      {
        hold: true,
        keepsSafe: true,
        load: 'fits',
        tools: ['spring scale', 'spanner'],
        restsOn: toFit ? ['balance-fit'] : [],
        asks: { measured: ['counterbalanceN', 'counterbalanceSpreadN', 'lightestMassKg'] },
        caution: `A loaded spring flies when its pin slips, and too strong a one runs the ${load} up: stand to the side, the way locked.`,
      },
    ),
  ]
}
