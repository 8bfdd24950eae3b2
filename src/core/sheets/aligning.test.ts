import fc from 'fast-check'
import { leastSquares, standardErrorOf } from '../calculation/leastSquares'
import { coverageFactor } from '../calculation/studentLaw'
import { ALIGNED_LONG_TOM_X, ALIGNED_SKARROW_X, ALIGNED_SKARROW_Y } from '../demo/aligned'
import { longTom } from '../demo/longTom'
import { ostrey } from '../demo/ostrey'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { SHOP_TO_START } from '../document/shop'
import { numbered } from '../field/field'
import { bearingLifeHours } from '../machine/drive/strength'
import { CATALOGUE } from '../machine/parts'
import { offTheFit } from '../readings/plausible'
import { say } from '../units/print'
import type { CheckId } from '.'
import { dragRead } from './drag/rounds'
import { evaluateAxis } from './evaluateAxis'
import { faceTilt } from './flange/calculation'
import { gibRounds } from './gib/rounds'
import { preloadRange, setBy } from './preload/range'
import { narrowestStrip, oddPlace, straightness } from './rails/calculation'
import { changeRound, newRound, wentWorse } from './shared/rounds/rounds'
import { shimWords } from './shared/rounds/shims'
import { type DragRead, tightSpots } from './shared/rounds/tightSpots'
import { squareReversal } from './square/calculation'

// What each sheet of Align says to readings as a builder takes them.

const [X, Y] = skarrow().job.axes as [Axis, Axis]
const [, slide] = ostrey().job.axes as [Axis, Axis]
const [gantry, across] = longTom().job.axes as [Axis, Axis]
const find = (axis: Axis, check: CheckId, units: 'mm' | 'inch' = 'mm') =>
  evaluateAxis(axis, CATALOGUE, units).finding(check)
const context = (axis: Axis) => evaluateAxis(axis, CATALOGUE, 'mm')
const last = <T>(rounds: readonly T[]): T => rounds.at(-1) as T

describe('the gib', () => {
  const [first] = ALIGNED_SKARROW_X.gibRounds
  const at = (change: object) =>
    find({ ...X, gibRounds: [{ ...(first as Axis['gibRounds'][number]), ...change }] }, 'align.gib')

  test('is pushed in by what its tightest place has too much, in turns of its screw', () => {
    // 39 um at the tightest place less 15 wanted, times 50: 1.2 mm, 346 degrees at a pitch of 1.25.
    expect(at({})?.sentence).toContain('Push the gib in by 1.2 mm: 346° of its screw')
    expect(at({})?.sentence).toContain('moves the slide by up to 51 µm')
    expect(at({ targetUm: 60 })?.sentence).toContain('Draw the gib back')
    expect(at({ targetUm: 60 })?.sentence).toContain('winds the drive up')
    expect(at({ kind: 'straight' })?.sentence).toContain('from the middle outward')
  })

  test('that locks going one way is not locked, whatever its play', () => {
    expect(at({ locks: 'one-way' })?.sentence).toContain('walks with the slide')
    expect(find(slide, 'align.gib')?.state).toBe('fails')
  })

  test('that is set and worn elsewhere says so; one that cannot be read with this gauge gets no advice', () => {
    const worn = (first as Axis['gibRounds'][number]).stations.map((one, index) => ({
      ...one,
      playUm: index === 2 ? 15 : 90,
    }))
    expect(at({ stations: worn })).toMatchObject({ state: 'close' })
    expect(at({ stations: worn })?.sentence).toContain('which no gib takes')
    expect(at({ gaugeStepUm: 20 })?.sentence).toContain('cannot tell a play')
    // A thousandth of an inch typed where micrometres were asked for.
    const slipped = worn.map((one, index) => (index === 0 ? { ...one, playUm: 0.05 } : one))
    expect(at({ stations: slipped })?.sentence).toContain('finer than the gauge can show')
    expect(at({ stations: worn.map(one => ({ ...one, playUm: null })) })?.state).toBe('unknown')
  })
})

