import fc from 'fast-check'
import { blankRecord, numbered } from '../../field/field'
import { ROUND } from '../shared/rounds/model'
import { screwLine } from './calculation'
import { judgePlane, type LineSetting, sagUm, worstCorrectionUm } from './judgePlane'
import type { AlignRound } from './model'

const round = (heights: [number, number | null][], clampedAtMm = 50): AlignRound => ({
  id: 'r',
  ...blankRecord(ROUND),
  screw: 'first',
  clampedAtMm,
  tight: 'both',
  turnedTo: 'mark',
  tipLifted: 'more',
  halfTurnHeightUm: null,
  halfTurnSideUm: null,
  gaugeStepUm: 1,
  stations: numbered(
    'place',
    heights.map(([positionMm, heightUm]) => ({ positionMm, heightUm, sideUm: null })),
  ),
})
/** Without a screw, so that there is no sag. */
const SETTING: LineSetting = { spanMm: 500, ends: 'fixed-supported', inclineDeg: 0, rootDiameterMm: null }
const judge = (heights: [number, number | null][], targetUm = 20) =>
  judgePlane(round(heights), 'height', SETTING, targetUm, 1)

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
      SETTING,
    ),
  ).toBeCloseTo(90, 9)
  expect(
    worstCorrectionUm(
      round([
        [50, null],
        [450, null],
      ]),
      SETTING,
    ),
  ).toBeNull()
})

test('a slope that is not there is seldom called one, from stations close together as from ones far apart', () => {
  let seed = 11
  const uniform = () => {
    seed = (seed * 1_103_515_245 + 12_345) % 2 ** 31
    return (seed + 0.5) / 2 ** 31
  }
  const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform())
  const moved = (places: number[]) => {
    let wrongly = 0
    for (let run = 0; run < 2000; run++)
      if (judge(places.map(place => [place, Math.round(3 * normal())])).kind === 'move') wrongly++
    return wrongly / 2000
  }
  expect(moved([50, 80, 110, 140])).toBeLessThan(0.06)
  expect(moved([50, 200, 330, 460])).toBeLessThan(0.06)
})

test('a level screw hangs between its holds; a vertical one does not', () => {
  const long = { ...SETTING, spanMm: 1700, rootDiameterMm: 17 }
  expect(sagUm(long, 100, 0)).toBe(0)
  expect(sagUm(long, 100, 100)).toBeCloseTo(0, 9)
  expect(sagUm(long, 100, 1000)).toBeGreaterThan(700)
  expect(sagUm({ ...long, inclineDeg: 90 }, 100, 1000)).toBeCloseTo(0, 6)
  // A free end hangs down further than one that is held.
  expect(sagUm({ ...long, ends: 'fixed-free' }, 100, 1690)).toBeGreaterThan(10_000)
})

describe('a long screw that hangs by its own weight', () => {
  // The free end of a screw of 22 mm hangs by millimetres; how stiff nut and block hold it nobody knows to the last part.
  const hangs = { spanMm: 1523, ends: 'fixed-free', inclineDeg: 0, rootDiameterMm: 22.1 } as const
  const readAt = (heightOf: (positionMm: number) => number) =>
    ({
      id: 'r',
      startedAt: '',
      finishedAt: null,
      clampedAtMm: 122,
      gaugeStepUm: 2,
      stations: [122, 513, 904, 1295].map((positionMm, index) => ({
        id: `${index}`,
        positionMm,
        heightUm: heightOf(positionMm),
        sideUm: null,
      })),
    }) as never
  // Read on a sound axis whose nut rocks a little, and with its fixed block 300 um too low beside that.
  const SOUND = new Map([
    [122, 0],
    [513, -962],
    [904, -2902],
    [1295, -5226],
  ])

  test('its block is not moved for what may be the sag', () => {
    const advice = judgePlane(
      readAt(mm => SOUND.get(mm) as number),
      'height',
      hangs,
      20,
      2,
    )
    expect(advice.kind).toBe('unsure')
    expect(advice.kind === 'unsure' && advice.unsure.sagUm).toBeGreaterThan(40)
  })
  test('and is moved where it is off by more than that', () => {
    const slope = 600 / 122
    const advice = judgePlane(
      readAt(mm => (SOUND.get(mm) as number) + slope * (mm - 122)),
      'height',
      hangs,
      20,
      2,
    )
    expect(advice.kind).toBe('move')
  })
  test('one that hangs as it is reckoned is in line', () => {
    const advice = judgePlane(
      readAt(mm => Math.round(-sagUm(hangs, 122, mm))),
      'height',
      hangs,
      20,
      2,
    )
    expect(advice.kind).toBe('in-line')
  })
})
