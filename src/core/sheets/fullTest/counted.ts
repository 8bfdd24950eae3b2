import type { Stop } from './course'
import type { FullTest, Target } from './model'

// What counts of a test: its readings as they were taken, less the jumps that were taken out of those after them.

type Shift = FullTest['shifts'][number]
type Place = Pick<Stop, 'run' | 'way' | 'targetMm'>

/** Whether a reading is taken after the beginning of a jump, or is the first of it, in the order in which the axis moves. */
function isFrom({ run, way, targetMm }: Place, shift: Shift): boolean {
  if (run !== shift.run) return run > shift.run
  if (way !== shift.way) return way === 'negativeUm'
  return way === 'positiveUm' ? targetMm >= shift.targetMm : targetMm <= shift.targetMm
}

/** What a reading counts for less than it was read, um. */
export const shiftOf = ({ shifts }: Pick<FullTest, 'shifts'>, place: Place): number =>
  shifts.reduce((sum, shift) => sum + (isFrom(place, shift) ? shift.byUm : 0), 0)

/**
 * A test as it counts; the readings themselves stay as they were typed.
 *
 * @returns the same test where nothing was taken out
 */
export function counted<T extends Pick<FullTest, 'shifts' | 'targets'>>(test: T): T {
  if (test.shifts.length === 0) return test
  const of = (target: Target, way: Stop['way']) =>
    target[way].map((um, run) => um - shiftOf(test, { run, way, targetMm: target.targetMm }))
  return {
    ...test,
    targets: test.targets.map(target => ({
      ...target,
      positiveUm: of(target, 'positiveUm'),
      negativeUm: of(target, 'negativeUm'),
    })),
  }
}