describe('a face', () => {
  const round = last(ALIGNED_SKARROW_Y.flangeRounds)
  const at = (change: object) => find({ ...Y, flangeRounds: [{ ...round, ...change }] }, 'align.flange')
  const read = (values: number[]) => ({
    stations: values.map((readingUm, index) => ({
      id: `a-${index}`,
      angleDeg: (360 / values.length) * index,
      readingUm,
    })),
  })

  test('is shimmed opposite its proud side, and swept again it is square', () => {
    const { shimUm, shimAtDeg } = faceTilt({ ...round, readings: round.stations as never })
    expect(at({})?.sentence).toContain(`${Math.round(shimUm)} µm ±`)
    expect(at({})?.sentence).toContain("8 o'clock")
    // The shim takes the tilt out: half of it over the radius of the sweep at each reading.
    const after = round.stations.map(one => ({
      ...one,
      readingUm: Math.round(
        (one.readingUm as number) +
          (shimUm / round.boltCircleMm) *
            round.radiusMm *
            Math.cos(((one.angleDeg - shimAtDeg) * Math.PI) / 180),
      ),
    }))
    expect(at({ stations: after })?.state).toBe('holds')
  })

  test('that is no plane is not shimmed; a burr is asked about; three angles are the least', () => {
    expect(at(read([0, 200, 0, 200, 0, 200]))?.sentence).toContain('no plane')
    expect(at(read([40, 110, 60, -50, -110, -60, 500, 20]))?.state).not.toBe('holds')
    expect(at(read([40, 110]))?.state).toBe('unknown')
    expect(at(read([40, 110, 60]))?.sentence).toContain('a fourth would check it')
  })
})

test('a nut that is tilted costs life, and less of it the less it tilts; a motor’s plate does not tilt the nut', () => {
  const leftWith = (share: number, face = 'casting') =>
    find(
      {
        ...Y,
        flangeRounds: Y.flangeRounds.map(round => ({
          ...round,
          acceptedUm: 1,
          gaugeStepUm: 1,
          face: face as 'casting',
          stations: round.stations.map(one => ({
            ...one,
            readingUm: Math.round(110 * share * Math.cos(((one.angleDeg - 65) * Math.PI) / 180)),
          })),
        })),
      },
      'align.flange',
    )?.sentence ?? ''
  const percent = (text: string) => Number(/an estimated (\d+)%/.exec(text)?.[1])
  expect(leftWith(1)).toContain('hardly any of the nut')
  expect(percent(leftWith(0.04))).toBeGreaterThan(percent(leftWith(0.08)))
  expect(leftWith(1, 'motor-plate')).not.toContain('life would be left')
})

describe('the preload', () => {
  const [round] = X.preloadRounds as [Axis['preloadRounds'][number]]
  const at = (change: object) => find({ ...X, preloadRounds: [{ ...round, ...change }] }, 'align.preload')

  test('is known by the turn from no play, too much as well as too little; play is always too much', () => {
    expect(at({})?.state).toBe('holds')
    expect(at({ turnedDeg: 16 })?.sentence).toContain('Too tight')
    expect(at({ turnedDeg: 3 })?.state).toBe('close')
    expect(at({ playUm: 12 })?.sentence).toContain('12 µm of play')
  })

  test('what bearings give under a hand is no play: nothing is tightened for it', () => {
    // A gauge of a micrometre sees the pair give; only what goes beyond that is play.
    const little = at({ gaugeStepUm: 1, playUm: 2 })
    expect(little?.state).toBe('holds')
    expect(little?.sentence).toContain('under a hard push')
    expect(at({ gaugeStepUm: 1, playUm: 2, set: 'matched' })?.state).toBe('unknown')
    expect(at({ gaugeStepUm: 1, playUm: 40 })?.state).toBe('fails')
  })

  test('asks which bearings they are; a drag that the scale cannot tell is not read', () => {
    expect(at({ set: null })?.sentence).toContain('matched set')
    expect(at({ turnedDeg: null })?.sentence).toContain('less than this scale can tell')
    expect(at({ set: 'matched' })?.state).toBe('holds')
    expect(at({ playUm: null, turnedDeg: null })?.state).toBe('unknown')
  })
})

test('a block off the line says what it costs', () => {
  const bent = { ...X, rounds: X.rounds.slice(0, 1) }
  expect(find(bent, 'align.height')?.sentence).toMatch(
    /pushes the nut aside with about \d+ N .* of its life would be left/,
  )
})

