import fc from 'fast-check'
import { InputError } from '../../calculation/inputError'
import { SCREW_ENDS } from '../../document/kinds'
import { lostMotion, unpoweredDrop } from './axis'
import { bearingPairShare } from './bearing'
import { reflectedInertia, requiredTorque } from './drive'
import { axialForces, trapezoid } from './motion'
import { stepperTorque, tableTorque } from './motor'
import { frictionLag } from './motorSteps'
import { nutStiffness } from './nut'
import { buckling, criticalSpeed, screwAxialStiffness } from './screw'
import { meanLoad, preloadedLife, screwLife } from './screwLife'
import { driveTorque, screwEfficiency } from './screwTorque'

const length = fc.double({ min: 50, max: 3000, noNaN: true })
const diameter = fc.double({ min: 6, max: 60, noNaN: true })
const force = fc.double({ min: 1, max: 20_000, noNaN: true })
const ends = fc.constantFrom(...SCREW_ENDS)
const phase = fc.record({
  forceN: fc.double({ min: -5000, max: 5000, noNaN: true }),
  speedRpm: fc.double({ min: 1, max: 3000, noNaN: true }),
  timeShare: fc.double({ min: 0.01, max: 1, noNaN: true }),
})

describe('screw', () => {
  test('critical speed goes with the root diameter and against the square of the length', () => {
    fc.assert(
      fc.property(diameter, length, ends, (rootDiameterMm, freeLengthMm, ends) => {
        const one = criticalSpeed({ rootDiameterMm, freeLengthMm, ends }).criticalSpeedRpm
        expect(
          criticalSpeed({ rootDiameterMm: 2 * rootDiameterMm, freeLengthMm, ends }).criticalSpeedRpm / one,
        ).toBeCloseTo(2, 9)
        expect(
          criticalSpeed({ rootDiameterMm, freeLengthMm: 2 * freeLengthMm, ends }).criticalSpeedRpm / one,
        ).toBeCloseTo(0.25, 9)
      }),
    )
  })

  test('stiffer ends are never worse, for whip or for buckling', () => {
    fc.assert(
      fc.property(diameter, length, (rootDiameterMm, freeLengthMm) => {
        const whips = SCREW_ENDS.map(
          ends => criticalSpeed({ rootDiameterMm, freeLengthMm, ends }).criticalSpeedRpm,
        )
        const loads = SCREW_ENDS.map(ends => buckling({ rootDiameterMm, freeLengthMm, ends }).bucklingLoadN)
        expect(whips).toEqual(whips.toSorted((a, b) => a - b))
        expect(loads).toEqual(loads.toSorted((a, b) => a - b))
      }),
    )
  })

  test('buckling passes smoothly from Johnson to Euler', () => {
    const transition = Math.sqrt((2 * Math.PI ** 2 * 206_000) / 400)
    const freeLengthMm = (transition * 20) / 4
    const at = (lengthMm: number) =>
      buckling({ rootDiameterMm: 20, freeLengthMm: lengthMm, ends: 'supported-supported' })
    const short = at(freeLengthMm * (1 - 1e-7))
    const long = at(freeLengthMm * (1 + 1e-7))
    expect([short.regime, long.regime]).toEqual(['johnson', 'euler'])
    expect(short.bucklingLoadN / long.bucklingLoadN).toBeCloseTo(1, 5)
  })

  test('a screw held at both ends is stiffest near them and four times as stiff in the middle as one held at one end', () => {
    const at = (distanceMm: number, axialSupport: 'one-end' | 'both-ends') =>
      screwAxialStiffness({ rootDiameterMm: 20, supportedLengthMm: 800, distanceMm, axialSupport })
        .stiffnessNPerUm
    expect(at(400, 'both-ends') / at(800, 'one-end')).toBeCloseTo(4, 9)
    expect(at(100, 'both-ends')).toBeCloseTo(at(700, 'both-ends'), 9)
    expect(() => at(800, 'both-ends')).toThrow(InputError)
  })

  test('a lead or length without meaning is refused by name', () => {
    expect(() => driveTorque({ axialForceN: 1, leadMm: 0, efficiency: 0.9 })).toThrow(
      'leadMm: got 0, takes a number over 0 mm',
    )
    expect(() => criticalSpeed({ rootDiameterMm: 17, freeLengthMm: Number.NaN, ends: 'fixed-free' })).toThrow(
      'freeLengthMm: got NaN',
    )
    expect(() =>
      criticalSpeed({ rootDiameterMm: 17, freeLengthMm: 500, ends: 'loose' as 'fixed-free' }),
    ).toThrow('ends: got "loose", takes one of fixed-free, supported-supported, fixed-supported, fixed-fixed')
    expect(() => meanLoad({ phases: [{ forceN: 1, speedRpm: 1, timeShare: 1.2 }] })).toThrow(
      'phases[0].timeShare: got 1.2',
    )
  })

  test('what a screw passes on, it cannot exceed; a self-locking one passes nothing back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 30, noNaN: true }),
        diameter,
        fc.double({ min: 0.001, max: 0.25, noNaN: true }),
        (leadMm, pitchDiameterMm, frictionCoefficient) => {
          fc.pre(leadMm < Math.PI * pitchDiameterMm)
          const { forward, backward, selfLocking } = screwEfficiency({
            leadMm,
            pitchDiameterMm,
            frictionCoefficient,
            flankAngleDeg: 15,
          })
          expect(forward).toBeLessThan(1)
          expect(forward).toBeGreaterThan(0)
          expect(backward === 0).toBe(selfLocking)
          expect(backward).toBeLessThan(forward)
          // A screw that locks itself is at most half efficient.
          if (selfLocking) expect(forward).toBeLessThanOrEqual(0.5)
        },
      ),
    )
  })
})

