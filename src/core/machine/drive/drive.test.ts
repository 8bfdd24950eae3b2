import fc from 'fast-check'
import { demoJobs } from '../../demo'
import { skarrow } from '../../demo/skarrow'
import type { Axis, DutyRow } from '../../document/axis'
import type { PartOf } from '../../document/parts/types'
import { EvaluationContext } from '../../evaluation/context'
import { CATALOGUE } from '../parts'
import { nutRange } from '../travel/placement'
import { duty, ownDuty, reckonedDuty, workPhases } from './duty'
import { forces, loadShare, topSpeedRpm } from './load'
import { driveEur, driveHeightMm } from './price'
import { driveStiffness, handDrive, lostMotionBudget, steps, stiffnessOverTravel, swing } from './stiffness'
import { bearingLifeHours, leadAccuracy, lifeOverPreload, nutLifeHours, stall, warmth } from './strength'
import {
  acceleratingTorqueNm,
  cuttingTorqueNm,
  dutyTorqueNm,
  inertiaMatch,
  preloadN,
  strokeWork,
  torqueCurve,
  torqueMargin,
} from './torque'
import { beltLoad, beltPlayUm, beltRun, ratio } from './transmission'

const [X, , Z] = skarrow().job.axes as [Axis, Axis, Axis]
const on = (axis: Axis) => new EvaluationContext(axis, CATALOGUE)
const belted = (belt: string, centresMm = 120): Axis => ({
  ...X,
  parts: { ...X.parts, belt },
  drive: { ...X.drive, transmission: 'belt' },
  driveSizes: { ...X.driveSizes, beltCentresMm: centresMm },
})
const gantry = (offCentreMm: number): Axis => ({
  ...X,
  drive: { ...X.drive, screws: 2 },
  driveSizes: { ...X.driveSizes, screwSpacingMm: 800, offCentreMm },
})
const goals = (more: Partial<Axis['goals']>): Axis => ({ ...X, goals: { ...X.goals, ...more } })

describe('two screws', () => {
  test('carry half each of a load in the middle, and all of it the one that it stands over', () => {
    const whole = forces(on(X))
    for (const [offCentreMm, share] of [
      [0, 0.5],
      [200, 0.75],
      [400, 1],
    ] as const) {
      expect(loadShare(on(gantry(offCentreMm)))).toBe(share)
      const part = forces(on(gantry(offCentreMm)))
      for (const key of ['frictionN', 'cutUpN', 'accelerateUpN', 'maxN'] as const)
        expect(part[key]).toBeCloseTo(share * whole[key], 9)
    }
  })

  test('cost twice, and make each motor feel less', () => {
    expect(driveEur(on(gantry(0)))).toBeCloseTo(2 * driveEur(on(X)), 9)
    expect(cuttingTorqueNm(on(gantry(0)))).toBeLessThan(cuttingTorqueNm(on(X)))
    expect(inertiaMatch(on(gantry(0))).ratio).toBeLessThan(inertiaMatch(on(X)).ratio)
  })
})

describe('a belt', () => {
  const half = belted('belt-5-15-24-48')

  test('turns the motor faster and asks less of it, but for what the belt loses', () => {
    expect(ratio(on(half))).toBe(2)
    expect(ratio(on(X))).toBe(1)
    expect(cuttingTorqueNm(on(half))).toBeCloseTo(cuttingTorqueNm(on(X)) / 2 / 0.96, 9)
    expect(topSpeedRpm(on(half))).toBe(topSpeedRpm(on(X)))
    const last = torqueCurve(on(half), 2).at(-1)
    expect(last?.speedRpm).toBeCloseTo(1.35 * 2 * topSpeedRpm(on(X)), 6)
  })

  test('has whole teeth, and runs at the centres that suit them, near the wanted ones', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CATALOGUE.belt.keys()),
        fc.double({ min: 160, max: 600, noNaN: true }),
        (belt, centresMm) => {
          const run = beltRun(on(belted(belt, centresMm)))
          const { pitchMm } = CATALOGUE.belt.get(belt) ?? { pitchMm: 0 }
          expect(run.beltTeeth).toBeCloseTo(Math.round(run.beltTeeth), 9)
          expect(Math.abs(run.centreDistanceMm - centresMm)).toBeLessThanOrEqual(pitchMm / 2)
        },
      ),
    )
  })

  test('is tensioned for the greatest torque of its motor, and its tooth play shrinks with the ratio', () => {
    const { effectivePullN } = beltLoad(on(half))
    expect(effectivePullN).toBeCloseTo((2000 * 2.2 * Math.PI) / (5 * 24), 6)
    expect(beltPlayUm(on(half))).toBeCloseTo((40 * 5) / (5 * 48), 9)
    expect(beltPlayUm(on(X))).toBe(0)
    expect(lostMotionBudget(on(half)).causes.find(({ subject }) => subject === 'belt')?.um).toBe(
      beltPlayUm(on(half)),
    )
  })

  test('shortens the life of the bearings by its pull', () => {
    expect(bearingLifeHours(on(half))).toBeLessThan(bearingLifeHours(on(X)))
  })

  test('makes the steps at the table finer', () => {
    expect(steps(on(half)).fullStepUm).toBe(steps(on(X)).fullStepUm / 2)
  })
})

