import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { numbered } from '../field/field'
import { catalogueOf } from '../machine/parts'
import { between, compensationOf } from '../sheets/compensation/calculation'
import { evaluateAxis } from '../sheets/evaluateAxis'
import type { FullTest } from '../sheets/fullTest/model'
import { compensable } from './compensable'

const { job } = skarrow()
const [X] = job.axes as [Axis]
const [demo] = X.fullTests as [FullTest]
const of = (change: Partial<Axis>) =>
  compensable(evaluateAxis({ ...X, pushRounds: [], ...change }, catalogueOf(job), 'mm'))
/** A test of an axis whose play is what it is at each target, about an error that grows along the travel. */
const tested = (playsUm: number[]): FullTest => ({
  ...demo,
  targets: numbered(
    'target',
    playsUm.map((playUm, index) => ({
      targetMm: 100 * index,
      positiveUm: [0, 1, 0, -1, 0].map(more => 4 * index + playUm / 2 + more),
      negativeUm: [0, 1, 0, -1, 0].map(more => 4 * index - playUm / 2 + more),
    })),
  ),
})

test('play that is alike all along is taken out, with what is not read yet beside it', () => {
  const found = of({ fullTests: [tested([10, 10, 10, 10, 10])] })
  if (!found.ok) throw new Error(found.why)
  expect(found.figures.backlashUm).toBeCloseTo(10, 9)
  expect(found.figures.corrections).toHaveLength(21)
  // What is off by 4 um at 100 mm is put right by as much the other way.
  expect(found.figures.corrections[5]).toEqual({ positionMm: 100, correctionUm: -4 })
  expect(found.figures.residualUm).toBeLessThan(1e-9)
  expect(found.untested).toContain('push and pull')
})

test('play that varies along the travel, is pushed through by force, or was not tested in full is refused with the reason', () => {
  const refused = (change: Partial<Axis>) => {
    const found = of(change)
    return found.ok ? 'taken' : found.why
  }
  expect(refused({ fullTests: [tested([10, 10, 40, 10, 10])] })).toContain(
    'varies along the travel, from 10 µm to 40 µm',
  )
  expect(refused({ fullTests: [tested([10, 10])] })).toContain('five targets')
  expect(refused({ fullTests: [] })).toContain('Run a full test first')
  expect(refused({ pushRounds: X.pushRounds, fullTests: [tested([10, 10, 10, 10, 10])] })).toContain(
    'Something is loose: play of 34 µm',
  )
  // More than is accepted, and nobody has looked what it does under force.
  expect(refused({ fullTests: [tested([45, 45, 45, 45, 45])] })).toContain('Push and pull first')
  const slipped = tested([10, 10, 10, 10, 10])
  const [first, ...rest] = slipped.targets
  if (!first) throw new Error('no target')
  const odd = { ...slipped, targets: [{ ...first, positiveUm: [5, 6, 5, 4, 500] }, ...rest] }
  expect(refused({ fullTests: [odd] })).toContain('stands apart')
})

test('play that is another one fast than slow is refused with the reason', () => {
  const mannered = (lostUm: number, feedMmPerMin: number, id: string) => ({
    ...(X.tests[0] as Axis['tests'][number]),
    id,
    feedMmPerMin,
    stations: numbered('s', [
      {
        positionMm: 120,
        approachPositiveUm: [lostUm, lostUm + 1, lostUm, lostUm + 1, lostUm],
        approachNegativeUm: [0, 1, 0, 1, 0],
      },
    ]),
  })
  const fullTests = [tested([10, 10, 10, 10, 10])]
  const found = of({ fullTests, tests: [mannered(10, 100, 'slow'), mannered(40, 3000, 'fast')] })
  expect(found.ok ? 'taken' : found.why).toContain('The play changes with the feed')
  const alike = of({ fullTests, tests: [mannered(10, 100, 'slow'), mannered(10, 3000, 'fast')] })
  expect(alike.ok && alike.untested).not.toContain('feed')
})

test('the grid is straight between targets, flat beyond them, and ends before the last where it does not divide', () => {
  const line = [
    { positionMm: 0, um: 0 },
    { positionMm: 10, um: 5 },
  ]
  expect([-3, 0, 4, 10, 99].map(mm => between(line, mm))).toEqual([0, 0, 2, 5, 5])
  const positions = [0, 50].map(targetMm => ({
    targetMm,
    positiveUm: [targetMm / 10],
    negativeUm: [targetMm / 10],
  }))
  const { corrections } = compensationOf({ positions, spacingMm: 20 })
  expect(corrections.map(({ positionMm }) => positionMm)).toEqual([0, 20, 40])
  expect(() => compensationOf({ positions, spacingMm: 0.001 })).toThrow(
    'spacingMm: got 0.001, takes a grid of',
  )
  const twice = [positions[0], positions[0]] as typeof positions
  expect(() => compensationOf({ positions: twice, spacingMm: 20 })).toThrow('targets at different places')
})
