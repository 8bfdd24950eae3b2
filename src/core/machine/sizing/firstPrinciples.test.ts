import { SCREW_ENDS, type ScrewEnds } from '../../document/kinds'
import { axisStiffness, unpoweredDrop } from './axis'
import { bearingPairShare, bearingPairStiffness } from './bearing'
import { couplerWindup } from './coupler'
import { reflectedInertia } from './drive'
import { axialForces, trapezoid } from './motion'
import { frictionLag } from './motorSteps'
import { buckling, criticalSpeed, screwAxialStiffness } from './screw'
import { meanLoad, preloadedLife, screwLife } from './screwLife'
import { backdriveTorque, driveTorque, preloadTorque, screwEfficiency } from './screwTorque'

// The same figures by another road: beams cut into elements, moves added up in small steps, balances of force
// and energy. None of it shares a formula with the code that it checks.

const E_MPA = 206_000
const DENSITY_T_PER_MM3 = 7.85e-9

type Matrix = number[][]

/** Stiffness, mass and load matrices of a beam of equal elements (Hermite cubics), with its ends held. */
function beam(diameterMm: number, lengthMm: number, ends: ScrewEnds, elements: number) {
  const area = (Math.PI / 4) * diameterMm ** 2
  const inertia = (Math.PI / 64) * diameterMm ** 4
  const l = lengthMm / elements
  const size = 2 * (elements + 1)
  const zeros = (): Matrix => Array.from({ length: size }, () => new Array(size).fill(0))
  const stiffness = zeros()
  const mass = zeros()
  const load = zeros()
  const k = [
    [12, 6 * l, -12, 6 * l],
    [6 * l, 4 * l * l, -6 * l, 2 * l * l],
    [-12, -6 * l, 12, -6 * l],
    [6 * l, 2 * l * l, -6 * l, 4 * l * l],
  ].map(row => row.map(value => (value * E_MPA * inertia) / l ** 3))
  const m = [
    [156, 22 * l, 54, -13 * l],
    [22 * l, 4 * l * l, 13 * l, -3 * l * l],
    [54, 13 * l, 156, -22 * l],
    [-13 * l, -3 * l * l, -22 * l, 4 * l * l],
  ].map(row => row.map(value => (value * DENSITY_T_PER_MM3 * area * l) / 420))
  const g = [
    [36, 3 * l, -36, 3 * l],
    [3 * l, 4 * l * l, -3 * l, -l * l],
    [-36, -3 * l, 36, -3 * l],
    [3 * l, -l * l, -3 * l, 4 * l * l],
  ].map(row => row.map(value => value / (30 * l)))
  for (let element = 0; element < elements; element++)
    for (let i = 0; i < 4; i++)
      for (let j = 0; j < 4; j++) {
        const add = (matrix: Matrix, value = 0) => {
          const row = matrix[2 * element + i] as number[]
          row[2 * element + j] = (row[2 * element + j] ?? 0) + value
        }
        add(stiffness, k[i]?.[j])
        add(mass, m[i]?.[j])
        add(load, g[i]?.[j])
      }
  const last = size - 2
  const held: Record<ScrewEnds, number[]> = {
    'fixed-free': [0, 1],
    'supported-supported': [0, last],
    'fixed-supported': [0, 1, last],
    'fixed-fixed': [0, 1, last, last + 1],
  }
  const free = Array.from({ length: size }, (_, index) => index).filter(index => !held[ends].includes(index))
  const cut = (matrix: Matrix) => free.map(i => free.map(j => matrix[i]?.[j] ?? 0))
  return { stiffness: cut(stiffness), mass: cut(mass), load: cut(load) }
}

