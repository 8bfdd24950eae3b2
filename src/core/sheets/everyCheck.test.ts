import fc from 'fast-check'
import { runs } from '../calculation/fixtures/runs'
import type { Axis } from '../document/axis'
import type { State } from '../evaluation/finding'
import { remedied } from '../evaluation/remedy'
import { CATALOGUE } from '../machine/parts'
import { CHECKS, evaluateAxis } from './evaluateAxis'
import { STRAINED } from './fixtures/strained.generated'
import { DEMO_AXES, strained } from './fixtures/strainedAxes'
import { strainedMaking } from './fixtures/strainedMaking'
import { remediesFor } from './remediesFor'

// Each check must be seen to hold, to be close where it can be, and to fail; and it must have a way out that works.

const STATES = new Map(STRAINED.flatMap(({ states }) => Object.entries(states)))
const BY_HAND: ReadonlySet<string> = new Set(STRAINED.flatMap(({ byHand = [] }) => byHand))

test('no check is left out', () => {
  expect([...STATES.keys()].toSorted()).toEqual([...CHECKS.keys()].toSorted())
})

const seen = new Map<string, Partial<Record<State, Axis[]>>>()
for (const axis of [
  ...DEMO_AXES,
  ...fc.sample(strained, { numRuns: runs(6000, 1700), seed: 20_261_125 }),
  ...fc.sample(strainedMaking, { numRuns: runs(1500, 400), seed: 20_261_126 }),
])
  for (const { checkId, state } of evaluateAxis(axis, CATALOGUE, 'mm').findings) {
    const states = seen.get(checkId) ?? {}
    const examples = states[state] ?? []
    if (examples.length < 20) examples.push(axis)
    states[state] = examples
    seen.set(checkId, states)
  }

test.each([...STATES])('%s is seen in every state that it knows', (checkId, wanted) => {
  expect(Object.keys(seen.get(checkId) ?? {})).toEqual(expect.arrayContaining([...wanted]))
})

const MENDABLE = [...CHECKS.keys()].filter(id => !BY_HAND.has(id))
test.each(MENDABLE)('%s has a way out that makes it hold', checkId => {
  const broken = [...(seen.get(checkId)?.fails ?? []), ...(seen.get(checkId)?.close ?? [])]
  const mended = broken.some(axis =>
    remediesFor(axis, CATALOGUE, 'mm', checkId).some(remedy => {
      const { state } = remedy
      const after = evaluateAxis(remedied(axis, remedy), CATALOGUE, 'mm').findings
      const now = after.find(finding => finding.checkId === checkId)?.state ?? 'holds'
      expect(now).toBe(state)
      return now === 'holds'
    }),
  )
  expect(mended).toBe(true)
})

test('a margin of 1 is where a check begins to hold', () => {
  for (const axis of DEMO_AXES)
    for (const { state, margin } of evaluateAxis(axis, CATALOGUE, 'mm').findings)
      if (margin !== null) expect(margin >= 1 - 1e-9).toBe(state === 'holds')
})