test('a coupler is moved where its readings say, and put back by that it needs nothing', () => {
  const axis = { ...X, couplerRounds: X.couplerRounds.slice(0, 1) }
  const found = find(axis, 'align.coupler')
  expect(found?.state).toBe('fails')
  expect(found?.sentence).toMatch(/move it .* down and .* to the left/)
  const half = X.couplerRounds[0] as Axis['couplerRounds'][number]
  const set = {
    ...half,
    stations: half.stations.map(one => ({
      ...one,
      rimUm: 0.1 * (one.rimUm ?? 0),
      faceUm: 0.1 * (one.faceUm ?? 0),
    })),
  }
  expect(find({ ...X, couplerRounds: [set] }, 'align.coupler')?.state).toBe('holds')
  // A belt asks about its pulleys instead.
  expect(find({ ...X, drive: { ...X.drive, transmission: 'belt' } }, 'align.coupler')).toBeNull()
  expect(find(slide, 'align.belt')?.state).toBe('fails')
})

test('a wobble that matters and one that does not: a journal in its block, and a free end', () => {
  const [round] = Y.runOutRounds as [Axis['runOutRounds'][number]]
  const free = { ...round, stations: [{ id: 'f', where: 'free' as const, wholeUm: 400, toNutMm: null }] }
  expect(find(Y, 'align.runOut')?.sentence).toContain('it matters')
  expect(find({ ...Y, ends: 'fixed-free', runOutRounds: [free] }, 'align.runOut')).toMatchObject({
    state: 'holds',
  })
  // Far from the nut the same journal is bent back with next to nothing.
  const far = { ...round, stations: [{ id: 'f', where: 'far' as const, wholeUm: 260, toNutMm: 900 }] }
  expect(find({ ...Y, runOutRounds: [far] }, 'align.runOut')?.state).toBe('holds')
})

