import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { SHOP_TO_START } from '../document/shop'
import { blankRecord, blankRow, numbered } from '../field/field'
import { catalogueOf } from '../machine/parts'
import type { CheckId } from '.'
import { circleRounds } from './circle/rounds'
import { evaluateAxis } from './evaluateAxis'
import { returnRounds } from './lostSteps/rounds'
import { pushRounds } from './pushPull/rounds'
import { NOTHING_NOTED } from './shared/proofs/conditions'
import { ROUND } from './shared/rounds/model'
import { newRound } from './shared/rounds/rounds'
import { LOST_ROUNDS } from './whereLost/model'
import { lostShares, readingStandardUm, reckonedShares } from './whereLost/rounds'

// What each sheet of Prove says to readings as a builder takes them.

const { job } = skarrow()
const [X, , Z] = job.axes as [Axis, Axis, Axis]
const find = (axis: Axis, check: CheckId, units: 'mm' | 'inch' = 'mm') =>
  evaluateAxis(axis, catalogueOf(job), units).finding(check)
const begun = {
  ...blankRecord(ROUND),
  startedAt: '2026-11-25T17:00:00.000Z',
}

describe('push and pull', () => {
  /** A slide with so much play that gives so much, read to whole micrometres. */
  const pushed = (
    playUm: number,
    givePerN: number,
    more: object = {},
    forces = [-360, -270, -180, 180, 270, 360],
  ) =>
    find(
      {
        ...X,
        pushRounds: [
          {
            id: 'p',
            ...begun,
            screw: 'first',
            at: 'slide',
            gaugeStepUm: 1,
            stations: numbered(
              'push',
              forces.map(forceN => ({
                forceN,
                readingUm: Math.round((Math.sign(forceN) * playUm) / 2 + givePerN * forceN),
              })),
            ),
            ...more,
          },
        ],
      },
      'prove.pushPull',
    )

  test('tells play, which stays, from give, which grows', () => {
    expect(pushed(0, 0.02)?.state).toBe('holds')
    expect(pushed(60, 0.02)?.state).toBe('fails')
    expect(pushed(60, 0.02)?.sentence).toMatch(/^Play of (5[7-9]|6[0-3]) µm .*something is loose, not soft/)
    // Much softer than reckoned, without play: it holds, and says that something gives.
    expect(pushed(0, 0.1)).toMatchObject({ state: 'holds' })
    expect(pushed(0, 0.1)?.sentence).toContain('something gives that should not')
  })

  test('one part may have a fifth of what the slide may', () => {
    expect(pushed(15, 0.001)?.state).toBe('holds')
    expect(pushed(15, 0.001, { at: 'screw-end' })?.state).toBe('fails')
    expect(pushed(15, 0.001, { at: 'screw-end' })?.sentence).toMatch(
      /the end of the screw, more than the 6 µm accepted/,
    )
  })

  test('with pushes that friction swallows, one size, one way or typed with the other sign gets no advice', () => {
    expect(pushed(60, 0.02, {}, [-100, -50, 50, 100])?.sentence).toContain('does not get past the friction')
    expect(pushed(60, 0.02, {}, [-300, -300, 300, 300])?.state).toBe('unknown')
    expect(pushed(60, 0.02, {}, [150, 200, 250, 300])?.state).toBe('unknown')
    expect(pushed(-60, -0.02)?.sentence).toContain('reads the other way round')
  })

  test('in another unit, without a step of the gauge, or where a knock fell in, says so', () => {
    expect(pushed(60, 0.02, { gaugeStepUm: null })).toMatchObject({ state: 'unknown' })
    const stations = numbered(
      'push',
      [-360, -270, -180, 180, 270, 360].map(forceN => ({ forceN, readingUm: Math.sign(forceN) * 0.034 })),
    )
    expect(pushed(0, 0, { stations })?.sentence).toContain('typed in another unit')
    const knocked = numbered(
      'push',
      [-360, -300, -270, -180, 180, 270, 300, 360].map((forceN, index) => ({
        forceN,
        readingUm: Math.sign(forceN) * 20 + forceN / 60 + (index === 6 ? 300 : 0),
      })),
    )
    expect(pushed(0, 0, { stations: knocked })?.sentence).toContain('lies far off the others')
  })

  test('begins with pushes that get past the friction of the slide, however heavy it is', () => {
    let id = 0
    const begin = (axis: Axis) =>
      newRound(
        pushRounds,
        { ...axis, pushRounds: [] },
        SHOP_TO_START,
        () => `n${++id}`,
        begun.startedAt,
      ).stations.map(({ forceN }) => forceN)
    // The first of them again at the end.
    expect(begin(X)).toEqual([-360, -270, -180, 180, 270, 360, -360])
    const heavy = {
      ...X,
      dimensions: { ...X.dimensions, movingMassKg: { value: 600, provenance: 'measured' as const } },
    }
    expect(Math.min(...begin(heavy).map(Math.abs))).toBeGreaterThan(600 * 9.81 * 0.11 + 46)
    const engraver = {
      ...X,
      goals: { ...X.goals, cuttingForceN: 10 },
      dimensions: {
        ...X.dimensions,
        movingMassKg: { value: 2, provenance: 'measured' as const },
        dragN: { value: 3, provenance: 'measured' as const },
      },
    }
    expect(begin(engraver)).toEqual([-30, -25, -15, 15, 25, 30, -30])
  })
})

