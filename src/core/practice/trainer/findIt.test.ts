import { FAULTS } from '../../sheets/findFault/table'
import type { CheckName, FaultId } from '../../sheets/findFault/words'
import { madeChecks, searchExercise, searchVerdict } from './findIt'

const SEEDS = [1, 2, 3, 4]

test.each(SEEDS)(
  'exercise %i hides a fault that is found by the way of the sheet, and told only in the end',
  seed => {
    const exercise = searchExercise(seed)
    expect(searchExercise(seed)).toEqual(exercise)
    const names = exercise.faults.map(({ name }) => name)
    const { best, bestMinutes, fault } = searchVerdict(seed, [], exercise.faults[0]?.id as FaultId)
    expect(names).toContain(fault)
    expect(JSON.stringify({ ...exercise, faults: [] })).not.toContain(fault)
    const asked = exercise.checks.map(({ check }) => check)
    for (const { check } of best) expect(asked).toContain(check)
    const checks = best.map(({ check }) => check)
    const right = FAULTS.map(({ id }) => id).find(id => searchVerdict(seed, checks, id).wasRight) as FaultId
    const verdict = searchVerdict(seed, checks, right)
    expect(verdict).toMatchObject({ wasRight: true, named: fault, minutes: bestMinutes, way: best })
    expect(verdict.way.at(-1)).toMatchObject({ likeliest: fault })
    expect(verdict.way.at(-1)?.probability).toBeGreaterThan(0.9)
  },
)

test('every check costs its minutes, in whatever order it is made, and comes out as it did', () => {
  const { checks } = searchExercise(2)
  const [first, second] = checks.map(({ check }) => check) as [CheckName, CheckName]
  const [one, other] = [madeChecks(2, [first, second]), madeChecks(2, [second, first])]
  expect(one[0]).toMatchObject({ check: first, outcome: other[1]?.outcome })
  const minutes = (all: typeof one) => all.reduce((sum, step) => sum + step.minutes, 0)
  expect(minutes(one)).toBe(minutes(other))
  expect(minutes(one)).toBe(checks.slice(0, 2).reduce((sum, check) => sum + check.minutes, 0))
})

test('who names another fault is told which it was', () => {
  const { faults } = searchExercise(3)
  const wrong = faults.map(({ id }) => searchVerdict(3, [], id)).filter(({ wasRight }) => !wasRight)
  expect(wrong).toHaveLength(faults.length - 1)
  for (const { mend, named, fault } of wrong) {
    expect(named).not.toBe(fault)
    expect(mend.length).toBeGreaterThan(20)
  }
})
