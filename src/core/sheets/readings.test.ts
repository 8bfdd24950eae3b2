import fc from 'fast-check'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { numbered } from '../field/field'
import { CATALOGUE } from '../machine/parts'
import { evaluateAxis } from './evaluateAxis'
import type { ReversalTest } from './reversal/model'
import type { AlignRound } from './screwLine/model'

// What is read from gauges, judged and put into words.

const [X] = skarrow().job.axes as [Axis]
const SPAN_MM = 500
const find = (axis: Axis, checkId: string, units: 'mm' | 'inch' = 'mm') =>
  evaluateAxis(axis, CATALOGUE, units).findings.find(one => one.checkId === checkId)

describe('lost motion', () => {
  const tested = (approachPositiveUm: number[], approachNegativeUm: number[], targetUm = 30): Axis => {
    const test: ReversalTest = {
      id: 't',
      startedAt: '2026-11-20T10:00:00.000Z',
      finishedAt: null,
      label: 'Test',
      stations: [{ id: 's', positionMm: 120, approachPositiveUm, approachNegativeUm }],
    }
    return { ...X, tests: [test], goals: { ...X.goals, backlashTargetUm: targetUm } }
  }
  const judged = (...of: Parameters<typeof tested>) => find(tested(...of), 'prove.reversal')

  test('is not judged before a test, and asks for readings before there are two from each side', () => {
    expect(find({ ...X, tests: [] }, 'prove.reversal')).toBeUndefined()
    for (const readings of [[], [1]])
      expect(judged(readings, [20, 21])).toMatchObject({
        state: 'unknown',
        sentence: 'Read at least one station twice from either side.',
      })
  })

  test('holds or fails only where twice the uncertainty leaves no doubt', () => {
    // Readings a micrometre about their means, 10 and 40 apart.
    expect(judged([0, 1, -1, 0], [10, 11, 9, 10])?.state).toBe('holds')
    expect(judged([0, 1, -1, 0], [40, 41, 39, 40])?.state).toBe('fails')
    expect(judged([0, 1, -1, 0], [40, 41, 39, 40])?.sentence).toMatch(
      /^A reversal loses 40 µm ± [\d.]+ µm at 120 mm, more than the 30 µm accepted\.$/,
    )
  })

  test('in between asks for as many readings as would settle it, or says that none would', () => {
    const asked = judged([0, 6, -6], [24, 30, 18])
    expect(asked?.state).toBe('unknown')
    const more = Number(/Take (\d+) more reading/.exec(asked?.sentence ?? '')?.[1])
    expect(more).toBeGreaterThan(0)
    // As many again, spread alike: the answer is settled.
    const times = Math.ceil((3 + more) / 3)
    const again = (readings: number[]) => Array.from({ length: times }, () => readings).flat()
    expect(judged(again([0, 6, -6]), again([24, 30, 18]))?.state).toBe('holds')
    expect(judged([0, 6, -6], [29.9, 35.9, 23.9])).toMatchObject({ state: 'close' })
  })

  test('alike readings are not taken for certainty: the gauge is coarse', () => {
    expect(judged([0, 0, 0], [10, 10, 10])?.sentence).toContain('the gauge is coarser than the spread')
    expect(judged([0, 1, 0], [10, 10, 11])?.sentence).not.toContain('coarser')
  })

  test('does not hang on where the gauge was set to zero, nor on the order of the readings', () => {
    const some = fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 2, maxLength: 8 })
    fc.assert(
      fc.property(some, some, fc.integer({ min: -500, max: 500 }), (up, down, zero) => {
        const shifted = (all: number[]) => all.map(one => one + zero)
        const plain = judged(up, down)
        for (const other of [
          judged(shifted(up), shifted(down)),
          judged(up.toReversed(), down.toReversed()),
        ]) {
          expect(other?.state).toBe(plain?.state)
          expect(other?.figure?.value).toBeCloseTo(plain?.figure?.value ?? 0, 9)
        }
      }),
    )
  })

  test('is never better when less is accepted', () => {
    const order = ['holds', 'unknown', 'close', 'fails']
    const settled = (targetUm: number) => {
      const state = judged([0, 2, -2, 1], [20, 23, 18, 21], targetUm)?.state ?? ''
      // Asking for more and saying that no more would tell are both doubt.
      return state === 'close' ? 1 : order.indexOf(state)
    }
    for (let targetUm = 6; targetUm < 40; targetUm += 0.5)
      expect(settled(targetUm)).toBeGreaterThanOrEqual(settled(targetUm + 0.5))
  })
})

describe('the screw line', () => {
  const read = (
    stations: [positionMm: number, heightUm: number | null, sideUm: number | null][],
    targetUm = 20,
  ): Axis => {
    const round: AlignRound = {
      id: 'r',
      startedAt: '2026-11-20T10:00:00.000Z',
      finishedAt: null,
      clampedAtMm: 100,
      stations: numbered(
        'place',
        stations.map(([positionMm, heightUm, sideUm]) => ({ positionMm, heightUm, sideUm })),
      ),
    }
    return {
      ...X,
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
      state: 'close',
      sentence: 'Lower the far block by 40 µm: more than the 20 µm accepted.',
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
      sentence:
        'Shift the fixed block away from you by 30 µm; Shift the far block towards you by 120 µm: more than the 20 µm accepted.',
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
