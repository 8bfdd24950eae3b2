import { calculation } from '../calculation/calculation'
import { list, smallLength } from '../field/field'

/**
 * What a play makes of a command: it follows only where an edge of the play pushes it.
 *
 * @param at where the driven side stands
 * @param low the command less what is lost when it is pushed on
 * @param high the command plus what is lost when it is pulled back
 * @returns where the driven side stands then, in the unit of the command
 * @example playStep(0, 18, 28) // 18
 */
export const playStep = (at: number, low: number, high: number): number => Math.min(high, Math.max(low, at))

/**
 * Where a side that is driven through a play stands after each command, from rest at 0 with the play even on both sides.
 *
 * @example simPlay({ playUm: 10, commandUm: [20, 18, 5, 30] }).positionUm // [15, 15, 10, 25]
 */
export const simPlay = calculation({
  id: 'sim.play',
  title: 'Motion through a play',
  formula: 'y = min(x + r, max(x - r, y)), r = play / 2, from y = 0',
  source: 'The play operator (Krasnoselskii and Pokrovskii); plays in series add',
  validity: 'Slow motion; a spring with Coulomb friction behind it is a play of 2 F / k',
  inputs: {
    playUm: smallLength('play', { min: 0 }, { symbol: 'p' }),
    commandUm: list('commands', smallLength('command', {}, { symbol: 'x' }), 1),
  },
  outputs: { positionUm: list('positions', smallLength('position', {}, { symbol: 'y' }), 1) },
  compute({ playUm, commandUm }) {
    const half = playUm / 2
    let at = 0
    return {
      positionUm: commandUm.map(command => {
        at = playStep(at, command - half, command + half)
        return at
      }),
    }
  },
})
