import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { numbered } from '../field/field'
import { catalogueOf } from '../machine/parts'
import { between, compensationOf } from '../sheets/compensation/calculation'
import { evaluateAxis } from '../sheets/evaluateAxis'
import type { FullTest } from '../sheets/fullTest/model'
import { BEGUN } from '../sheets/shared/strained/strained'
import { compensable } from './compensable'

const { job } = skarrow()
const [X] = job.axes as [Axis]
const [demo] = X.fullTests as [FullTest]
const LEAD_MM = catalogueOf(job).screw.get(X.parts.screw ?? '')?.leadMm ?? Number.NaN
/** Eight places over two turns of the screw, at which it is so far ahead; the first is read again at the end. */
const turn = (
  offUm: (turns: number) => number,
  gaugeMore: 'up' | 'down' | null = 'up',
): Axis['waveRounds'] => [
  {
    ...BEGUN,
    id: 'wave',
    screw: 'first',
    gaugeMore,
    stations: numbered(
      'place',
      [...Array.from({ length: 16 }, (_, index) => index / 8), 0].map(turns => ({
        positionMm: 100 + LEAD_MM * turns,
        deviationUm: Math.round(offUm(turns)),
      })),
    ),
  },
]
const EVEN = turn(turns => (turns % 0.25 === 0 ? 0 : 1))
const of = (change: Partial<Axis>) =>
  compensable(evaluateAxis({ ...X, pushRounds: [], waveRounds: EVEN, ...change }, catalogueOf(job), 'mm'))
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
  expect(found.backlashUm).toBeCloseTo(10, 9)
  expect(found.figures.corrections).toHaveLength(21)
  // The gauge reads more as the slide goes down: at 100 mm it stands 4 um low, and is sent on by as much.
  expect(found.figures.corrections[5]?.correctionUm).toBeCloseTo(4, 0)
  expect(found.leftUm).toBeLessThan(2)
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

describe('the signs of what is entered', () => {
  const play = tested([10, 10, 10, 10, 10])
  /** The same axis, read by a gauge on the other side of its slide. */
  const turnedOver: FullTest = {
    ...play,
    gaugeMore: 'up',
    targets: play.targets.map(one => ({
      ...one,
      positiveUm: one.positiveUm.map(um => -um),
      negativeUm: one.negativeUm.map(um => -um),
    })),
  }

  test('are the same whichever way the gauge stood', () => {
    const [down, up] = [of({ fullTests: [play] }), of({ fullTests: [turnedOver] })]
    if (!down.ok || !up.ok) throw new Error('refused')
    expect(up.backlashUm).toBeCloseTo(down.backlashUm, 9)
    for (const [index, { correctionUm }] of up.figures.corrections.entries())
      expect(correctionUm).toBeCloseTo(down.figures.corrections[index]?.correctionUm as number, 9)
  })

  test.each([
    [
      'nobody noted which way the gauge reads',
      { fullTests: [{ ...play, gaugeMore: null }] },
      'which way its gauge reads more',
    ],
    [
      'it reads as if the slide went too far',
      { fullTests: [{ ...play, gaugeMore: 'up' as const }] },
      'a slide always comes short',
    ],
    ['nobody knows what a turn adds', { fullTests: [play], waveRounds: [] }, 'Read One turn first'],
    [
      'a jump was taken out',
      {
        fullTests: [
          { ...play, shifts: [{ id: 's', run: 1, way: 'positiveUm' as const, targetMm: 0, byUm: 0 }] },
        ],
      },
      'A jump was taken out',
    ],
  ])('are not given where %s', (_, change, why) => {
    const found = of(change)
    expect(found.ok ? 'given' : found.why).toContain(why)
  })
})

describe('what a turn of the screw adds', () => {
  const AMPLITUDE_UM = 18
  const wave = (positionMm: number) => AMPLITUDE_UM * Math.cos((2 * Math.PI * positionMm) / LEAD_MM)
  /** A screw that is true but for its turns, read at targets that stand at any angle of it. */
  const wavy = (gaugeMore: 'up' | 'down'): FullTest => ({
    ...demo,
    gaugeMore,
    targets: numbered(
      'target',
      [5, 72.45, 141.8, 206.16, 270.52].map(targetMm => {
        const sign = gaugeMore === 'up' ? 1 : -1
        const at = (more: number) => sign * (wave(targetMm) + more)
        return {
          targetMm,
          positiveUm: [0, 1, 0, -1, 0].map(more => at(more - 5)),
          negativeUm: [0, 1, 0, -1, 0].map(more => at(more + 5)),
        }
      }),
    ),
  })
  /** How far the axis stands apart from one end of its travel to the other, with a table in. */
  const afterwards = (corrections: readonly { positionMm: number; correctionUm: number }[]) => {
    const grid = corrections.map(({ positionMm, correctionUm }) => ({ positionMm, um: correctionUm }))
    const all = Array.from({ length: 2000 }, (_, index) => 5 + (265.52 * index) / 1999).map(
      mm => wave(mm) + between(grid, mm),
    )
    return Math.max(...all) - Math.min(...all)
  }

  test('is left out of the table, and what is promised holds everywhere between the targets', () => {
    for (const gaugeMore of ['up', 'down'] as const) {
      const waveRounds = turn(turns => (gaugeMore === 'up' ? 1 : -1) * wave(100 + LEAD_MM * turns), gaugeMore)
      const found = of({
        fullTests: [wavy(gaugeMore)],
        waveRounds,
        goals: { ...X.goals, accuracyTargetUm: 100 },
      })
      if (found.ok) expect(afterwards(found.figures.corrections)).toBeLessThanOrEqual(found.leftUm + 1)
      // Nothing but the turn is there to be taken out: a table would be for nothing.
      else expect(found.why).toContain('no table takes that out')
    }
  })

  test('stands in what is promised where nobody noted the sign of its gauge', () => {
    const waveRounds = turn(turns => 3 * Math.cos(2 * Math.PI * turns), null)
    const found = of({ fullTests: [tested([10, 10, 10, 10, 10])], waveRounds })
    if (!found.ok) throw new Error(found.why)
    expect(found.leftUm).toBeGreaterThan(7.9)
    expect(found.said).toContain('nobody noted which way')
  })
})
