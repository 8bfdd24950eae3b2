import { bestPlan } from './best'
import { enumerated } from './fixtures/enumerated'
import { randomPlan } from './fixtures/randomPlans'
import { problemOf } from './problem'

const summary = (tasks: Parameters<typeof problemOf>[0], windows: Parameters<typeof problemOf>[1]) => {
  const outcome = bestPlan(problemOf(tasks, windows))
  if (outcome.kind !== 'plan') return null
  const { finishMinute, handsMinutes } = outcome.plan
  expect(outcome.proved).toBe(true)
  expect(outcome.boundMinute).toBe(finishMinute)
  return { finishMinute, handsMinutes }
}

test('on 500 random plans of up to six tasks the best plan is the one that trying everything finds', () => {
  let impossible = 0
  for (let seed = 0; seed < 500; seed++) {
    const { tasks, windows } = randomPlan(seed, 2 + (seed % 5))
    const expected = enumerated(tasks, windows)
    if (!expected) impossible++
    expect({ seed, plan: summary(tasks, windows) }).toEqual({ seed, plan: expected })
  }
  expect(impossible).toBeGreaterThan(3)
  expect(impossible).toBeLessThan(250)
})
