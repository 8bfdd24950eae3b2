import fc from 'fast-check'
import { evenRandom, normalFrom } from '../../../calculation/evenRandom'
import { blankRecord, numbered } from '../../../field/field'
import { say } from '../../../units/print'
import { couplerRounds } from '../../shafts/rounds'
import { waysRounds } from '../../waysFriction/rounds'
import { ROUND } from './model'
import { oddAdvice, oddReadings } from './odd'

type CouplerRound = Parameters<typeof couplerRounds.worst>[1]

const coupler = (rim: (number | null)[], angles = rim.map((_, index) => (360 / rim.length) * index)) =>
  ({
    id: 'r',
    ...blankRecord(ROUND),
    screw: 'first',
    gaugeStepUm: 10,
    faceRadiusMm: 10,
    armSagUm: null,
    tipLifted: 'more',
    plateBoltsMm: 60,
    stations: numbered(
      'angle',
      rim.map((rimUm, index) => ({ angleDeg: angles[index] as number, rimUm, faceUm: null })),
    ),
  }) satisfies CouplerRound
const why = (round: CouplerRound) => oddReadings(couplerRounds, round).map(({ index, why }) => [index, why])
const words = (round: CouplerRound) =>
  oddAdvice(couplerRounds, round, (value, quantity, decimals) => say(value, quantity, 'mm', decimals))
    ?.sentence

const WAVE = [120, 90, 0, -90, -120, -90, 0, 90].map(one => one + 40)

test('honest readings are not odd, wherever the dial was zeroed', () => {
  fc.assert(
    fc.property(fc.integer({ min: -500, max: 500 }), fc.integer({ min: -3, max: 3 }), (zero, tenths) => {
      expect(why(coupler(WAVE.map((one, index) => one + zero + (index % 2) * tenths)))).toEqual([])
    }),
  )
})

test('a slip is found at its cell, whichever it is', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 7 }), fc.constantFrom(-400, 400, 900), (at, by) => {
      expect(why(coupler(WAVE.map((one, index) => (index === at ? one + by : one))))).toEqual([[at, 'off']])
    }),
  )
  expect(words(coupler(WAVE.with(2, 640)))).toBe(
    'Rim at 90°, 640 µm, lies far off the others: the tip ran over a screw or a slot, or a slip. Read it again.',
  )
})

test('a reading finer than the gauge was typed in another unit', () => {
  // 0.03 mm typed where micrometres were asked for.
  expect(why(coupler(WAVE.with(5, 0.03)))).toEqual([[5, 'finer']])
  expect(words(coupler(WAVE.with(5, 0.03)))).toContain('is finer than the gauge can show')
})

test('angles typed as readings and readings as angles are swapped columns; angles in any order are not', () => {
  const angles = [0, 60, 120, 180, 240, 300]
  const readings = [40, 110, 60, 10, 5, 20]
  expect(why(coupler(angles, readings))).toEqual([[0, 'swapped']])
  expect(words(coupler(angles, readings))).toContain('each other’s column')
  const wave = (deg: number) => 100 * Math.cos((deg * Math.PI) / 180)
  const order = [240, 0, 180, 60, 300, 120]
  expect(why(coupler(order.map(wave), order))).toEqual([])
})

test('what cannot be told is not called odd: a few readings, or a gauge that nobody named', () => {
  expect(why(coupler([0, 10, 500, null, null, null]))).toEqual([])
  const zeroed = WAVE.map(one => one - 40).with(2, 0.03)
  expect(why(coupler(zeroed))).toEqual([[2, 'finer']])
  expect(why({ ...coupler(zeroed), gaugeStepUm: null })).toEqual([])
})

test('a pull that was jerked is found by the line of the others', () => {
  const round = {
    id: 'r',
    ...blankRecord(ROUND),
    massKg: 60,
    scaleStepN: 1,
    stations: numbered(
      'pull',
      [60, 72, 84, 150, 108].map((pullN, index) => ({ addedMassKg: 12 * index, pullN })),
    ),
  }
  expect(oddReadings(waysRounds, round)).toMatchObject([{ index: 3, key: 'pullN', why: 'off' }])
})

describe('of simulated sweeps', () => {
  const sweep = (seed: number, places: number, slipUm: number) => {
    const draw = normalFrom(evenRandom(seed))
    const read = Array.from(
      { length: places },
      (_, index) => 90 * Math.cos((2 * Math.PI * index) / places - seed) + 4 * draw(),
    ).map(Math.round)
    return coupler(read.with(seed % places, (read[seed % places] as number) + slipUm))
  }
  const seeds = Array.from({ length: 400 }, (_, index) => index + 1)
  const marked = (places: number, slipUm: number) =>
    seeds.filter(seed => why({ ...sweep(seed, places, slipUm), gaugeStepUm: 1 }).length > 0).length /
    seeds.length

  test('honest ones are left alone, few readings as well as many', () => {
    for (const places of [6, 8, 12]) expect(marked(places, 0)).toBeLessThanOrEqual(0.02)
  })

  test('a slip of half a millimetre is found', () => {
    for (const places of [6, 8, 12]) expect(marked(places, 500)).toBeGreaterThanOrEqual(0.95)
  })
})
