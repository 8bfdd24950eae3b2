import fc from 'fast-check'
import { bearingLife } from '../machine/sizing/bearingLife'
import { beltCentres, beltLength, beltStiffness, beltTension } from '../machine/sizing/belt'
import { drilling, milling } from '../machine/sizing/cutting'
import { gantryShare } from '../machine/sizing/gantry'
import { handwheelForce } from '../machine/sizing/handwheel'
import { stepResolution } from '../machine/sizing/motorSteps'
import { leadError, thermalGrowth } from '../machine/sizing/screwAccuracy'

const within = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const teeth = fc.integer({ min: 10, max: 80 })

test('a belt of whole teeth is as long as its centres say, and the other way round', () => {
  fc.assert(
    fc.property(within(2, 10), teeth, teeth, fc.integer({ min: 0, max: 300 }), (pitchMm, a, b, more) => {
      const pulleys = { pitchMm, teethSmall: Math.min(a, b), teethLarge: Math.max(a, b) }
      const beltTeeth = pulleys.teethLarge * 2 + more + 10
      const { centreDistanceMm } = beltCentres({ ...pulleys, beltTeeth })
      expect(beltLength({ ...pulleys, centreDistanceMm }).beltTeeth).toBeCloseTo(beltTeeth, 6)
    }),
  )
})

test('round equal pulleys half of each is wrapped, and the span is the distance', () => {
  const { teethInMesh, spanMm, lengthMm } = beltLength({
    pitchMm: 5,
    teethSmall: 30,
    teethLarge: 30,
    centreDistanceMm: 200,
  })
  expect([teethInMesh, spanMm, lengthMm]).toEqual([15, 200, 550])
})

test('pulleys that touch are refused, and the large one must be the larger', () => {
  const pulleys = { pitchMm: 5, teethSmall: 20, teethLarge: 40 }
  expect(() => beltLength({ ...pulleys, centreDistanceMm: 47 })).toThrow(
    'centreDistanceMm: got 47, takes a number over 47.75',
  )
  expect(() => beltLength({ ...pulleys, teethLarge: 10, centreDistanceMm: 100 })).toThrow(
    'teethLarge: got 10',
  )
  expect(() => beltCentres({ ...pulleys, beltTeeth: 40 })).toThrow('beltTeeth: got 40')
})

test('twice the torque is twice the pull, and a fourfold tension doubles the note', () => {
  const inputs = { torqueNm: 1, teethSmall: 20, pitchMm: 5, spanMm: 100, massPerLengthKgPerM: 0.04 }
  const one = beltTension(inputs)
  expect(beltTension({ ...inputs, torqueNm: 2 }).effectivePullN).toBeCloseTo(2 * one.effectivePullN, 9)
  expect(beltTension({ ...inputs, tensionFactor: 4 }).spanFrequencyHz).toBeCloseTo(2 * one.spanFrequencyHz, 9)
  expect(one.shaftLoadN).toBeCloseTo(one.effectivePullN, 9)
})

test('a belt is stiffer the shorter its span, by the square of its pulley', () => {
  const belt = { cordStiffnessN: 175_000, spanMm: 120, pitchMm: 5, teethScrew: 36 }
  const stiff = beltStiffness(belt).torsionalStiffnessNmPerRad
  expect(beltStiffness({ ...belt, spanMm: 60 }).torsionalStiffnessNmPerRad).toBeCloseTo(2 * stiff, 6)
  expect(beltStiffness({ ...belt, teethScrew: 72 }).torsionalStiffnessNmPerRad).toBeCloseTo(4 * stiff, 6)
})

test('a cut over the full width is the same however much wider it is called', () => {
  const cut = {
    specificForceNPerMm2: 1800,
    chipExponent: 0.25,
    feedPerToothMm: 0.05,
    teeth: 4,
    spindleRpm: 2000,
    toolDiameterMm: 10,
    depthMm: 2,
    widthMm: 10,
  }
  expect(milling({ ...cut, widthMm: 14 }).meanChipMm).toBe(milling(cut).meanChipMm)
  expect(milling({ ...cut, depthMm: 4 }).tangentialForceN).toBeCloseTo(2 * milling(cut).tangentialForceN, 9)
  // Without the thinning of the chip the force per area is the material's own.
  expect(milling({ ...cut, chipExponent: 0 }).specificForceNPerMm2).toBe(1800)
})

