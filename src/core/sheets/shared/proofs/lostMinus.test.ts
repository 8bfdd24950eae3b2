import fc from 'fast-check'
import { isOneSided, pushedOneWay } from './lostMinus'

const FORCES = [-300, -200, -100, 100, 200, 300]
const read = (playUm: number, givePerN: number, zeroUm = 0) =>
  FORCES.map(forceN => ({
    forceN,
    displacementUm: Math.round(zeroUm + (Math.sign(forceN) * playUm) / 2 + givePerN * forceN),
  }))
const lost = (pushes: ReturnType<typeof read>) =>
  pushes.map(one => ({ ...one, displacementUm: Math.abs(one.displacementUm) }))

test('readings whose minus was lost are told, whatever the play; those that have it are not', () => {
  fc.assert(
    fc.property(fc.integer({ min: 10, max: 400 }), fc.integer({ min: 0, max: 80 }), (playUm, per) => {
      const pushes = read(playUm, per / 1000)
      expect(pushedOneWay(lost(pushes), 1)).toBe(true)
      expect(pushedOneWay(pushes, 1)).toBe(false)
    }),
  )
})

test('a gauge that was never set to zero still goes the other way when it is pulled', () => {
  expect(pushedOneWay(read(0, 0.05, 120), 1)).toBe(false)
  expect(pushedOneWay(read(60, 0.02, 400), 1)).toBe(false)
  // Nothing that moves, near its zero.
  expect(pushedOneWay(read(0, 0.005), 1)).toBe(false)
  expect(pushedOneWay([], 1)).toBe(false)
})

test('two sides are one where they are alike and away from zero', () => {
  expect(isOneSided(41, 40, 1, 0.1)).toBe(true)
  expect(isOneSided(41, -40, 1, 0.1)).toBe(false)
  expect(isOneSided(2, 2, 1, 0.1)).toBe(false)
  expect(isOneSided(60, 40, 1, 0.1)).toBe(false)
})