describe('where it is lost', () => {
  const arcs = { screw: 'first' as const, motorRadiusMm: 50, screwRadiusMm: 50 }
  const lost = (
    places: [motor: number, screw: number, end: number, nut: number, slide: number],
    more: object = {},
  ): Axis => ({
    ...X,
    lostRounds: [
      blankRow(LOST_ROUNDS, 'l', {
        ...begun,
        gaugeStepUm: 1,
        forceN: 200,
        ...arcs,
        stations: numbered(
          'pull',
          [0, 1, -1].map(off => ({
            motorHubUm: places[0],
            screwHubUm: places[1] + off,
            screwEndUm: places[2],
            nutFlangeUm: places[3] + off,
            slideUm: places[4],
          })),
        ),
        ...more,
      }),
    ],
  })

  test('names the part that loses more than it should, with its remedy', () => {
    const bearings = find(lost([60, 70, 33, 39, 41]), 'prove.whereLost')
    expect(bearings?.state).toBe('fails')
    expect(bearings?.sentence).toMatch(
      /Most in the fixed bearings: 33 µm ± 0\.9 µm, where Size reckons .*locknut/,
    )
    expect(find(lost([60, 70, 2, 6, 45]), 'prove.whereLost')?.sentence).toContain('the bracket of the nut')
    expect(find(lost([60, 70, 2, 41, 43]), 'prove.whereLost')?.sentence).toContain('the nut, with what')
    expect(find(lost([60, 70, 2, 6, 8]), 'prove.whereLost')?.state).toBe('holds')
  })

  test('a drive that is soft, not loose, is not held against what is accepted: no part loses more than Size reckons', () => {
    const soft = find(lost([60, 70, 6, 23, 23], { forceN: 900 }), 'prove.whereLost')
    expect(soft?.state).toBe('holds')
    expect(soft?.sentence).toMatch(/a sound drive would give 33 µm.*No part loses more than Size reckons/)
  })

  test('takes the turning of the hubs as travel of the nut', () => {
    const axis = lost([60, 70, 33, 39, 41])
    const t = evaluateAxis(axis, catalogueOf(job), 'mm')
    // An arc of 70 um at 50 mm is 0.0014 rad, and a lead of 5 mm makes 1.114 um of it.
    expect(lostShares(t, 1)?.shares.coupler.um).toBeCloseTo(((70 - 60) / 50 / (2 * Math.PI)) * 5, 9)
    // Pushed no harder than friction holds, only play and the lag of the motor are left.
    expect(reckonedShares(t, 10)).toMatchObject({ coupler: 0, bearing: 0, nut: 0, bracket: 0 })
    expect(reckonedShares(t, 400).nut).toBeGreaterThan(reckonedShares(t, 200).nut)
  })

  test('with a place unread, or two in each other’s place, gets no advice', () => {
    const unread = lost([60, 70, 33, 39, 41])
    const first = unread.lostRounds[0] as Axis['lostRounds'][number]
    const without = { ...first, stations: first.stations.map(one => ({ ...one, nutFlangeUm: null })) }
    expect(find({ ...unread, lostRounds: [without] }, 'prove.whereLost')?.sentence).toContain('nut flange')
    expect(find(lost([60, 70, 33, 41, 6]), 'prove.whereLost')?.sentence).toContain(
      'Nut bracket: less than nothing',
    )
    expect(find(lost([60, 70, 33, 39, 41], { gaugeStepUm: null }), 'prove.whereLost')?.state).toBe('unknown')
  })

  test('is known the better the more often it is pushed', () => {
    const once = readingStandardUm([[3], [5]], 1, 1)
    expect(once).toBeCloseTo(Math.sqrt(1 / 6), 9)
    expect(
      readingStandardUm(
        [
          [3, 4, 2],
          [5, 5, 5],
        ],
        1,
        3,
      ),
    ).toBeCloseTo(Math.sqrt((2 / 4 + 1 / 6) / 3), 9)
  })
})