describe('rails', () => {
  const round = last(ALIGNED_LONG_TOM_X.railRounds)
  const at = (change: object) => find({ ...gantry, railRounds: [{ ...round, ...change }] }, 'align.rails')
  const read = (values: number[]) => ({
    stations: values.map((readingUm, index) => ({
      id: `r-${index}`,
      positionMm: 300 * index,
      readingUm,
      slopeUmPerM: null,
    })),
  })

  const readTwice = (values: number[], positionMm: number, againUm: number) => {
    const { stations } = read(values)
    return { stations: [...stations, { id: 'again', positionMm, readingUm: againUm, slopeUmPerM: null }] }
  }

  test('a second rail that leans is tapped at its end; one that is bowed is pushed where it stands out', () => {
    expect(at({})?.sentence).toContain('tap its end at 2,300 mm back')
    expect(at(read([0, 40, 90, 50, 0]))?.sentence).toContain('bowed')
    expect(at(read([0, 5, -5, 5, 0]))?.state).toBe('holds')
  })

  test('one place that stands proud is pushed back, and makes no other look low; an end only where all others lie on a line', () => {
    // What was read on a rail with a chip under it at 900 mm.
    expect(at(read([2, 0, 34, 82, 20, 0]))?.sentence).toMatch(/proud at 900 mm.*push it back/)
    expect(at(readTwice([0, -2, 3, 90, 1, 0], 900, 88))?.sentence).toMatch(/[89]\d µm proud at 900 mm/)
    expect(at(readTwice([0, -2, 3, -90, 1, 0], 900, -92))?.sentence).toMatch(/[89]\d µm low at 900 mm/)
    // A bow is pushed in its middle, and no end is tapped for what is left of it.
    expect(at(read([0, 84, 140, 138, 86, -2]))?.sentence).toMatch(/proud at 600 mm/)
    expect(at(read([0, -32, -40, -40, -52, -2]))?.sentence).not.toContain('not parallel')
  })

  test('what one reading alone decides is read once more before anything is slackened', () => {
    const lone = at(read([0, -2, 3, 90, 1, 0]))
    expect(lone?.state).toBe('unknown')
    expect(lone?.sentence).toMatch(/at 900 mm alone stands 90 µm off.*Read it once more/)
    // One end of a rail as well: nothing beside it tells a lost minus from a rail that bends away.
    expect(at(read([0, 2, 0, 0, 0, -60]))?.sentence).toContain('at 1,500 mm alone')
    // The first place is read again at the end.
    expect(at(readTwice([-60, 0, 2, 0, 0, 2], 0, -58))?.state).toBe('fails')
    // Read again and not alike, it is said which rows do not go together.
    expect(at(readTwice([0, -2, 3, 90, 1, 0], 900, 2))?.sentence).toMatch(/read twice.*90 µm and 2 µm/)
    // The round before may have shown it already.
    const before = { ...round, ...read([0, -2, 3, 84, 1, 0]) }
    const rounds = (first: typeof before) => [first, { ...round, ...read([0, -2, 3, 90, 1, 0]) }]
    expect(find({ ...gantry, railRounds: rounds(before) }, 'align.rails')?.state).toBe('fails')
    const other = { ...before, ...read([0, -2, 3, -9, 1, 0]) }
    expect(find({ ...gantry, railRounds: rounds(other) }, 'align.rails')?.state).toBe('unknown')
    // Where what is left would not hold well, it is not one reading that decides.
    expect(at(read([0, -12, 14, 90, 1, 0]))?.state).toBe('fails')
  })

  test('a level is stepped along: a gap ends the line, and a straight rail off level is straight', () => {
    const steps = (all: (number | null)[]) => ({
      how: 'level',
      gaugeStepUm: null,
      stations: all.map((slopeUmPerM, index) => ({
        id: `s-${index}`,
        positionMm: 0,
        readingUm: null,
        slopeUmPerM,
      })),
    })
    expect(at(steps([300, 300, 300, 300]))?.state).toBe('holds')
    expect(at(steps([300, 300, -300, -300]))?.state).toBe('fails')
    expect(at(steps([300, null, 300]))?.state).toBe('unknown')
  })

  test('a place is only odd where the others lie half as wide without it', () => {
    const place = (readings: number[]) =>
      oddPlace(readings.map((readingUm, index) => ({ positionMm: 100 * index, readingUm })))
    expect(place([0, 0, 90, 0])).toMatchObject({ positionMm: 200, offUm: 90 })
    expect(place([0, 60, 60, 0])).toBeNull()
    expect(place([90, 0, 0, 0])).toMatchObject({ positionMm: 0, offUm: 90 })
    expect(place([0, -32, -40, -40, -52, -2])).toBeNull()
    expect(place([0, 90, 0])).toBeNull()
  })

  test('no strip is narrower, and none holds fewer readings', () => {
    const reading = fc.double({ min: -100, max: 100, noNaN: true })
    fc.assert(
      fc.property(fc.array(reading, { minLength: 3, maxLength: 9 }), reading, (values, slope) => {
        const stations = values.map((readingUm, index) => ({ positionMm: 50 * index, readingUm }))
        const strip = narrowestStrip(stations)
        const offs = stations.map(({ positionMm, readingUm }) => readingUm - slope * 0.02 * positionMm)
        expect(strip?.heightUm).toBeLessThanOrEqual(Math.max(...offs) - Math.min(...offs) + 1e-9)
        expect(straightness({ stations }).minimumZoneUm).toBeLessThanOrEqual(
          straightness({ stations }).leastSquaresUm + 1e-9,
        )
      }),
    )
  })
})

test('a gantry out of square is turned back by its second screw; a tape that cannot tell gets no advice', () => {
  expect(find(gantry, 'align.square')?.sentence).toMatch(/ahead: .* turn its screw back by .* mm/)
  const round = last(gantry.squareRounds)
  const at = (change: object) => find({ ...gantry, squareRounds: [{ ...round, ...change }] }, 'align.square')
  expect(at({ diagonalAMm: 2059.2, diagonalBMm: 2058.9, readingUncertaintyMm: 1 })?.state).toBe('unknown')
  expect(at({ diagonalAMm: 2059.2, diagonalBMm: 2059.1 })?.state).toBe('holds')
  expect(at({ diagonalAMm: null })?.state).toBe('unknown')
  // Diagonals that no such rectangle has: a slip of typing.
  expect(at({ diagonalAMm: 9000, diagonalBMm: 10 })).toMatchObject({ state: 'unknown' })
  expect(find(gantry, 'align.square', 'inch')?.sentence).toContain('thou a foot')
})