const work = (given: Partial<DutyRow>): DutyRow => ({
  id: 'r',
  label: 'Work',
  forceN: 0,
  speedMmPerMin: 1000,
  timeShare: 1,
  accelerationMmPerS2: 0,
  strokeMm: null,
  dwellS: 0,
  ...given,
})
/** A servo on the level axis, for what warms it. */
const servo: Axis = { ...X, parts: { ...X.parts, motor: 'servo-60-400' } }

describe('duty', () => {
  test('reckoned from the goals adds up to the whole time, and goes as often up as down', () => {
    for (const { job } of demoJobs())
      for (const axis of job.axes.filter(({ parts }) => parts.screw)) {
        const lines = reckonedDuty(on(axis))
        expect(lines.reduce((sum, { timeShare }) => sum + timeShare, 0)).toBeCloseTo(1, 9)
        for (let i = 0; i < lines.length; i += 2) expect(lines[i]?.timeShare).toBe(lines[i + 1]?.timeShare)
      }
  })

  test('of one’s own counts as typed, and is shared out over two screws', () => {
    const own = [work({ label: 'Roughing', forceN: 2000, speedMmPerMin: 500 })]
    expect(duty(on({ ...X, duty: own }))).toEqual([{ forceN: 2000, speedRpm: 100, timeShare: 1 }])
    expect(duty(on({ ...gantry(0), duty: own }))[0]?.forceN).toBe(1000)
    expect(nutLifeHours(on({ ...X, duty: own }))).toBeLessThan(nutLifeHours(on(X)) ?? 0)
  })

  test('does not rest on the order of its rows, nor on the scale of its shares', () => {
    const rows = ownDuty(reckonedDuty(on(X)))
    const life = (axis: Axis) => nutLifeHours(on(axis)) ?? 0
    expect(life({ ...X, duty: rows.toReversed() })).toBeCloseTo(life({ ...X, duty: rows }), 6)
    const halved = rows.map(row => ({ ...row, timeShare: row.timeShare / 2 }))
    expect(life({ ...X, duty: halved })).toBeCloseTo(life({ ...X, duty: rows }), 6)
  })
})