describe('back to zero', () => {
  const back = (fastUm: number[], slowUm = [1, 2, 1], more: object = {}) =>
    find(
      {
        ...X,
        returnRounds: [
          {
            id: 'r',
            ...begun,
            gaugeStepUm: 1,
            movesEach: 20,
            fastMmPerMin: 3000,
            stations: numbered(
              'return',
              fastUm.map((fast, index) => ({ slowUm: slowUm[index] ?? null, fastUm: fast })),
            ),
            ...more,
          },
        ],
      },
      'prove.steps',
    )

  test('off by whole cycles is lost steps, off by anything else a slip', () => {
    expect(back([1, 2, 2])?.state).toBe('holds')
    // A lead of 5 mm and 200 steps: four are 100 um.
    expect(back([1, 101, 201])?.sentence).toContain(
      '2 whole cycles of its motor, so it lost 8 full steps, at 100 µm a cycle',
    )
    expect(back([1, 60, 63])?.sentence).toContain('something slips')
    expect(back([1, -99, -99])?.sentence).toContain('1 whole cycle of its motor')
  })

  test('that scatters, or was read once, tells nothing; a motor that knows where it is loses none', () => {
    expect(back([101, 101, 101], [1, 30, -28])?.state).toBe('unknown')
    expect(back([101], [1])?.sentence).toContain('twice or more')
    const closed = [...catalogueOf(job).motor.values()].find(({ loop }) => loop === 'closed')
    const axis = {
      ...X,
      parts: { ...X.parts, motor: closed?.id ?? null },
      returnRounds: [] as Axis['returnRounds'],
    }
    let id = 0
    const round = newRound(returnRounds, axis, SHOP_TO_START, () => `n${++id}`, begun.startedAt)
    const read = {
      ...round,
      gaugeStepUm: 1,
      stations: round.stations.map((one, index) => ({ ...one, slowUm: index, fastUm: 100 })),
    }
    expect(find({ ...axis, returnRounds: [read] }, 'prove.steps')?.sentence).not.toContain('full steps')
  })

  test('needs a motor and a screw to know a cycle', () => {
    expect(
      find(
        {
          ...Z,
          returnRounds: [
            {
              id: 'r',
              ...begun,
              gaugeStepUm: 1,
              movesEach: 20,
              fastMmPerMin: 3000,
              stations: numbered('return', [{ slowUm: 1, fastUm: 90 }]),
            },
          ],
        },
        'prove.steps',
      ),
    ).toMatchObject({ state: 'unknown', missing: { part: 'screw' } })
  })
})