test('a flat drill pushes with the whole of its edges', () => {
  const hole = {
    specificForceNPerMm2: 700,
    chipExponent: 0,
    feedPerRevMm: 0.1,
    drillDiameterMm: 8,
    pointAngleDeg: 180,
  }
  expect(drilling(hole).thrustN).toBeCloseTo(0.5 * 700 * 4 * 0.1, 9)
  expect(drilling({ ...hole, drillDiameterMm: 16 }).torqueNm).toBeCloseTo(4 * drilling(hole).torqueNm, 9)
})

test('the tolerance of a lead never falls with the travel, and a better class is never worse', () => {
  fc.assert(
    fc.property(within(1, 4000), within(1, 4000), (a, b) => {
      const of = (toleranceClass: 'P1' | 'P3' | 'P5' | 'T7' | 'T10', travelMm: number) =>
        leadError({ toleranceClass, travelMm }).travelToleranceUm
      for (const name of ['P1', 'P3', 'P5', 'T7', 'T10'] as const)
        expect(of(name, Math.max(a, b))).toBeGreaterThanOrEqual(of(name, Math.min(a, b)))
      expect(of('P1', a)).toBeLessThan(of('P3', a))
      expect(of('P3', a)).toBeLessThan(of('P5', a))
      expect(of('T7', a)).toBeLessThan(of('T10', a))
    }),
  )
  // Beyond the table its last step goes on in proportion.
  expect(leadError({ toleranceClass: 'P5', travelMm: 3200 }).travelToleranceUm).toBeCloseTo(110, 9)
})

test('the pull that holds a warm screw back stretches it by just its growth', () => {
  const { growthUm, pretensionN } = thermalGrowth({ lengthMm: 800, temperatureRiseK: 12, rootDiameterMm: 20 })
  const stretchUm = (pretensionN * 800 * 1000) / (206_000 * Math.PI * 10 ** 2)
  expect(stretchUm).toBeCloseTo(growthUm, 6)
})

test('twice the load is an eighth of the life, and pairs last longer than single bearings', () => {
  const inputs = {
    dynamicCapacityN: 9000,
    contactAngleDeg: 40 as const,
    arrangement: 'back-to-back' as const,
    radialLoadN: 100,
    axialLoadN: 900,
    meanSpeedRpm: 500,
  }
  const one = bearingLife(inputs)
  const twice = bearingLife({ ...inputs, radialLoadN: 200, axialLoadN: 1800 })
  expect(one.lifeHours / twice.lifeHours).toBeCloseTo(8, 6)
  expect(() => bearingLife({ ...inputs, contactAngleDeg: 35 })).toThrow(
    'contactAngleDeg: got 35, takes one of 25, 30, 40 deg',
  )
  expect(() => bearingLife({ ...inputs, radialLoadN: 0, axialLoadN: 0 })).toThrow('axialLoadN')
})

test('two screws carry the whole load between them, the near one more', () => {
  fc.assert(
    fc.property(within(50, 5000), within(0, 0.5), (screwSpacingMm, part) => {
      const { nearShare, farShare } = gantryShare({ screwSpacingMm, offCentreMm: part * screwSpacingMm })
      expect(nearShare + farShare).toBeCloseTo(1, 12)
      expect(nearShare).toBeGreaterThanOrEqual(farShare)
    }),
  )
  expect(() => gantryShare({ screwSpacingMm: 800, offCentreMm: 401 })).toThrow('offCentreMm: got 401')
})

test('a handwheel of twice the size takes half the force, and the motor its share', () => {
  const hand = { screwTorqueNm: 0.6, motorDragNm: 0.06, ratio: 2, radiusMm: 60 }
  expect(handwheelForce(hand).rimForceN).toBeCloseTo(12, 9)
  expect(handwheelForce({ ...hand, radiusMm: 120 }).rimForceN).toBeCloseTo(6, 9)
  expect(handwheelForce(hand).motorShare).toBeCloseTo(0.12 / 0.72, 9)
  expect(handwheelForce({ ...hand, screwTorqueNm: 0, motorDragNm: 0 })).toEqual({
    rimForceN: 0,
    motorShare: 0,
  })
})

test('doubling the lead doubles the step; microsteps share it out without adding torque', () => {
  const motor = { leadMm: 5, fullStepsPerRev: 200, microsteps: 8, ratio: 1, holdingTorqueNm: 2 }
  const one = stepResolution(motor)
  expect(stepResolution({ ...motor, leadMm: 10 }).fullStepUm).toBe(2 * one.fullStepUm)
  expect(one.microstepUm * 8).toBe(one.fullStepUm)
  expect(stepResolution({ ...motor, microsteps: 1 }).torquePerMicrostepNm).toBeCloseTo(2, 9)
})