test('a square turned over gives the machine alone, whatever the square is out by', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -90, max: 90, noNaN: true }),
      fc.double({ min: -90, max: 90, noNaN: true }),
      (machine, own) => {
        const { axisUm, squareUm } = squareReversal({
          firstUm: machine + own,
          turnedUm: own - machine,
          lengthMm: 200,
        })
        expect(axisUm).toBeCloseTo(machine, 9)
        expect(squareUm).toBeCloseTo(own, 9)
      },
    ),
  )
})

test('a motor draws its bracket down: it is propped; the other way round is asked about', () => {
  expect(find(across, 'align.droop')?.sentence).toContain('Prop it or stiffen it')
  const [round] = across.overhangRounds as [Axis['overhangRounds'][number]]
  const turned = { ...across, overhangRounds: [{ ...round, withoutUm: -140, withUm: 0, againUm: -140 }] }
  expect(find(turned, 'align.droop')?.sentence).toContain('typed the other way round')
  // A heavy head hung far out tips, and says so before anything is let go.
  const heavy = { ...round, overhangMm: 500, wayHalfLengthMm: 100, weightOnKg: 0 }
  expect(find({ ...across, overhangRounds: [heavy] }, 'align.overhang')).toMatchObject({ state: 'fails' })
})

test('a pull that is a unit off Survey is asked about once; read alike again it is Survey that is wrong', () => {
  const [round] = X.waysRounds as [Axis['waysRounds'][number]]
  const pulled = (by: number, id: string) => ({
    ...round,
    id,
    stations: round.stations.map(one => ({
      ...one,
      id: `${id}-${one.id}`,
      pullN: one.pullN === null ? null : one.pullN * by,
    })),
  })
  const at = (...rounds: ReturnType<typeof pulled>[]) =>
    find({ ...X, waysRounds: rounds }, 'align.waysFriction')
  const kilograms = 1 / 9.80665
  expect(at(pulled(1, 'a'))?.state).toBe('holds')
  expect(at(pulled(kilograms, 'a'))).toMatchObject({ state: 'unknown' })
  expect(at(pulled(kilograms, 'a'))?.sentence).toContain('Kilograms for newtons')
  expect(at(pulled(kilograms, 'a'), pulled(kilograms, 'b'))).toMatchObject({ state: 'close' })
  // A slide that rubs half as much again is no unit.
  expect(at(pulled(1.5, 'a'))).toMatchObject({ state: 'close' })
})

test('a square that no shop has is asked about, until it reads the same again', () => {
  const [round] = gantry.squareRounds as [Axis['squareRounds'][number]]
  const read = (firstUm: number, turnedUm: number) => ({
    ...round,
    how: 'square' as const,
    gaugeStepUm: 1,
    edgeMm: 250,
    firstUm,
    turnedUm,
  })
  const at = (...rounds: ReturnType<typeof read>[]) => find({ ...X, squareRounds: rounds }, 'align.square')
  expect(at(read(23, 3))).toMatchObject({ state: 'holds' })
  // A figure too many in one of them.
  expect(at(read(230, 3))?.sentence).toContain('the square itself would be off by 116.5 µm')
  expect(at(read(230, 3))).toMatchObject({ state: 'unknown' })
  expect(at(read(230, 20), read(240, 12))).not.toMatchObject({ state: 'unknown' })
})

test('what a long screw hangs by near its block is no block off its line', () => {
  const [drag] = Y.dragRounds as [Axis['dragRounds'][number]]
  const read = (nearNm: number) => ({
    ...Y,
    ends: 'fixed-free' as const,
    dragRounds: [
      {
        ...drag,
        half: 'whole' as const,
        by: 'torque' as const,
        step: 0.005,
        stations: [40, 60, 90, 130, 180, 230].map((positionMm, index) => ({
          id: `d-${index}`,
          positionMm,
          away: index === 0 ? nearNm : 0.2,
          towards: index === 0 ? nearNm : 0.2,
        })),
      },
    ],
  })
  const hangs = tightSpots({ ...(dragRead(context(read(0.3))) as DragRead), hangsNmMm: 20 })
  const stands = tightSpots({ ...(dragRead(context(read(0.3))) as DragRead), hangsNmMm: 0.5 })
  expect(hangs?.felt.find(({ cause }) => cause === 'fixed')?.counts).toBe(false)
  expect(stands?.felt.find(({ cause }) => cause === 'fixed')?.counts).toBe(true)
  // The longer the screw, the more of it hangs.
  const hangsOf = (axis: Axis) => (dragRead(context(axis)) as DragRead).hangsNmMm as number
  const long = {
    ...read(0.3),
    dimensions: { ...Y.dimensions, supportSpanMm: { value: 900, provenance: 'measured' as const } },
  }
  expect(hangsOf(long)).toBeGreaterThan(2 * hangsOf(read(0.3)))
})