describe('life', () => {
  test('half the load lasts eight times as long', () => {
    const life = (equivalentLoadN: number) =>
      screwLife({ dynamicCapacityN: 12_000, equivalentLoadN, meanSpeedRpm: 500, leadMm: 5, loadFactor: 1 })
        .lifeHours
    expect(life(500) / life(1000)).toBeCloseTo(8, 9)
  })

  test('the order of the phases and the scale of the shares do not matter', () => {
    fc.assert(
      fc.property(fc.array(phase, { minLength: 1, maxLength: 6 }), phases => {
        const one = meanLoad({ phases })
        const other = meanLoad({
          phases: phases.toReversed().map(p => ({ ...p, timeShare: p.timeShare / 2 })),
        })
        expect(other.equivalentLoadN).toBeCloseTo(one.equivalentLoadN, 6)
        expect(other.meanSpeedRpm).toBeCloseTo(one.meanSpeedRpm, 6)
      }),
    )
  })

  test('the mean load lies between the lightest and the heaviest', () => {
    fc.assert(
      fc.property(fc.array(phase, { minLength: 1, maxLength: 6 }), phases => {
        const sizes = phases.map(p => Math.abs(p.forceN))
        const { equivalentLoadN } = meanLoad({ phases })
        expect(equivalentLoadN).toBeLessThanOrEqual(Math.max(...sizes) * (1 + 1e-9))
        expect(equivalentLoadN).toBeGreaterThanOrEqual(Math.min(...sizes) * (1 - 1e-9) - 1e-9)
      }),
    )
  })

  test('mirrored duty wears a preloaded nut alike; more preload never makes it last longer at no load', () => {
    fc.assert(
      fc.property(fc.array(phase, { minLength: 1, maxLength: 4 }), phases => {
        const life = (list: typeof phases) =>
          preloadedLife({ dynamicCapacityN: 12_000, preloadN: 500, phases: list, leadMm: 5 }).lifeHours
        expect(life(phases.map(p => ({ ...p, forceN: -p.forceN }))) / life(phases)).toBeCloseTo(1, 9)
      }),
    )
    const idle = (preloadN: number) =>
      preloadedLife({
        dynamicCapacityN: 12_000,
        preloadN,
        phases: [{ forceN: 0, speedRpm: 500, timeShare: 1 }],
        leadMm: 5,
      }).lifeHours
    expect(idle(400) / idle(800)).toBeCloseTo(8, 6)
  })

  test('no phase that turns is an error', () => {
    expect(() => meanLoad({ phases: [{ forceN: 1, speedRpm: 0, timeShare: 1 }] })).toThrow(
      'at least one phase with a speed',
    )
    expect(() => meanLoad({ phases: [] })).toThrow('phases: got [], takes a list of at least 1')
  })
})