describe('a circle', () => {
  const cut = (across: (deg: number) => number, more: object = {}): Axis => ({
    ...X,
    circleRounds: [
      {
        id: 'c',
        ...begun,
        otherAxis: 'Y',
        gaugeStepUm: 10,
        acceptedUmPerM: 200,
        sideMm: 100,
        diagonalReadToUm: 30,
        diagonalAMm: null,
        diagonalBMm: null,
        stations: numbered(
          'diameter',
          [0, 30, 60, 90, 120, 150].map(angleDeg => ({
            angleDeg,
            diameterMm: Math.round(across((angleDeg * Math.PI) / 180) * 100) / 100,
          })),
        ),
        ...more,
      },
    ],
  })

  test('longest across 45 is out of square, longest along an axis is a scale', () => {
    const leaning = cut(a => 120 + 0.06 * Math.sin(2 * a))
    expect(find(leaning, 'prove.circleSquare')?.sentence).toContain('lean towards each other')
    expect(find(leaning, 'prove.circleScale')?.state).not.toBe('fails')
    const apart = cut(a => 120 - 0.06 * Math.sin(2 * a))
    expect(find(apart, 'prove.circleSquare')?.sentence).toContain('lean away from each other')
    const scaled = cut(a => 120 + 0.2 * Math.cos(2 * a))
    expect(find(scaled, 'prove.circleScale')).toMatchObject({ state: 'fails' })
    expect(find(scaled, 'prove.circleScale')?.sentence).toContain('steps a millimetre wrong')
    expect(
      find(
        cut(() => 120, { gaugeStepUm: 1 }),
        'prove.circleSquare',
      )?.state,
    ).toBe('holds')
  })

  test('too small for the calipers says so; two directions tell nothing; a burr stands out', () => {
    expect(
      find(
        cut(() => 20),
        'prove.circleSquare',
      )?.sentence,
    ).toContain('cannot tell')
    const two = cut(() => 120)
    const few = {
      ...two,
      circleRounds: two.circleRounds.map(one => ({ ...one, stations: one.stations.slice(0, 2) })),
    }
    expect(find(few, 'prove.circleSquare')?.sentence).toContain('three directions')
    const burr = cut(a => (Math.abs(a - Math.PI / 3) < 0.1 ? 121 : 120))
    expect(find(burr, 'prove.circleSquare')?.sentence).toContain('a burr')
  })

  test('in inches says it in inches, and begins with six directions and no gauge', () => {
    expect(
      find(
        cut(a => 120 + 0.06 * Math.sin(2 * a)),
        'prove.circleSquare',
        'inch',
      )?.sentence,
    ).toMatch(/thou .*4\.72 in/)
    let id = 0
    const round = newRound(circleRounds, X, SHOP_TO_START, () => `n${++id}`, begun.startedAt)
    expect(round.stations).toHaveLength(6)
    expect(round.gaugeStepUm).toBeNull()
  })
})

describe('the scale', () => {
  const moved = (measured: (mm: number) => number, more: object = {}) =>
    find(
      {
        ...X,
        scaleRounds: [
          {
            id: 's',
            ...begun,
            gaugeStepUm: 10,
            stepsPerMm: 400,
            stations: numbered(
              'move',
              [0, 100, 200, 300, 370].map(commandedMm => ({
                commandedMm,
                measuredMm: Math.round(measured(commandedMm) * 100) / 100,
              })),
            ),
            ...more,
          },
        ],
      },
      'prove.scale',
    )

  test('gives the steps that put it right', () => {
    expect(moved(mm => mm)?.state).toBe('holds')
    const short = moved(mm => mm * 0.999)
    expect(short?.state).toBe('fails')
    expect(short?.sentence).toMatch(/too short over its .*Set 400\.4\d* steps a millimetre in place of 400/)
  })

  test('of another drive says so, and a place that was come to from the other side stands out', () => {
    expect(moved(mm => mm / 2)?.sentence).toContain('set for another drive')
    expect(moved(mm => mm + (mm === 200 ? 3 : 0))?.sentence).toContain('an approach from the other side')
    expect(moved(mm => mm, { stations: numbered('move', [{ commandedMm: 0, measuredMm: 0 }]) })?.state).toBe(
      'unknown',
    )
  })

  test('without steps entered uses those of the first moves', () => {
    expect(moved(mm => mm * 0.999, { stepsPerMm: null })?.sentence).toMatch(/in place of 319\.872/)
  })
})