test('friction goes to Survey; columns that were swapped and a pull that slipped are asked about', () => {
  const [round] = X.waysRounds as [Axis['waysRounds'][number]]
  const pulled = (pulls: [number, number][]) => ({
    ...round,
    stations: pulls.map(([addedMassKg, pullN], index) => ({ id: `p-${index}`, addedMassKg, pullN })),
  })
  const at = (pulls: [number, number][], axis: Axis = X) =>
    find({ ...axis, waysRounds: [pulled(pulls)] }, 'align.waysFriction')
  expect(find(X, 'align.waysFriction')?.state).toBe('holds')
  const HARD: [number, number][] = [
    [0, 200],
    [20, 220],
    [40, 240],
  ]
  const from = (provenance: 'measured' | 'assumed'): Axis => ({
    ...X,
    dimensions: {
      ...X.dimensions,
      frictionCoefficient: { ...X.dimensions.frictionCoefficient, provenance },
    },
  })
  expect(at(HARD, from('assumed'))?.sentence).toContain('Put them into Survey')
  // What was measured before is not written over by one round that says something else, but by two.
  const measured = from('measured')
  expect(at(HARD, measured)?.state).toBe('unknown')
  expect(at(HARD, measured)?.sentence).toContain('hang a known mass')
  const twice = { ...measured, waysRounds: [pulled(HARD), { ...pulled(HARD), id: 'again' }] }
  expect(find(twice, 'align.waysFriction')?.sentence).toContain('Put them into Survey')
  expect(
    at([
      [0, 105],
      [20, 95],
      [40, 80],
    ])?.sentence,
  ).toContain('each other’s column')
  expect(
    at([
      [0, 105],
      [12, 117],
      [24, 13],
      [36, 143],
      [48, 156],
    ])?.sentence,
  ).toContain('Read it again')
  expect(at([[0, 105]])?.state).toBe('unknown')
})

describe('tight spots', () => {
  test('a set-up that binds only near the motor names the fixed block; read with a drill it says so too', () => {
    expect(find(Y, 'align.drag')?.sentence).toContain('it is the fixed block')
    const [round] = Y.dragRounds as [Axis['dragRounds'][number]]
    const byDrill: Axis = {
      ...Y,
      dragRounds: [
        {
          ...round,
          by: 'clutch',
          stations: round.stations.map(one => ({
            ...one,
            away: (one.away ?? 0) * 2,
            towards: (one.towards ?? 0) * 2,
          })),
        },
      ],
    }
    expect(find(byDrill, 'align.drag')?.sentence).toContain('drill')
    const shop = {
      ...SHOP_TO_START,
      clutchLeverMm: 100,
      clutchPulls: [
        { id: '1', setting: 2, pullN: 1 },
        { id: '2', setting: 14, pullN: 7 },
      ],
    }
    const found = evaluateAxis(byDrill, { ...CATALOGUE, shop }, 'mm').finding('align.drag')
    expect(found?.sentence).toContain('it is the fixed block')
  })

  test('one way alone cannot tell a gib from a load, and gets no advice', () => {
    const [round] = Y.dragRounds as [Axis['dragRounds'][number]]
    const oneWay = { ...round, stations: round.stations.map(one => ({ ...one, towards: null })) }
    expect(find({ ...Y, dragRounds: [oneWay] }, 'align.drag')?.state).toBe('unknown')
  })

  test('a drag that doubles towards one end never holds, also where a stiff screw lets no cause be told', () => {
    const thick = [...CATALOGUE.screw.values()].reduce((most, one) =>
      one.rootDiameterMm > most.rootDiameterMm ? one : most,
    )
    const [round] = Y.dragRounds as [Axis['dragRounds'][number]]
    const rising = [0.86, 0.94, 1.05, 1.09, 1.34, 1.69]
    const read = (drags: readonly number[]): Axis => ({
      ...Y,
      dimensions: { ...Y.dimensions, supportSpanMm: { value: 293, provenance: 'measured' } },
      parts: { ...Y.parts, screw: thick.id },
      dragRounds: [
        {
          ...round,
          by: 'torque',
          step: 0.01,
          stations: numbered(
            'place',
            drags.map((drag, index) => ({
              positionMm: 37 + 44 * index,
              away: drag,
              towards: drag + (index % 2 ? 0.01 : -0.01),
            })),
          ),
        },
      ],
    })
    const found = find(read(rising), 'align.drag')
    expect(found?.state).not.toBe('holds')
    expect(found?.sentence).toMatch(/binds/)
    expect(find(read(rising.map(() => 0.9)), 'align.drag')?.state).not.toBe('unknown')
  })

  test('tight once a turn with the coupler off is the screw', () => {
    expect(find(across, 'align.turn')?.sentence).toContain('Tight once a turn')
  })
})