/** Solves a x = b by elimination with pivots. */
function solve(a: Matrix, b: number[]): number[] {
  const rows = a.map((row, index) => [...row, b[index] ?? 0])
  const n = rows.length
  const at = (i: number, j: number) => rows[i]?.[j] ?? 0
  for (let column = 0; column < n; column++) {
    let pivot = column
    for (let row = column + 1; row < n; row++)
      if (Math.abs(at(row, column)) > Math.abs(at(pivot, column))) pivot = row
    const swapped = rows[column] as number[]
    rows[column] = rows[pivot] as number[]
    rows[pivot] = swapped
    for (let row = column + 1; row < n; row++) {
      const factor = at(row, column) / at(column, column)
      for (let j = column; j <= n; j++) (rows[row] as number[])[j] = at(row, j) - factor * at(column, j)
    }
  }
  const x = new Array<number>(n).fill(0)
  for (let row = n - 1; row >= 0; row--) {
    let sum = at(row, n)
    for (let j = row + 1; j < n; j++) sum -= at(row, j) * (x[j] ?? 0)
    x[row] = sum / at(row, row)
  }
  return x
}

/** The smallest eigenvalue of k v = value m v, by inverse iteration. */
function smallest(k: Matrix, m: Matrix): number {
  const times = (matrix: Matrix, v: number[]) =>
    matrix.map(row => row.reduce((sum, value, j) => sum + value * (v[j] ?? 0), 0))
  const dot = (a: number[], b: number[]) => a.reduce((sum, value, i) => sum + value * (b[i] ?? 0), 0)
  let v = k.map((_, index) => 1 + (index % 3))
  let value = 0
  for (let i = 0; i < 40; i++) {
    const next = solve(k, times(m, v))
    const norm = Math.sqrt(dot(next, times(m, next)))
    v = next.map(one => one / norm)
    value = dot(v, times(k, v))
  }
  return value
}

describe.each(SCREW_ENDS)('a screw held %s', ends => {
  test('whips at the speed at which a beam of elements does', () => {
    const { stiffness, mass } = beam(17, 620, ends, 12)
    const rpm = (Math.sqrt(smallest(stiffness, mass)) * 60) / (2 * Math.PI)
    const { criticalSpeedRpm, allowableSpeedRpm } = criticalSpeed({
      rootDiameterMm: 17,
      freeLengthMm: 620,
      ends,
    })
    expect(criticalSpeedRpm / rpm).toBeCloseTo(1, 3)
    expect(allowableSpeedRpm / rpm).toBeCloseTo(0.8, 3)
  })

  test('buckles at the load at which a strut of elements does', () => {
    const { stiffness, load } = beam(10, 1500, ends, 12)
    const newtons = smallest(stiffness, load)
    const { bucklingLoadN, allowableLoadN, regime } = buckling({
      rootDiameterMm: 10,
      freeLengthMm: 1500,
      ends,
    })
    expect(regime).toBe('euler')
    // The handbook rounds the fixed-supported strut to 2.046; the beam gives 2.0457.
    expect(bucklingLoadN / newtons).toBeCloseTo(1, 3)
    expect(allowableLoadN).toBeCloseTo(bucklingLoadN / 2, 6)
  })

  test('never carries more than its section yields at, however short', () => {
    const areaMm2 = (Math.PI / 4) * 20 ** 2
    for (const freeLengthMm of [1, 10, 100, 300]) {
      const { bucklingLoadN, regime } = buckling({ rootDiameterMm: 20, freeLengthMm, ends, yieldMpa: 400 })
      expect(bucklingLoadN).toBeLessThanOrEqual(400 * areaMm2)
      if (freeLengthMm === 1) {
        expect(regime).toBe('johnson')
        expect(bucklingLoadN / (400 * areaMm2)).toBeCloseTo(1, 3)
      }
    }
  })
})