describe('work that speeds up', () => {
  const warms = (axis: Axis) => dutyTorqueNm(on(axis))

  test('made the builder’s own keeps its accelerations, and warms the motor as before', () => {
    const own: Axis = { ...servo, duty: ownDuty(reckonedDuty(on(servo))) }
    expect(warms(own) / warms(servo)).toBeGreaterThan(0.98)
    expect(warms(own) / warms(servo)).toBeLessThan(1.1)
    const steady: Axis = {
      ...own,
      duty: own.duty?.map(row => ({ ...row, accelerationMmPerS2: 0 })) ?? null,
    }
    expect(warms(steady)).toBeLessThan(warms(own))
  })

  test('to and fro is the stroke of the formula, weight or none, and counts its inertia', () => {
    const row = work({ forceN: 150, speedMmPerMin: 12_000, strokeMm: 60, accelerationMmPerS2: 4000 })
    const axis: Axis = { ...servo, duty: [row] }
    const { rmsTorqueNm, strokesPerMinute } = strokeWork(on(axis), row) as {
      rmsTorqueNm: number
      strokesPerMinute: number
    }
    expect(warms(axis)).toBeCloseTo(rmsTorqueNm, 9)
    // 60 mm at 200 mm/s, with 0.05 s to speed up and to slow: 0.35 s a stroke.
    expect(strokesPerMinute).toBeCloseTo(60 / (60 / 200 + 200 / 4000), 6)
    const steady = work({ forceN: 150, speedMmPerMin: 12_000 })
    expect(warms(axis)).toBeGreaterThan(1.5 * warms({ ...servo, duty: [steady] }))
    // A rest cools it; twice as heavy a table warms it more.
    expect(warms({ ...servo, duty: [{ ...row, dwellS: 1 }] })).toBeLessThan(warms(axis))
    const heavy = {
      ...axis,
      dimensions: {
        ...axis.dimensions,
        movingMassKg: { value: 2 * (X.dimensions.movingMassKg.value ?? 0), provenance: 'measured' as const },
      },
    }
    expect(warms(heavy)).toBeGreaterThan(warms(axis))
  })

  test('its phases add up to its share of the time, and what goes out comes back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 500, noNaN: true }),
        fc.double({ min: 100, max: 20_000, noNaN: true }),
        fc.double({ min: 50, max: 5000, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        (strokeMm, speedMmPerMin, accelerationMmPerS2, dwellS, timeShare) => {
          const row = work({ forceN: 100, strokeMm, speedMmPerMin, accelerationMmPerS2, dwellS, timeShare })
          const phases = workPhases(on({ ...Z, duty: [row] }))
          expect(phases.reduce((sum, phase) => sum + phase.timeShare, 0)).toBeCloseTo(timeShare, 9)
          // Momentum comes to nothing over a stroke: what speeds up is slowed.
          const pushes = phases.reduce((sum, phase) => sum + phase.accelerationMmPerS2 * phase.timeShare, 0)
          expect(Math.abs(pushes)).toBeLessThan(1e-6 * accelerationMmPerS2)
        },
      ),
    )
  })
})

describe('stiffness over the travel', () => {
  test('falls away from the fixed end, down to what the drive is judged by', () => {
    const points = stiffnessOverTravel(on(X))
    const values = points.map(({ stiffnessNPerUm }) => stiffnessNPerUm)
    expect(values).toEqual(values.toSorted((a, b) => b - a))
    expect(values.at(-1)).toBeCloseTo(driveStiffness(on(X)).stiffnessNPerUm, 6)
    expect(points.at(-1)?.frequencyHz).toBeCloseTo(swing(on(X)).frequencyHz, 6)
    const { firstMm, lastMm } = nutRange(on(X))
    expect(points.at(-1)?.positionMm).toBeCloseTo(lastMm - firstMm, 9)
  })

  test('held at both ends is softest near the middle, and stiffer than held at one', () => {
    const both: Axis = { ...X, ends: 'fixed-fixed' }
    const points = stiffnessOverTravel(on(both))
    const softest = points.reduce((a, b) => (b.stiffnessNPerUm < a.stiffnessNPerUm ? b : a))
    const travelMm = points.at(-1)?.positionMm ?? 0
    expect(softest.positionMm).toBeGreaterThan(0.25 * travelMm)
    expect(softest.positionMm).toBeLessThan(0.75 * travelMm)
    expect(softest.stiffnessNPerUm).toBeGreaterThan(driveStiffness(on(X)).stiffnessNPerUm)
  })
})

describe('preload', () => {
  test('wears the nut: far beyond the load, more of it is less life', () => {
    const lives = lifeOverPreload(on(X)).map(({ lifeHours }) => lifeHours)
    expect(lives.length).toBe(24)
    expect(lives).toEqual(lives.toSorted((a, b) => b - a))
    const set = preloadN(on(X))
    expect(lifeOverPreload(on(X)).some(({ preloadN: one }) => one > set)).toBe(true)
  })

  test('is nothing to weigh on a nut with play, or on a sliding one', () => {
    for (const screw of ['ball-20-5-single', 'slide-20-4-split'])
      expect(lifeOverPreload(on({ ...X, parts: { ...X.parts, screw } }))).toEqual([])
  })
})

test('a stall pushes with all that the motor has, against the weakest that it meets', () => {
  const { thrustN, weakest } = stall(on(X))
  // 2.2 N m through a lead of 5 mm, less what the thread loses.
  expect(thrustN).toBeGreaterThan(2500)
  expect(thrustN).toBeLessThan((2000 * Math.PI * 2.2) / 5)
  expect(weakest.bearsN).toBeLessThanOrEqual(CATALOGUE.screw.get('ball-20-5-double')?.staticCapacityN ?? 0)
  const stronger = stall(on({ ...X, parts: { ...X.parts, motor: 'step-86-85' } }))
  expect(stronger.thrustN / thrustN).toBeCloseTo(8.5 / 2.2, 9)
})