describe('rounds', () => {
  test('a new one is set up as the one before, with nothing read; going up again is worse', () => {
    let count = 0
    const made = newRound(gibRounds, X, SHOP_TO_START, () => `n-${count++}`, '2026-11-26T20:00:00.000Z')
    expect(made).toMatchObject({ kind: 'tapered', taperRatio: 50, locks: null, done: null, finishedAt: null })
    expect(made.stations.map(({ positionMm }) => positionMm)).toEqual([0, 110, 220, 330, 430])
    expect(made.stations.every(({ playUm }) => playUm === null)).toBe(true)
    expect(new Set(made.stations.map(({ id }) => id)).size).toBe(5)
    const measure = (value: number) => ({ value, quantity: 'smallLength' as const })
    expect(wentWorse(measure(20), measure(30))).toBe(true)
    expect(wentWorse(measure(20), measure(21))).toBe(false)
    expect(wentWorse(null, measure(21))).toBe(false)
  })

  test('a change of one that was deleted meanwhile does nothing', () => {
    const job = structuredClone(skarrow().job)
    changeRound(gibRounds, X, 'gone', { targetUm: 99 }).run(job, '2026-11-30T08:00:00.000Z', 'line')
    expect(job).toEqual(skarrow().job)
  })

  test('the record has those that were read, and a job without any says nothing of them', () => {
    expect(JSON.stringify(evaluateAxis(X, CATALOGUE, 'mm').findings.map(({ checkId }) => checkId))).toContain(
      'align.gib',
    )
    expect(find({ ...X, gibRounds: [] }, 'align.gib')).toBeNull()
  })
})

test('shims come as near as the stock does', () => {
  const words = (um: number) =>
    shimWords(um, [0.02, 0.05, 0.1], (value, quantity, decimals) => say(value, quantity, 'mm', decimals))
  expect(words(70)).toBe('50 µm + 20 µm from stock')
  expect(words(5)).toBe('less than the thinnest shim at hand')
  expect(words(217)).toBe('100 µm + 100 µm + 20 µm from stock, 220 µm in all')
})

/** The same question, asked the long way: fits the others and sees how far off each is. */
function byLeavingOut(rows: number[][], values: number[], step: number): number | null {
  const unknowns = rows[0]?.length ?? 0
  const spreads = coverageFactor(1 - 0.01 / rows.length, rows.length - 1 - unknowns)
  let worst: number | null = null
  let most = 1
  for (const [index, row] of rows.entries()) {
    const fitted = leastSquares(rows.toSpliced(index, 1), values.toSpliced(index, 1))
    if (!fitted || fitted.spread === null) continue
    const offBy = Math.abs(
      (values[index] as number) -
        row.reduce((sum, one, at) => sum + one * (fitted.coefficients[at] as number), 0),
    )
    const unsure = Math.hypot(fitted.spread, standardErrorOf(fitted, row) ?? 0)
    const share = offBy / Math.max(spreads * unsure, 4 * step)
    if (share > most * (1 + 1e-9)) [worst, most] = [index, share]
  }
  return worst
}

