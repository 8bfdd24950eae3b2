import type { EvaluationContext } from '../../../evaluation/context'
import { say } from '../../../units/print'
import { byHand } from './lifting'
import { step, type Written } from './step'

/**
 * How far the two diagonals of a gantry may differ so that one end leads the other by no more than is accepted.
 *
 * @example diagonalsMayDifferMm({ lengthMm: 2440, apartMm: 1240, rackingMm: 0.2 }) // 0.357
 */
export const diagonalsMayDifferMm = ({
  lengthMm,
  apartMm,
  rackingMm,
}: {
  lengthMm: number
  apartMm: number
  rackingMm: number
}): number => (2 * lengthMm * rackingMm) / Math.hypot(lengthMm, apartMm)

/** The steps of one screw of two: with the number of the screw behind each id, and resting on steps of the same screw. */
export const forScrew = (steps: readonly Written[], screw: 1 | 2): Written[] => {
  const own = new Set(steps.map(({ id }) => id))
  const name = (id: string) => (own.has(id) && screw === 2 ? `${id}.2` : id)
  return steps.map(one => {
    const { verdicts, ...asks } = one.asks ?? {}
    return {
      ...one,
      id: name(one.id),
      title: `${one.title}, ${screw === 1 ? 'first' : 'second'} screw`,
      screw,
      restsOn: one.restsOn.map(name),
      ...(one.lockedBy && { lockedBy: one.lockedBy.map(name) }),
      // Readings of an axis are kept for its first screw.
      ...(one.asks && { asks: { ...asks, ...(screw === 1 && verdicts && { verdicts }) } }),
    }
  })
}

/** Both screws of a gantry: square, then coupled, and never one alone from then on. */
export function squareAndCouple({ axis, units }: EvaluationContext): Written[] {
  if (axis.drive.screws === 1) return []
  const lengthMm = axis.dimensions.wayTravelMm.value
  const differMm =
    lengthMm === null
      ? null
      : diagonalsMayDifferMm({
          lengthMm,
          apartMm: axis.driveSizes.screwSpacingMm,
          rackingMm: axis.goals.rackingTargetUm / 1000,
        })
  return [
    ...byHand(
      axis,
      'turn one screw',
      step(
        'square',
        'Square the gantry',
        `Measure both diagonals of the frame from the same points of the gantry, at one end of the travel. Turn one screw by hand until they differ by no more than ${
          differMm === null ? 'what the goals allow' : say(differMm, 'length', units)
        }: then one end leads the other by at most ${say(axis.goals.rackingTargetUm, 'smallLength', units)}.`,
        {
          hold: true,
          tools: ['tape measure', 'trammel or long rule'],
          caution: 'Turn a little at a time: a gantry that is forced out of square bends its carriages.',
        },
      ),
    ),
    step(
      'couple',
      'Couple the two screws',
      'Mark both ends at the same place. From now on both turn together, by one belt or by two motors on one signal; home each side to its own switch.',
      { hold: true, load: 'frees', restsOn: ['square'], tools: ['paint pen'] },
    ),
    ...byHand(
      axis,
      'run the full travel with both',
      step(
        'square-again',
        'Run the full travel together, and square again',
        'Ten times through by hand, then the diagonals once more. After either screw was turned by itself: home and square again.',
        { hold: true, restsOn: ['couple'], tools: ['tape measure'] },
      ),
    ),
  ]
}
