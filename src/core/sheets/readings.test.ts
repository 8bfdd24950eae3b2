import fc from 'fast-check'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { blankRecord, numbered } from '../field/field'
import { CATALOGUE } from '../machine/parts'
import type { CheckId } from '.'
import { evaluateAxis } from './evaluateAxis'
import type { ReversalTest } from './reversal/model'
import { lineSetting, sagUm } from './screwLine/judgePlane'
import type { AlignRound } from './screwLine/model'
import { NOTHING_NOTED } from './shared/proofs/conditions'
import { UNCERTAINTY } from './shared/proofs/uncertaintyModel'
import { ROUND } from './shared/rounds/model'

// What is read from gauges, judged and put into words.

const [X] = skarrow().job.axes as [Axis]
const SPAN_MM = 500
const find = (axis: Axis, checkId: CheckId, units: 'mm' | 'inch' = 'mm') =>
  evaluateAxis(axis, CATALOGUE, units).findings.find(one => one.checkId === checkId)

describe('lost motion', () => {
  const tested = (approachPositiveUm: number[], approachNegativeUm: number[], targetUm = 30): Axis => {
    const test: ReversalTest = {
      id: 't',
      startedAt: '2026-11-20T10:00:00.000Z',
      finishedAt: null,
      label: 'Test',
      gaugeStepUm: 1,
      ...NOTHING_NOTED,
      stations: [{ id: 's', positionMm: 120, approachPositiveUm, approachNegativeUm }],
    }
    return {
      ...X,
      tests: [test],
      uncertainty: blankRecord(UNCERTAINTY.of),
      goals: { ...X.goals, backlashTargetUm: targetUm },
    }
  }
  const judged = (...of: Parameters<typeof tested>) => find(tested(...of), 'prove.reversal')

  test('is not judged before a test, and asks for readings before there are two from each side', () => {
    expect(find({ ...X, tests: [] }, 'prove.reversal')).toBeUndefined()
    for (const readings of [[], [1]])
      expect(judged(readings, [20, 21])).toMatchObject({
        state: 'unknown',
        sentence: 'Read at least one station 5 times from either side.',
      })
  })

  test('holds or fails only where the uncertainty leaves no doubt', () => {
    // Readings a micrometre about their means, 20 and 40 apart.
    expect(judged([0, 1, -1, 0, 0], [20, 21, 19, 20, 20])?.state).toBe('holds')
    expect(judged([0, 1, -1, 0, 0], [40, 41, 39, 40, 40])?.state).toBe('fails')
    expect(judged([0, 1, -1, 0, 0], [40, 41, 39, 40, 40])?.sentence).toMatch(
      /^A reversal loses 40 µm ± [\d.]+ µm at 120 mm, more than the 30 µm accepted\.$/,
    )
  })

  test('three readings are a look, and in between it asks for as many as would settle it', () => {
    expect(judged([0, 1, -1], [20, 21, 19])?.sentence).toContain(
      'Take 2 more readings from each side: fewer than 5',
    )
    const asked = judged([0, 4, -4, 2, -2], [26, 30, 22, 28, 24])
    expect(asked?.state).toBe('unknown')
    expect(Number(/Take (\d+) more reading/.exec(asked?.sentence ?? '')?.[1])).toBeGreaterThan(0)
    expect(judged([0, 4, -4, 2, -2], [29.9, 33.9, 25.9, 31.9, 27.9])).toMatchObject({ state: 'close' })
  })

  test('without the step of the gauge nothing is said; alike readings are uncertain by it', () => {
    const { tests, ...axis } = tested([0, 0, 0, 0, 0], [20, 20, 20, 20, 20])
    const withStep = (gaugeStepUm: number | null) => ({
      ...axis,
      tests: tests.map(test => ({ ...test, gaugeStepUm })),
    })
    expect(find(withStep(null), 'prove.reversal')).toMatchObject({
      state: 'unknown',
      sentence: 'Enter first: the step of the gauge.',
    })
    // A dial of hundredths: 10 um over the square root of twelve, twice, at 95 %.
    expect(find(withStep(10), 'prove.reversal')?.sentence).toContain('20 µm ± 8 µm')
  })

  test('a reading typed in another unit is no proof: finer than the gauge, or less than friction winds up', () => {
    const thou = judged([0, 0.0254, 0, 0.0254, 0], [0.0254, 0, 0.0254, 0, 0])
    expect(thou).toMatchObject({ state: 'unknown' })
    expect(thou?.sentence).toContain('finer than the gauge can show')
    const little = judged([0, 0, 0, 0, 0], [0, 0, 0, 0, 0])
    expect(little?.state).toBe('unknown')
    expect(little?.sentence).toContain('less than friction alone must wind up')
  })

  test('one slip of typing is named and counts until it is mended', () => {
    const slip = judged([0, 1, 230, 0, -1], [20, 21, 19, 20, 20])
    expect(slip?.state).toBe('unknown')
    expect(slip?.sentence).toContain('Reading 3 coming up to 120 mm, 230 µm, stands apart')
    expect(judged([0, 1, 2, 0, -1], [20, 21, 19, 20, 20])?.state).toBe('holds')
  })

  test('does not hang on where the gauge was set to zero; another order can only raise a question', () => {
    const some = fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 2, maxLength: 8 })
    fc.assert(
      fc.property(some, some, fc.integer({ min: -500, max: 500 }), (up, down, zero) => {
        const shifted = (all: number[]) => all.map(one => one + zero)
        const plain = judged(up, down)
        const rezeroed = judged(shifted(up), shifted(down))
        const reordered = judged(up.toReversed(), down.toReversed())
        expect(rezeroed?.state).toBe(plain?.state)
        // A jump or a drift shows in one order and not in another; it asks, and turns no yes into a no.
        if (reordered?.state !== plain?.state) expect([plain?.state, reordered?.state]).toContain('unknown')
        for (const other of [rezeroed, reordered])
          expect(other?.figure?.value).toBeCloseTo(plain?.figure?.value ?? 0, 9)
      }),
    )
  })

  test('is never better when less is accepted', () => {
    const order = ['holds', 'unknown', 'close', 'fails']
    const settled = (targetUm: number) => {
      const state = judged([0, 2, -2, 1, 0], [20, 23, 18, 21, 20], targetUm)?.state ?? ''
      // Asking for more and saying that no more would tell are both doubt.
      return state === 'close' ? 1 : order.indexOf(state)
    }
    for (let targetUm = 6; targetUm < 40; targetUm += 0.5)
      expect(settled(targetUm)).toBeGreaterThanOrEqual(settled(targetUm + 0.5))
  })
})

