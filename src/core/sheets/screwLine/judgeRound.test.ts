import fc from 'fast-check'
import { numbered } from '../../field/field'
import { screwLine } from './calculation'
import { judgePlane, worstCorrectionUm } from './judgeRound'
import type { AlignRound } from './model'

const round = (heights: [number, number | null][], clampedAtMm = 50): AlignRound => ({
  id: 'r',
  startedAt: '',
  finishedAt: null,
  clampedAtMm,
  stations: numbered(
    'place',
    heights.map(([positionMm, heightUm]) => ({ positionMm, heightUm, sideUm: null })),
  ),
})
const judge = (heights: [number, number | null][], targetUm = 20) =>
  judgePlane(round(heights), 'height', 500, targetUm)

test('a far block that stands low must come up by what the line says', () => {
  const advice = judge([
    [50, 0],
    [250, -40],
    [450, -80],
  ])
  expect(advice).toMatchObject({ kind: 'move', unchecked: false, moves: [{ block: 'far' }] })
  if (advice.kind === 'move') expect(advice.moves[0]?.moveUm).toBeCloseTo(90, 9)
})

test('readings that lie on no line give no advice', () => {
  expect(
    judge([
      [50, 0],
      [250, 90],
      [450, 10],
    ]).kind,
  ).toBe('poor')
})

test('two readings give advice that nothing checks; one gives none', () => {
  expect(
    judge([
      [50, 0],
      [450, -80],
    ]),
  ).toMatchObject({ kind: 'move', unchecked: true })
  expect(
    judge([
      [50, 0],
      [450, null],
    ]),
  ).toEqual({ kind: 'too-few', readings: 1 })
  expect(
    judge([
      [50, 0],
      [50, 3],
    ]),
  ).toEqual({ kind: 'too-few', readings: 2 })
})

test('within the target both blocks stay', () => {
  expect(
    judge([
      [50, 0],
      [250, 4],
      [450, 9],
    ]).kind,
  ).toBe('in-line')
  expect(
    judge(
      [
        [50, 0],
        [250, 4],
        [450, 9],
      ],
      5,
    ).kind,
  ).toBe('move')
})

test('zeroing the indicator elsewhere changes nothing; following the advice brings the next round to zero', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -200, max: 200, noNaN: true }), { minLength: 3, maxLength: 6 }),
      fc.double({ min: -500, max: 500, noNaN: true }),
      fc.double({ min: 0, max: 500, noNaN: true }),
      (readings, offset, referenceMm) => {
        const stations = readings.map((readingUm, index) => ({ positionMm: 40 + 80 * index, readingUm }))
        const ask = (list: typeof stations) =>
          screwLine({ stations: list, referenceMm, fixedBlockMm: 0, farBlockMm: 500 })
        const one = ask(stations)
        const shifted = ask(stations.map(s => ({ ...s, readingUm: s.readingUm + offset })))
        expect(shifted.correctionFarUm).toBeCloseTo(one.correctionFarUm, 6)
        const moved = stations.map(s => ({
          ...s,
          readingUm:
            s.readingUm +
            one.correctionFixedUm +
            ((one.correctionFarUm - one.correctionFixedUm) * s.positionMm) / 500,
        }))
        expect(ask(moved).slopeUmPerM).toBeCloseTo(0, 6)
      },
    ),
  )
})

test('rounds are compared by their largest correction, unread ones by none', () => {
  expect(
    worstCorrectionUm(
      round([
        [50, 0],
        [450, -80],
      ]),
      500,
    ),
  ).toBeCloseTo(90, 9)
  expect(
    worstCorrectionUm(
      round([
        [50, null],
        [450, null],
      ]),
      500,
    ),
  ).toBeNull()
})