test('growth follows the warming, and over the span where the screw cannot grow', () => {
  const warm = warmth(on(goals({ temperatureRiseK: 10 })))
  expect(warmth(on(goals({ temperatureRiseK: 20 }))).growthUm).toBeCloseTo(2 * warm.growthUm, 9)
  expect(warmth(on(goals({ temperatureRiseK: 0 }))).growthUm).toBe(0)
  const held = warmth(on({ ...goals({ temperatureRiseK: 10 }), ends: 'fixed-fixed' }))
  expect(held.growthUm / warm.growthUm).toBeCloseTo(548.2 / 412.6, 9)
})

test('the accuracy of the lead is that of the class over the travel that is left', () => {
  expect(leadAccuracy(on(X)).travelToleranceUm).toBeCloseTo((2 * 412.6 * 52) / 300, 9)
  const ground: Axis = { ...X, parts: { ...X.parts, screw: 'ground-20-5-double' } }
  expect(leadAccuracy(on(ground)).travelToleranceUm).toBe(15)
})

test('the hand feels friction, drag and the motor; a larger handwheel takes less of it', () => {
  const kept = (handwheelRadiusMm: number): Axis => ({
    ...X,
    drive: { ...X.drive, handwheelKept: true },
    driveSizes: { ...X.driveSizes, handwheelRadiusMm },
  })
  const small = handDrive(on(kept(40)))
  expect(handDrive(on(kept(80))).rimForceN).toBeCloseTo(small.rimForceN / 2, 9)
  expect(small.motorShare).toBeGreaterThan(0)
  expect(small.motorShare).toBeLessThan(1)
})

test('the price is that of the parts, with the far end by how it is held', () => {
  const parts = 182 + 26 + 79
  const bearings = 84
  for (const [ends, times] of [
    ['fixed-free', 1],
    ['supported-supported', 1.4],
    ['fixed-supported', 1.4],
    ['fixed-fixed', 2],
  ] as const)
    expect(driveEur(on({ ...X, ends }))).toBeCloseTo(parts + bearings * times, 9)
  expect(driveHeightMm(on(X))).toBe(60)
})

test('the torque in hand is worst at the top speed or in the cut, and shrinks with either', () => {
  const { margin } = torqueMargin(on(X))
  expect(torqueMargin(on(goals({ topSpeedMmPerMin: 9000 }))).margin).toBeLessThanOrEqual(margin)
  expect(torqueMargin(on(goals({ cuttingForceN: 1700 }))).margin).toBeLessThan(margin)
  expect(acceleratingTorqueNm(on(goals({ accelerationMmPerS2: 2000 })))).toBeGreaterThan(
    acceleratingTorqueNm(on(X)),
  )
})

test('a driver set to less current leaves that much less torque to all that the motor does', () => {
  const motor = CATALOGUE.motor.get(X.parts.motor ?? '') as PartOf['motor']
  const set = (driveCurrentA: number) =>
    new EvaluationContext(X, {
      ...CATALOGUE,
      motor: new Map([[motor.id, { ...motor, ratedCurrentA: 4.2, driveCurrentA }]]),
    })
  const [full, low] = [set(4.2), set(1.2)]
  const share = 1.2 / 4.2
  expect(stall(low).thrustN).toBeCloseTo(share * stall(full).thrustN, 6)
  const lag = (t: EvaluationContext) =>
    lostMotionBudget(t).causes.find(({ subject }) => subject === 'motor')?.um ?? 0
  // The rotor lags by as much more as the field is weaker.
  expect(lag(low)).toBeGreaterThan(lag(full) / share - 1e-9)
  const slow = (t: EvaluationContext) => torqueMargin(t)
  expect(slow(low).margin).toBeLessThan(slow(full).margin)
})

test('a pull that holds the growth of a screw fixed at both ends wears its bearings, by how far it warms', () => {
  const pulled = (temperatureRiseK: number) =>
    bearingLifeHours(on({ ...X, ends: 'fixed-fixed', goals: { ...X.goals, temperatureRiseK } }))
  const free = bearingLifeHours(on({ ...X, goals: { ...X.goals, temperatureRiseK: 15 } }))
  expect(pulled(0)).toBeGreaterThan(pulled(3))
  expect(pulled(3)).toBeGreaterThan(pulled(15))
  expect(pulled(15)).toBeLessThan(free / 10)
})