describe('preloaded pair', () => {
  test('opens smoothly, and the difference of the halves is the outside load until then', () => {
    fc.assert(
      fc.property(force, fc.double({ min: 0, max: 0.999, noNaN: true }), (preloadN, share) => {
        const { unloadingForceN } = bearingPairShare({ preloadN, externalN: 0 })
        const externalN = share * unloadingForceN
        const { loadedN, relievedN } = bearingPairShare({ preloadN, externalN })
        expect(loadedN - relievedN).toBeCloseTo(externalN, 6)
      }),
    )
    const { unloadingForceN } = bearingPairShare({ preloadN: 300, externalN: 0 })
    const before = bearingPairShare({ preloadN: 300, externalN: unloadingForceN * (1 - 1e-9) })
    const after = bearingPairShare({ preloadN: 300, externalN: unloadingForceN * (1 + 1e-9) })
    expect(before.loadedN).toBeCloseTo(after.loadedN, 3)
    expect(after.relievedN).toBe(0)
  })

  test('a nut with neither preload nor load has no stiffness to speak of', () => {
    expect(() =>
      nutStiffness({ ratedStiffnessNPerUm: 200, dynamicCapacityN: 9000, preloadN: 0, axialLoadN: 0 }),
    ).toThrow(InputError)
  })
})

describe('motor and drive', () => {
  const stepper = {
    holdingTorqueNm: 2,
    ratedCurrentA: 4,
    driveCurrentA: 4,
    inductanceMh: 3,
    supplyV: 48,
    fullStepsPerRev: 200,
  }

  test('stepper torque never rises with speed and is continuous at the corner', () => {
    const at = (speedRpm: number) => stepperTorque({ ...stepper, speedRpm })
    const { cornerSpeedRpm } = at(0)
    expect(at(cornerSpeedRpm * (1 + 1e-9)).torqueNm).toBeCloseTo(at(cornerSpeedRpm).torqueNm, 6)
    fc.assert(
      fc.property(fc.nat(3000), fc.nat(3000), (a, b) => {
        expect(at(Math.max(a, b)).torqueNm).toBeLessThanOrEqual(at(Math.min(a, b)).torqueNm + 1e-12)
      }),
    )
  })

  test('a motor curve is met at its points and must rise in speed', () => {
    const curve = [
      { speedRpm: 100, torqueNm: 2 },
      { speedRpm: 300, torqueNm: 1 },
    ]
    const at = (speedRpm: number) => tableTorque({ curve, speedRpm }).torqueNm
    expect([at(0), at(100), at(200), at(300), at(301)]).toEqual([2, 2, 1.5, 1, 0])
    expect(() => tableTorque({ curve: curve.toReversed(), speedRpm: 1 })).toThrow(
      'curve[1].speedRpm: got 100, takes a speed over 300 rpm',
    )
  })

  test('doubling the lead doubles the full step and what friction loses at the table', () => {
    const lag = (leadMm: number) =>
      frictionLag({ frictionTorqueNm: 0.3, holdingTorqueNm: 2, fullStepsPerRev: 200, leadMm, ratio: 1 })
        .reversalUm
    expect(lag(10) / lag(5)).toBeCloseTo(2, 9)
    expect(() =>
      frictionLag({ frictionTorqueNm: 3, holdingTorqueNm: 2, fullStepsPerRev: 200, leadMm: 5, ratio: 1 }),
    ).toThrow('up to the holding torque, 2 N m')
  })

  test('a ratio cuts the screw side by its square', () => {
    const at = (ratio: number) =>
      reflectedInertia({
        massKg: 50,
        leadMm: 5,
        screwDiameterMm: 20,
        screwLengthMm: 600,
        couplerInertiaKgM2: 1e-5,
        ratio,
      }).reflectedInertiaKgM2
    expect(at(1) / at(3)).toBeCloseTo(9, 9)
  })

  test('causes of lost motion add up', () => {
    const nothing = {
      nutPlayUm: 0,
      bearingPlayUm: 0,
      couplerBacklashDeg: 0,
      beltPlayUm: 0,
      leadMm: 5,
      frictionN: 0,
      stiffnessNPerUm: 50,
      motorReversalUm: 0,
    }
    expect(lostMotion(nothing).totalUm).toBe(0)
    expect(lostMotion({ ...nothing, nutPlayUm: 12, couplerBacklashDeg: 0.36, frictionN: 100 })).toEqual({
      couplerUm: 5,
      elasticUm: 4,
      totalUm: 21,
    })
  })

  test('a level axis never runs down', () => {
    const level = {
      massKg: 80,
      inclineDeg: 0,
      counterbalanceN: 0,
      leadMm: 10,
      backwardEfficiency: 0.9,
      ratio: 1,
      detentTorqueNm: 0,
      dragTorqueNm: 0,
    }
    expect(unpoweredDrop(level)).toMatchObject({ runs: 'nowhere', reserve: null })
    expect(unpoweredDrop({ ...level, inclineDeg: 90 })).toMatchObject({ runs: 'down', reserve: 0 })
  })

  test('acceleration counts once: by force for the mass, by inertia for what turns', () => {
    const still = {
      driveTorqueNm: 0.5,
      preloadDragNm: 0.1,
      bearingDragNm: 0.05,
      ratio: 1,
      beltEfficiency: 1,
      inertiaKgM2: 1e-4,
      angularAccelerationRadPerS2: 0,
    }
    expect(requiredTorque(still).torqueNm).toBeCloseTo(0.65, 12)
    expect(requiredTorque({ ...still, angularAccelerationRadPerS2: 500 }).torqueNm).toBeCloseTo(0.7, 12)
  })
})