test('a reading that lies far off what fits the others is found, and an honest one is not', () => {
  const rows = [0, 1, 2, 3, 4, 5].map(x => [1, x])
  expect(offTheFit(rows, [0, 1.1, 1.9, 30, 4.1, 5], 0.1)).toBe(3)
  expect(offTheFit(rows, [0, 1.1, 1.9, 3.2, 4.1, 5], 0.1)).toBeNull()
  // By leverage it comes to what leaving each out in turn comes to.
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: -30, max: 30 })), {
        minLength: 5,
        maxLength: 12,
      }),
      readings => {
        const shape = readings.map(([at]) => [1, at])
        const values = readings.map(([, value]) => value)
        expect(offTheFit(shape, values, 0.01)).toBe(byLeavingOut(shape, values, 0.01))
      },
    ),
  )
  expect(offTheFit(rows.slice(0, 3), [0, 1, 30], 0.1)).toBeNull()
})

describe('calipers', () => {
  const STEP_UM = 20
  test('find what is badly off, and say where they cannot tell', () => {
    const wobbly = (wholeUm: number, gaugeStepUm: number) =>
      find(
        {
          ...Y,
          runOutRounds: [
            {
              ...last(Y.runOutRounds),
              gaugeStepUm,
              stations: last(Y.runOutRounds).stations.map(one => ({
                ...one,
                wholeUm: one.where === 'far' ? wholeUm : 0,
              })),
            },
          ],
        },
        'align.runOut',
      )?.state
    expect(wobbly(260, STEP_UM)).toBe('fails')
    expect(wobbly(0, STEP_UM)).toBe('holds')
    // Small enough that it may as well be nothing: an indicator tells, calipers do not.
    const doubtful = [10, 15, 20, 25, 30].find(um => wobbly(um, 1) !== 'holds') as number
    expect(wobbly(doubtful, STEP_UM)).toBe('unknown')
  })

  test('do not see a play as small as what the preload squeezes', () => {
    const set = { ...last(ALIGNED_SKARROW_X.preloadRounds), set: 'matched' as const, playUm: 0 }
    const at = (gaugeStepUm: number) =>
      find({ ...X, preloadRounds: [{ ...set, gaugeStepUm, turnedDeg: null }] }, 'align.preload')
    expect(at(1)?.state).toBe('holds')
    expect(at(100)?.state).toBe('unknown')
    expect(at(100)?.sentence).toContain('feel for a knock')
  })

  test('do not judge a rail to what is finer than their step', () => {
    const [rail] = ALIGNED_LONG_TOM_X.railRounds as [Axis['railRounds'][number]]
    const at = (gaugeStepUm: number) =>
      find(
        {
          ...gantry,
          railRounds: [
            {
              ...rail,
              gaugeStepUm,
              acceptedUm: 20,
              stations: rail.stations.map((one, index) => ({
                ...one,
                readingUm: [0, 20, 30, 20, 20, 0][index] as number,
              })),
            },
          ],
        },
        'align.rails',
      )?.state
    expect(at(1)).toBe('fails')
    expect(at(STEP_UM)).toBe('unknown')
  })
})

test('the screw of an upright axis is brought out and set back, not raised', () => {
  const upright: Axis = {
    ...X,
    dimensions: { ...X.dimensions, inclineDeg: { value: 90, provenance: 'measured' } },
    rounds: X.rounds.slice(0, 1),
  }
  expect(find(upright, 'align.height')?.sentence).toMatch(
    /(Bring|Set) the (far|fixed) block (out from|back to) the ways/,
  )
  expect(find(upright, 'align.height')?.sentence).not.toMatch(/Raise|Lower/)
})

test('more preload opens later and lives shorter; the wanted one lies between both ends', () => {
  const t = evaluateAxis(X, CATALOGUE, 'mm')
  const { least, wanted, most } = preloadRange(t)
  const { preloadN } = t.part('bearing')
  expect(wanted.preloadN).toBeCloseTo(preloadN, 6)
  expect(wanted.lifeHours).toBeCloseTo(bearingLifeHours(t), 6)
  for (const [less, more] of [
    [least, wanted],
    [wanted, most],
  ] as const) {
    expect(less.turnDeg).toBeLessThan(more.turnDeg)
    expect(less.opensN).toBeLessThan(more.opensN)
    expect(less.lifeHours).toBeGreaterThan(more.lifeHours)
  }
  // With none at all the whole load is on one bearing.
  expect(setBy(t, 0)).toMatchObject({ preloadN: 0, opensN: 0 })
  expect(setBy(t, 0).lifeHours).toBeGreaterThan(0)
})