describe('the screw line', () => {
  const most = (all: (number | null)[]) =>
    all.flatMap(one => one ?? []).reduce((so, one) => (Math.abs(one) > Math.abs(so) ? one : so), 0)
  const read = (
    stations: [positionMm: number, heightUm: number | null, sideUm: number | null][],
    targetUm = 20,
  ): Axis => {
    const round: AlignRound = {
      id: 'r',
      ...blankRecord(ROUND),
      startedAt: '2026-11-20T10:00:00.000Z',
      screw: 'first',
      clampedAtMm: 100,
      tight: 'both',
      turnedTo: 'mark',
      tipLifted: 'more',
      // A straight screw reads the same half a turn on.
      halfTurnHeightUm: most(stations.map(([, heightUm]) => heightUm)),
      halfTurnSideUm: most(stations.map(([, , sideUm]) => sideUm)),
      gaugeStepUm: 1,
      stations: numbered(
        'place',
        stations.map(([positionMm, heightUm, sideUm]) => ({ positionMm, heightUm, sideUm })),
      ),
    }
    return {
      ...X,
      // Without a screw there is no sag to take out.
      parts: { ...X.parts, screw: null },
      rounds: [round],
      goals: { ...X.goals, alignmentTargetUm: targetUm },
      dimensions: { ...X.dimensions, supportSpanMm: { value: SPAN_MM, provenance: 'measured' } },
    }
  }

  test('needs two places in each plane, each for itself', () => {
    const axis = read([
      [100, 0, 0],
      [400, 12, null],
    ])
    expect(find(axis, 'align.side')).toMatchObject({
      state: 'unknown',
      sentence: 'Read the screw at two or more places in this plane.',
    })
    expect(find(axis, 'align.height')?.state).not.toBe('unknown')
    expect(find({ ...axis, rounds: [] }, 'align.height')).toBeUndefined()
  })

  test('a straight rise is taken out at the blocks, by as much as it is there', () => {
    // Up 30 um from 100 to 400 mm: 0.1 um a millimetre. At the far block, 400 mm on, 40 um high; at the fixed one 10 low.
    const axis = read([
      [100, 0, 0],
      [250, 15, 0],
      [400, 30, 0],
    ])
    const height = find(axis, 'align.height')
    expect(height).toMatchObject({
      state: 'fails',
      sentence: expect.stringMatching(
        /^Lower the far block by 40 µm \(± [\d.]+ µm\): more than the 20 µm accepted\.$/,
      ),
    })
    expect(height?.figure?.value).toBeCloseTo(40, 9)
    expect(find(axis, 'align.side')).toMatchObject({ state: 'holds' })
    expect(find(axis, 'align.height', 'inch')?.sentence).toContain('Lower the far block by 1.57 thou')
  })

  test('both blocks are named where both are out, each with its way', () => {
    const axis = read([
      [100, 0, 0],
      [200, 0, -30],
      [300, 0, -60],
    ])
    // Away by 0.3 um a millimetre: the far block 120 um away, the fixed one 30 um towards the operator.
    expect(find(axis, 'align.side')).toMatchObject({
      state: 'fails',
      sentence: expect.stringMatching(
        /^Shift the fixed block away from you by 30 µm \(.*\); Shift the far block towards you by 120 µm \(.*\): more than the 20 µm accepted\.$/,
      ),
    })
  })

  test('two readings are said to be unchecked, a crooked line gets no advice', () => {
    const two = read([
      [100, 0, 0],
      [400, 9, 0],
    ])
    expect(find(two, 'align.height')?.sentence).toContain('a third would check it')
    const crooked = read([
      [100, 0, 0],
      [250, 90, 0],
      [400, 0, 0],
    ])
    expect(find(crooked, 'align.height')).toMatchObject({ state: 'unknown' })
    expect(find(crooked, 'align.height')?.sentence).toMatch(/^No advice: a reading lies [\d.]+ µm off/)
  })

  test('stations close together do not move a block: their uncertainty decides', () => {
    // Ten micrometres of slip over a hand's width says 50 um at the far block, and does not know it.
    const near = read([
      [100, 0, 0],
      [130, 6, 0],
      [160, -2, 0],
      [190, 5, 0],
    ])
    const height = find(near, 'align.height')
    expect(height?.state).toBe('unknown')
    expect(height?.sentence).toContain('these readings cannot tell. Read at places further apart')
  })

  test('the sag of a healthy long screw is no bend, and a reading finer than the gauge is asked back', () => {
    const long: Axis = {
      ...read([
        [100, 0, 0],
        [700, 0, 0],
      ]),
      parts: X.parts,
      dimensions: { ...X.dimensions, supportSpanMm: { value: 1700, provenance: 'measured' } },
    }
    const setting = lineSetting({ axis: long, catalogue: CATALOGUE }, 1700)
    const places = [150, 500, 900, 1300, 1600]
    const hanging: Axis = {
      ...long,
      rounds: long.rounds.map(round => ({
        ...round,
        stations: numbered(
          'place',
          places.map(positionMm => ({
            positionMm,
            heightUm: Math.round(-sagUm(setting, 100, positionMm)),
            sideUm: 0,
          })),
        ),
      })),
    }
    expect(sagUm(setting, 100, 900)).toBeGreaterThan(500)
    expect(find(hanging, 'align.height')?.state).toBe('holds')
    const fine = read([
      [100, 0, 0],
      [250, 0.0254, 0],
      [400, 3, 0],
    ])
    expect(find(fine, 'align.height')?.sentence).toContain('finer than the gauge can show')
  })

  test('raising every reading alike changes nothing, for the nut is the reference', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -80, max: 80 }), { minLength: 3, maxLength: 6 }),
        fc.integer({ min: -300, max: 300 }),
        (heights, byUm) => {
          const at = (shift: number) =>
            find(read(heights.map((um, index) => [100 + 60 * index, um + shift, 0])), 'align.height')
          expect(at(byUm)?.state).toBe(at(0)?.state)
          expect(at(byUm)?.figure?.value ?? -1).toBeCloseTo(at(0)?.figure?.value ?? -1, 6)
        },
      ),
    )
  })
})