describe('motion', () => {
  test('a level axis is alike in both directions', () => {
    const f = axialForces({
      massKg: 60,
      inclineDeg: 0,
      frictionCoefficient: 0.1,
      dragN: 30,
      counterbalanceN: 0,
      cuttingForceN: 500,
      accelerationMPerS2: 0.5,
    })
    expect([f.accelerateUpN, f.cruiseUpN, f.cutUpN]).toEqual([f.accelerateDownN, f.cruiseDownN, f.cutDownN])
    expect(f.maxN).toBe(f.cutUpN)
  })

  test('a move covers its distance, and short ones join long ones smoothly', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 2000, noNaN: true }),
        fc.double({ min: 1, max: 500, noNaN: true }),
        fc.double({ min: 10, max: 5000, noNaN: true }),
        (distanceMm, speedMmPerS, accelerationMmPerS2) => {
          const move = trapezoid({ distanceMm, speedMmPerS, accelerationMmPerS2 })
          expect(move.peakSpeedMmPerS * (move.accelerateS + move.cruiseS)).toBeCloseTo(distanceMm, 6)
          expect(move.peakSpeedMmPerS).toBeLessThanOrEqual(speedMmPerS)
        },
      ),
    )
  })
})

test('a newton of preload is no cure: the same factor for the roughness of the work counts with it and without', () => {
  const phases = [{ forceN: 900, speedRpm: 300, timeShare: 1 }]
  const facts = { dynamicCapacityN: 12_000, leadMm: 5, loadFactor: 1.2 }
  const play = screwLife({ ...facts, equivalentLoadN: 900, meanSpeedRpm: 300 }).lifeHours
  const barely = preloadedLife({ ...facts, preloadN: 1, phases }).lifeHours
  expect(barely).toBeLessThanOrEqual(play)
  expect(barely / play).toBeGreaterThan(0.9)
})