describe('stiffness', () => {
  /** A bar cut into slices that are springs in a row. */
  const bar = (diameterMm: number, lengthMm: number) => {
    const slices = Array.from({ length: 50 }, () => {
      const area = (Math.PI / 4) * diameterMm ** 2
      return (E_MPA * area) / (lengthMm / 50) / 1000
    })
    return axisStiffness({ parts: slices }).stiffnessNPerUm
  }

  test('a screw held at one end is the bar between bearing and nut', () => {
    const { stiffnessNPerUm } = screwAxialStiffness({
      rootDiameterMm: 17,
      supportedLengthMm: 800,
      distanceMm: 520,
      axialSupport: 'one-end',
    })
    expect(stiffnessNPerUm).toBeCloseTo(bar(17, 520), 6)
  })

  test('held at both ends it is the two bars on either side of the nut, side by side', () => {
    const { stiffnessNPerUm } = screwAxialStiffness({
      rootDiameterMm: 17,
      supportedLengthMm: 800,
      distanceMm: 520,
      axialSupport: 'both-ends',
    })
    expect(stiffnessNPerUm).toBeCloseTo(bar(17, 520) + bar(17, 280), 6)
  })

  test('springs in a row are softer than the softest, whatever their order', () => {
    const parts = [366, 498, 414, 90]
    const { stiffnessNPerUm } = axisStiffness({ parts })
    expect(stiffnessNPerUm).toBeLessThan(90)
    expect(axisStiffness({ parts: parts.toReversed() }).stiffnessNPerUm).toBeCloseTo(stiffnessNPerUm, 9)
    // A force of 1 N stretches the row by the sum of what it stretches each.
    const stretchUm = parts.reduce((sum, part) => sum + 1 / part, 0)
    expect(1 / stiffnessNPerUm).toBeCloseTo(stretchUm, 12)
  })

  test('a bearing pair that is pressed twice as hard is stiffer by the cube root of two', () => {
    const pair = (preloadN: number) =>
      bearingPairStiffness({ ballCount: 10, ballDiameterMm: 5.556, contactAngleDeg: 40, preloadN })
    expect(pair(800).stiffnessNPerUm / pair(400).stiffnessNPerUm).toBeCloseTo(2 ** (1 / 3), 9)
    // Each half gives way by F^(2/3), so its slope is 3/2 F / delta; a pair has two halves.
    const { stiffnessNPerUm, deflectionUm } = pair(400)
    const step = 1e-4
    const slope =
      (400 * 2 * step) / (pair(400 * (1 + step)).deflectionUm - pair(400 * (1 - step)).deflectionUm)
    expect(stiffnessNPerUm / (2 * slope)).toBeCloseTo(1, 5)
    expect(deflectionUm).toBeGreaterThan(0)
  })

  test('a coupler that winds up moves the table by its share of a turn', () => {
    const { windupDeg, linearUm } = couplerWindup({
      torqueNm: 1.2,
      torsionalStiffnessNmPerRad: 420,
      leadMm: 5,
    })
    expect(windupDeg).toBeCloseTo(((1.2 / 420) * 180) / Math.PI, 9)
    expect(linearUm).toBeCloseTo((windupDeg / 360) * 5000, 9)
  })
})

describe('preloaded pair', () => {
  /** Two contacts of force ~ approach^1.5, pressed together and then shifted until they carry the load. */
  function pressed(preloadN: number, externalN: number) {
    const contact = (approach: number) => (approach > 0 ? preloadN * approach ** 1.5 : 0)
    let low = 0
    let high = 10
    for (let i = 0; i < 200; i++) {
      const shift = (low + high) / 2
      if (contact(1 + shift) - contact(1 - shift) < externalN) low = shift
      else high = shift
    }
    return { loadedN: contact(1 + low), relievedN: contact(1 - low) }
  }

  test('is closed, open and in between where two real contacts are', () => {
    const preloadN = 826
    const { unloadingForceN } = bearingPairShare({ preloadN, externalN: 0 })
    expect(unloadingForceN).toBeCloseTo(pressed(preloadN, 2 ** 1.5 * preloadN).loadedN, 3)
    expect(pressed(preloadN, unloadingForceN).relievedN).toBeCloseTo(0, 3)
    for (const share of [0, 0.1, 0.25, 0.5, 0.75, 1]) {
      const ruled = bearingPairShare({ preloadN, externalN: share * unloadingForceN })
      const real = pressed(preloadN, share * unloadingForceN)
      // The standard's rule is a smooth stand-in for the balance: right at both ends, near it between them.
      expect(Math.abs(ruled.loadedN - real.loadedN)).toBeLessThan(0.05 * unloadingForceN)
    }
  })
})

