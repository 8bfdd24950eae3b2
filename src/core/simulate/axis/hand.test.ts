import { Hand, SLIPS, type Slip } from './hand'
import {
  drillClutch,
  indicator,
  SMALL_DRILL,
  scaleOnLever,
  springScale,
  thermometer,
  torqueDriver,
} from './instruments'

const FINE = { step: 0, spread: 0 }
const TRUE = [12, -8, 30, -25, 4, -16, 9, -3, 21, -11]
const byIndicator = (slip: Slip | null, size = 0) => {
  const hand = new Hand(5, slip, size, TRUE.length)
  return TRUE.map(value => hand.read(value, FINE))
}
const scale = (slip: Slip | null) => {
  const hand = new Hand(5, slip, 0, TRUE.length)
  return TRUE.map(value => hand.measure(Math.abs(value), FINE))
}

test('reads what is there, in steps of its gauge, and is uncertain by its spread', () => {
  expect(byIndicator(null)).toEqual(TRUE)
  expect(new Hand(1, null).read(12.4, { step: 5, spread: 0 })).toBe(10)
  const hand = new Hand(3, null)
  const read = Array.from({ length: 4000 }, () => hand.read(50, { step: 0, spread: 2 }))
  const mean = read.reduce((sum, one) => sum + one, 0) / read.length
  const deviation = Math.sqrt(read.reduce((sum, one) => sum + (one - mean) ** 2, 0) / read.length)
  expect([Math.abs(mean - 50) < 0.15, Math.abs(deviation - 2) < 0.1]).toEqual([true, true])
})

test('what has a zero of its own never reads less than that', () => {
  const hand = new Hand(9, null)
  for (let i = 0; i < 200; i++) expect(hand.measure(0.1, { step: 0.01, spread: 1 })).toBeGreaterThanOrEqual(0)
})

test.each(SLIPS)('%s is what it says, and the same for the same seed', slip => {
  const [read, again] = [byIndicator(slip, 18), byIndicator(slip, 18)]
  expect(read).toEqual(again)
  const off = read.map((value, index) => value - (TRUE[index] as number))
  switch (slip) {
    case 'creeping-base':
      expect(off[0]).toBe(0)
      expect(Math.abs(off.at(-1) as number)).toBeCloseTo(18, 9)
      expect((off[4] as number) / (off[8] as number)).toBeCloseTo(0.5, 9)
      break
    case 'knock': {
      const shifts = new Set(off.map(one => Math.abs(Math.round(one))))
      expect([...shifts].every(one => one === 0 || one === 18)).toBe(true)
      expect(Math.abs(off.at(-1) as number)).toBeCloseTo(18, 9)
      break
    }
    case 'reversed-gauge':
      expect(read).toEqual(TRUE.map(value => -value))
      break
    case 'lost-minus':
      expect(read.map(Math.abs)).toEqual(TRUE.map(Math.abs))
      expect(read.at(-1)).toBe(11)
      break
    case 'wrong-unit':
      expect(read[2]).toBeCloseTo(30 / 25.4, 9)
      break
    case 'slipped-digit':
      expect(read.filter((value, index) => value === 10 * (TRUE[index] as number))).toHaveLength(1)
      expect(scale(slip).filter((value, index) => value !== Math.abs(TRUE[index] as number))).toHaveLength(1)
      break
    case 'kilograms-for-newtons':
      expect(new Hand(1, slip).force(98.0665)).toBe(10)
      expect(new Hand(1, null).force(98.0665)).toBe(98.0665)
  }
})

test('a scale on a lever, a driver and a clutch say the same torque, each in its own figures', () => {
  const mean = (of: (hand: Hand) => number) =>
    Array.from({ length: 400 }, (_, seed) => of(new Hand(seed + 1, null))).reduce(
      (sum, one) => sum + one,
      0,
    ) / 400
  expect(Math.abs(mean(hand => scaleOnLever(0.4, 80, 0.1, hand)) - 5)).toBeLessThan(0.05)
  expect(Math.abs(mean(hand => torqueDriver(0.4, 0.02, hand)) - 0.4)).toBeLessThan(0.005)
  // The number that turns it is the first that is as strong.
  const number = drillClutch(0.4, new Hand(1, null))
  expect(SMALL_DRILL.firstNm + (number - 1) * SMALL_DRILL.stepNm).toBeGreaterThan(0.36)
  expect(drillClutch(0.001, new Hand(2, null))).toBe(1)
  expect(drillClutch(50, new Hand(2, null))).toBe(SMALL_DRILL.numbers)
})

test('a scale that shows kilograms is a tenth of the pull; a thermometer slips nowhere, and shows frost', () => {
  const kilograms = springScale(98.0665, null, new Hand(4, 'kilograms-for-newtons'))
  expect(Math.abs(kilograms - 10)).toBeLessThan(1)
  expect(thermometer(-4.2, 0.5, new Hand(3, 'lost-minus'))).toBeLessThan(-3)
  expect(indicator(null)).toEqual({ step: 0, spread: 0.7 })
  expect(indicator(10)).toEqual({ step: 10, spread: 2 })
})