describe('a square over its diagonals', () => {
  const cut = (diagonalAMm: number | null, diagonalBMm: number | null, more: object = {}): Axis => ({
    ...X,
    circleRounds: [
      {
        id: 'c',
        ...begun,
        otherAxis: 'Y',
        gaugeStepUm: 10,
        acceptedUmPerM: 200,
        sideMm: 100,
        diagonalReadToUm: 5,
        diagonalAMm,
        diagonalBMm,
        stations: [],
        ...more,
      },
    ],
  })
  const said = (...of: Parameters<typeof cut>) => find(cut(...of), 'prove.cutSquare')

  test('says how far the axes lean, by the law of cosines, and which way', () => {
    // A side of 100 that leans by 0.1: the diagonals are (100 +- 0.1)^2 + 100^2, about 0.0707 longer and shorter.
    const lean = (mm: number) => [Math.hypot(100 + mm, 100), Math.hypot(100 - mm, 100)] as const
    expect(said(...lean(0.1))).toMatchObject({ state: 'fails' })
    expect(said(...lean(0.1))?.figure?.value).toBeCloseTo(100, 1)
    expect(said(...lean(0.1))?.sentence).toContain('lean towards each other')
    expect(said(...lean(-0.1))?.sentence).toContain('lean away from each other')
    expect(said(...lean(0.002))).toMatchObject({ state: 'holds' })
    expect(find(cut(...lean(0.1)), 'prove.cutSquare', 'inch')?.sentence).toContain('thou')
  })

  test('the lean of a circle and of a square that one machine cuts are one', () => {
    // What is cut is sheared: x goes with 0.0005 of y.
    const shear = 0.0005
    const across = (deg: number) => {
      const angle = (deg * Math.PI) / 180
      return 100 * (1 + shear * Math.cos(angle) * Math.sin(angle))
    }
    const axis = cut(Math.hypot(100 * (1 + shear), 100), Math.hypot(100 * (1 - shear), 100), {
      gaugeStepUm: 0.1,
      stations: numbered(
        'd',
        [0, 30, 60, 90, 120, 150].map(angleDeg => ({ angleDeg, diameterMm: across(angleDeg) })),
      ),
    })
    const [circle, square] = [find(axis, 'prove.circleSquare'), find(axis, 'prove.cutSquare')]
    expect(circle?.figure?.value).toBeCloseTo(50, 0)
    expect(square?.figure?.value).toBeCloseTo(circle?.figure?.value as number, 0)
    expect(circle?.state).toBe(square?.state)
  })

  test('asks for the other one, for calipers that can tell, and for the unit of what is no such diagonal', () => {
    expect(said(null, null)).toBeNull()
    expect(said(141.42, null)).toMatchObject({ state: 'unknown' })
    expect(said(141.44, 141.4, { diagonalReadToUm: 50 })?.sentence).toContain('cannot tell')
    // Typed in inches into a field of millimetres.
    expect(said(5.568, 5.567)?.sentence).toContain('typed in another unit')
    // A square alone owes no circle.
    expect(find(cut(141.42, 141.42), 'prove.circleSquare')).toBeNull()
  })
})

describe('slow against fast', () => {
  const pair = (slowUm: number, fastUm: number, more: object = {}): Axis => ({
    ...X,
    faultSearches: [],
    tests: [slowUm, fastUm].map((lostUm, index) => ({
      ...NOTHING_NOTED,
      id: `t${index}`,
      startedAt: `2026-11-2${index}T17:00:00.000Z`,
      finishedAt: null,
      label: index ? 'Fast' : 'Slow',
      gaugeStepUm: 1,
      feedMmPerMin: index ? 3000 : 100,
      stations: numbered('s', [
        {
          positionMm: 120,
          approachPositiveUm: [lostUm, lostUm + 1, lostUm, lostUm + 1, lostUm],
          approachNegativeUm: [0, 1, 0, 1, 0],
        },
      ]),
      ...more,
    })),
  })
  const judged = (...of: Parameters<typeof pair>) => find(pair(...of), 'prove.slowFast')

  test('what is alike is play; more fast is lag, more slow is stick, each with what is looked at', () => {
    expect(judged(20, 20)).toMatchObject({ state: 'holds' })
    expect(judged(20, 60)?.sentence).toMatch(
      /20 µm at 100 mm\/min and 60 µm at 3,000 mm\/min.*something lags/,
    )
    expect(judged(60, 20)?.sentence).toContain('Oil the ways')
    expect(judged(20, 24)).toMatchObject({ state: 'holds' })
    expect(judged(20, 26)?.sentence).toContain('cannot tell')
    expect(find(pair(20, 60), 'prove.slowFast', 'inch')?.sentence).toContain('in/min')
  })

  test('without a feed, without a step of the gauge, or after a mending in between it says so, or nothing', () => {
    expect(judged(20, 60, { feedMmPerMin: null })).toBeNull()
    expect(judged(20, 60, { gaugeStepUm: null })?.sentence).toContain('step of the gauge')
    const mended = {
      ...pair(20, 60),
      faultSearches: [
        {
          id: 'f',
          startedAt: '2026-11-20T18:00:00.000Z',
          finishedAt: '2026-11-20T19:00:00.000Z',
          carriesOn: false,
          mended: 'gib-loose',
          answers: [],
        },
      ],
    }
    expect(find(mended, 'prove.slowFast')).toBeNull()
  })
})