describe('motion', () => {
  test('a move added up in small steps takes the time that is reckoned', () => {
    for (const [distanceMm, speedMmPerS, accelerationMmPerS2] of [
      [400, 50, 500],
      [4, 50, 500],
      [2.5, 50, 500],
      [1200, 83, 220],
    ] as const) {
      const stepS = 1e-4
      let placeMm = 0
      let speed = 0
      let timeS = 0
      while (placeMm < distanceMm && timeS < 100) {
        const stoppingMm = speed ** 2 / (2 * accelerationMmPerS2)
        const slowing = distanceMm - placeMm <= stoppingMm
        speed = slowing
          ? Math.max(speed - accelerationMmPerS2 * stepS, 1e-3)
          : Math.min(speed + accelerationMmPerS2 * stepS, speedMmPerS)
        placeMm += speed * stepS
        timeS += stepS
      }
      const { totalS } = trapezoid({ distanceMm, speedMmPerS, accelerationMmPerS2 })
      expect(Math.abs(totalS - timeS)).toBeLessThan(0.02 * timeS + 0.003)
    }
  })

  test('on an incline the forces are those of a block on a slope', () => {
    const massKg = 40
    const inclineDeg = 30
    const f = axialForces({
      massKg,
      inclineDeg,
      frictionCoefficient: 0.2,
      dragN: 0,
      counterbalanceN: 0,
      cuttingForceN: 100,
      accelerationMPerS2: 2,
    })
    const weightN = massKg * 9.80665
    const alongN = weightN * Math.sin(Math.PI / 6)
    const rubbingN = 0.2 * weightN * Math.cos(Math.PI / 6)
    expect(f.cruiseUpN).toBeCloseTo(alongN + rubbingN, 9)
    expect(f.cruiseDownN).toBeCloseTo(rubbingN - alongN, 9)
    expect(f.accelerateUpN - f.cruiseUpN).toBeCloseTo(massKg * 2, 9)
    expect(f.cruiseUpN - f.decelerateUpN).toBeCloseTo(massKg * 2, 9)
    expect(f.cutUpN - f.cruiseUpN).toBeCloseTo(100, 9)
    expect(f.holdN).toBeCloseTo(alongN, 9)
    expect(f.maxN).toBeCloseTo(
      Math.max(Math.abs(f.accelerateUpN), Math.abs(f.cutUpN), Math.abs(f.decelerateDownN)),
      9,
    )
  })

  test('a counterbalance as heavy as the head makes both ways alike', () => {
    const massKg = 74
    const head = axialForces({
      massKg,
      inclineDeg: 90,
      frictionCoefficient: 0.1,
      dragN: 50,
      counterbalanceN: massKg * 9.80665,
      cuttingForceN: 300,
      accelerationMPerS2: 0.4,
    })
    expect(head.accelerateUpN).toBeCloseTo(head.accelerateDownN, 9)
    expect(head.holdN).toBeCloseTo(0, 9)
    expect(head.frictionN).toBeCloseTo(50, 9)
  })
})

describe('screw as an inclined plane', () => {
  const cases = [
    { leadMm: 5, pitchDiameterMm: 20.5, frictionCoefficient: 0.004, flankAngleDeg: 0 },
    { leadMm: 4, pitchDiameterMm: 18, frictionCoefficient: 0.15, flankAngleDeg: 15 },
    { leadMm: 20, pitchDiameterMm: 18, frictionCoefficient: 0.12, flankAngleDeg: 14.5 },
  ]
  test.each(cases)('lead %o: the balance on the ramp gives the same torque', screw => {
    const { leadMm, pitchDiameterMm, frictionCoefficient, flankAngleDeg } = screw
    const slope = leadMm / (Math.PI * pitchDiameterMm)
    const grip = frictionCoefficient / Math.cos((flankAngleDeg * Math.PI) / 180)
    const axialForceN = 1000
    // Up the ramp: the push along the circle that lifts the load against the wedged friction.
    const pushN = (axialForceN * (slope + grip)) / (1 - slope * grip)
    const efficiency = screwEfficiency(screw)
    const { torqueNm } = driveTorque({ axialForceN, leadMm, efficiency: efficiency.forward })
    expect(torqueNm).toBeCloseTo((pushN * pitchDiameterMm) / 2000, 9)
    // Down the ramp: what the load gives back, or nothing where it sticks.
    const backN = Math.max(0, (axialForceN * (slope - grip)) / (1 + slope * grip))
    const back = backdriveTorque({ axialForceN, leadMm, backwardEfficiency: efficiency.backward })
    expect(back.torqueNm).toBeCloseTo((backN * pitchDiameterMm) / 2000, 9)
    expect(efficiency.selfLocking).toBe(backN === 0)
  })

  test('no friction, no loss', () => {
    const { forward, backward } = screwEfficiency({
      ...(cases[0] as (typeof cases)[0]),
      frictionCoefficient: 0,
    })
    expect([forward, backward]).toEqual([1, 1])
  })

  test('the drag of a preload falls with the lead angle', () => {
    const drag = (leadMm: number) =>
      preloadTorque({ preloadN: 800, leadMm, pitchDiameterMm: 20 }).torqueNm / leadMm
    expect(drag(5)).toBeGreaterThan(drag(10))
    expect(preloadTorque({ preloadN: 0, leadMm: 5, pitchDiameterMm: 20 }).torqueNm).toBe(0)
  })
})

describe('life', () => {
  test('a duty is worn like the sum of its turns, phase by phase', () => {
    const phases = [
      { forceN: 900, speedRpm: 70, timeShare: 0.5 },
      { forceN: -300, speedRpm: 600, timeShare: 0.3 },
      { forceN: 150, speedRpm: 300, timeShare: 0.2 },
    ]
    const capacityN = 9000
    // Wear of an hour: turns of each phase over the turns that its force alone would last.
    const wornPerHour = phases.reduce(
      (sum, { forceN, speedRpm, timeShare }) =>
        sum + (60 * speedRpm * timeShare) / ((capacityN / Math.abs(forceN)) ** 3 * 1e6),
      0,
    )
    const mean = meanLoad({ phases })
    const life = screwLife({ dynamicCapacityN: capacityN, ...mean, leadMm: 5, loadFactor: 1 })
    expect(life.lifeHours).toBeCloseTo(1 / wornPerHour, 4)
    expect(life.lifeKm).toBeCloseTo(life.lifeRevolutions * 5e-6, 6)
    expect(meanLoad({ phases: phases.toReversed() })).toEqual({
      equivalentLoadN: expect.closeTo(mean.equivalentLoadN, 9),
      meanSpeedRpm: expect.closeTo(mean.meanSpeedRpm, 9),
    })
  })

  test('a preloaded nut lasts no longer than its harder pressed half, and alike in either direction', () => {
    const life = (sign: 1 | -1) =>
      preloadedLife({
        dynamicCapacityN: 9000,
        preloadN: 700,
        leadMm: 5,
        phases: [
          { forceN: 900 * sign, speedRpm: 70, timeShare: 0.6 },
          { forceN: 200 * sign, speedRpm: 500, timeShare: 0.4 },
        ],
      })
    expect(life(1).lifeHours).toBeCloseTo(life(-1).lifeHours, 9)
    const loaded = (externalN: number) => bearingPairShare({ preloadN: 700, externalN }).loadedN
    const half = meanLoad({
      phases: [
        { forceN: loaded(900), speedRpm: 70, timeShare: 0.6 },
        { forceN: loaded(200), speedRpm: 500, timeShare: 0.4 },
      ],
    })
    const alone = screwLife({ dynamicCapacityN: 9000, ...half, leadMm: 5, loadFactor: 1 })
    expect(life(1).lifeHours).toBeLessThan(alone.lifeHours)
    expect(life(1).lifeHours).toBeGreaterThan(alone.lifeHours / 2)
  })
})

describe('motor and drive', () => {
  test('inertia is what the energy of the moving parts says', () => {
    const omega = 40
    const leadMm = 10
    const inertia = reflectedInertia({
      massKg: 70,
      leadMm,
      screwDiameterMm: 20,
      screwLengthMm: 700,
      couplerInertiaKgM2: 2e-5,
      ratio: 2,
      motorPulleyInertiaKgM2: 3e-5,
      screwPulleyInertiaKgM2: 8e-5,
    })
    const screwOmega = omega / 2
    const tableMPerS = (screwOmega * leadMm) / 1000 / (2 * Math.PI)
    // The screw as rings: each with its own speed.
    let screwJ = 0
    const rings = 2000
    for (let i = 0; i < rings; i++) {
      const radiusM = (0.01 * (i + 0.5)) / rings
      const massKg = 7850 * 0.7 * 2 * Math.PI * radiusM * (0.01 / rings)
      screwJ += 0.5 * massKg * (screwOmega * radiusM) ** 2
    }
    const energyJ =
      0.5 * 70 * tableMPerS ** 2 + screwJ + 0.5 * (2e-5 + 8e-5) * screwOmega ** 2 + 0.5 * 3e-5 * omega ** 2
    expect((0.5 * inertia.reflectedInertiaKgM2 * omega ** 2) / energyJ).toBeCloseTo(1, 5)
  })

  test('the lag of a stepper is where its restoring torque equals the friction, both ways', () => {
    const { lagDeg, reversalUm } = frictionLag({
      frictionTorqueNm: 0.4,
      holdingTorqueNm: 2.2,
      fullStepsPerRev: 200,
      leadMm: 5,
      ratio: 1,
    })
    // The torque of a step motor is a sine of 50 periods a turn.
    const restoringNm = 2.2 * Math.sin(((lagDeg * Math.PI) / 180) * 50)
    expect(restoringNm).toBeCloseTo(0.4, 9)
    expect(reversalUm).toBeCloseTo((2 * lagDeg * 5000) / 360, 9)
  })

  test('an axis runs down just where its load beats what holds it, and friction of the ways is not counted', () => {
    const head = {
      massKg: 60,
      inclineDeg: 90,
      counterbalanceN: 0,
      leadMm: 5,
      backwardEfficiency: 0.88,
      ratio: 1,
      dragTorqueNm: 0.1,
    }
    const pullNm = (60 * 9.80665 * 0.005 * 0.88) / (2 * Math.PI)
    const just = (detentTorqueNm: number) => unpoweredDrop({ ...head, detentTorqueNm })
    expect(just(0).backdriveTorqueNm).toBeCloseTo(pullNm, 9)
    expect(just(pullNm - 0.1).reserve).toBeCloseTo(1, 9)
    expect(just(0)).toMatchObject({ runs: 'down' })
    // Through a reduction the load pulls less at the motor; a brake adds to what holds.
    expect(unpoweredDrop({ ...head, detentTorqueNm: 0, ratio: 3 }).backdriveTorqueNm).toBeCloseTo(
      pullNm / 3,
      9,
    )
    expect(unpoweredDrop({ ...head, detentTorqueNm: 0, brakeTorqueNm: 2 }).holdingTorqueNm).toBeCloseTo(
      2.1,
      9,
    )
    // Over-balanced it runs up, by as much as it is over.
    const over = unpoweredDrop({ ...head, detentTorqueNm: 0, counterbalanceN: 60 * 9.80665 + 100 })
    expect(over.runs).toBe('up')
    expect(over.backdriveTorqueNm).toBeCloseTo((100 * 0.005 * 0.88) / (2 * Math.PI), 9)
  })
})
