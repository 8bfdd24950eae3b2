import fc from 'fast-check'
import {
  GRAVITY_M_PER_S2,
  roundAreaMm2,
  STEEL_DENSITY_KG_PER_M3,
  STEEL_E_MPA,
} from '../../calculation/constants'
import { screwSag } from '../../machine/sizing/screw'
import { dragShares, reachOf } from '../../sheets/shared/rounds/dragShares'
import { sideForce } from '../../sheets/shared/rounds/worth'
import { simPlay } from '../play'
import { SimulatedAxis } from './axis'
import { lieOn, type Support } from './beam'
import { type Causes, LINKS, type Link } from './figures'
import { TABLE } from './table'

const RIGID = 1e9
const D = 17.1
const bendingNmm2 = (STEEL_E_MPA * Math.PI * D ** 4) / 64
const weightNPerMm = roundAreaMm2(D) * STEEL_DENSITY_KG_PER_M3 * 1e-9 * GRAVITY_M_PER_S2
const held = (atMm: number, isFixed: boolean): Support => ({
  atMm,
  offsetMm: 0,
  stiffnessNPerMm: RIGID,
  rockingNmmPerRad: isFixed ? 1e15 : 0,
})

describe('the screw as a beam', () => {
  const lengthMm = 900
  test.each([
    ['supported-supported', [held(0, false), held(lengthMm, false)]],
    ['fixed-fixed', [held(0, true), held(lengthMm, true)]],
    ['fixed-supported', [held(0, true), held(lengthMm, false)]],
    ['fixed-free', [held(0, true)]],
  ] as const)('sags by its own weight as tables of beams say, held %s', (ends, supports) => {
    const { offMm, forcesN } = lieOn({ lengthMm, bendingNmm2, weightNPerMm, supports })
    for (const positionMm of [45, 200, 450, 610, 855]) {
      const { sagUm } = screwSag({ rootDiameterMm: D, lengthMm, ends, positionMm })
      expect(-1000 * offMm(positionMm)).toBeCloseTo(sagUm, 3)
    }
    // All of its weight is carried.
    expect(forcesN.reduce((sum, one) => sum + one, 0)).toBeCloseTo(weightNPerMm * lengthMm, 6)
  })

  test('a block off the line pushes the nut as a beam on a spring does, and is felt along the travel as drag is', () => {
    const stiffnessNPerUm = 50
    const offsetUm = 80
    const reachMm = reachOf(D, stiffnessNPerUm)
    for (const nutMm of [20, 60, 150, 400]) {
      const { forcesN } = lieOn({
        lengthMm: 620,
        bendingNmm2,
        weightNPerMm: 0,
        supports: [
          {
            atMm: 0,
            offsetMm: offsetUm / 1000,
            stiffnessNPerMm: 1000 * stiffnessNPerUm,
            rockingNmmPerRad: 0,
          },
          held(nutMm, true),
        ],
      })
      const [block, nut] = forcesN as [number, number]
      expect(block + nut).toBeCloseTo(0, 4)
      const { sideForceN } = sideForce({
        offsetUm,
        distanceMm: nutMm,
        rootDiameterMm: D,
        supportStiffnessNPerUm: stiffnessNPerUm,
      })
      expect(block / sideForceN).toBeCloseTo(1, 4)
      const [, , shape] = dragShares(nutMm, 1, 620, reachMm)
      expect(block / (offsetUm * stiffnessNPerUm)).toBeCloseTo(shape, 4)
    }
  })

  test('a bent one that nothing forces lies as it is bent', () => {
    const bow = (x: number) =>
      [0.2 * Math.sin((Math.PI * x) / 800), ((0.2 * Math.PI) / 800) * Math.cos((Math.PI * x) / 800)] as const
    const { offMm, forcesN } = lieOn({
      lengthMm: 800,
      bendingNmm2,
      weightNPerMm: 0,
      supports: [held(0, false), held(800, false)],
      bent: bow,
    })
    expect(offMm(400)).toBeCloseTo(0.2, 9)
    for (const force of forcesN) expect(force).toBeCloseTo(0, 6)
  })

  test('says so where nothing holds it', () => {
    expect(() =>
      lieOn({ lengthMm: 500, bendingNmm2, weightNPerMm: 0.01, supports: [held(0, false)] }),
    ).toThrow('Nothing holds the beam')
  })
})

const lossUm = ({ figures, causes }: SimulatedAxis, slideMm: number) => {
  const rod = ((figures.nutAtZeroMm + slideMm) * 1000) / (STEEL_E_MPA * roundAreaMm2(figures.rootDiameterMm))
  const play = LINKS.reduce((sum, link) => sum + figures.links[link].playUm + (causes.playUm?.[link] ?? 0), 0)
  const give = LINKS.reduce(
    (sum, link) => sum + (causes.softer?.[link] ?? 1) / figures.links[link].stiffnessNPerUm,
    rod,
  )
  return play + 2 * figures.frictionN * give
}

describe('moved to and fro', () => {
  test('it loses its plays, and twice what its springs give under friction', () => {
    const axis = new SimulatedAxis(TABLE, { playUm: { nut: 30, bearing: 8 } })
    axis.moveTo(190, 1000)
    axis.moveTo(200, 1000)
    const up = axis.offUm
    axis.moveTo(210, 1000)
    axis.moveTo(200, 1000)
    expect(axis.offUm - up).toBeCloseTo(lossUm(axis, 200), 6)
  })

  test('it is the play operator where nothing changes along the way', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -900, max: 900 }), { minLength: 1, maxLength: 30 }),
        fc.integer({ min: 0, max: 60 }),
        (steps, playUm) => {
          const axis = new SimulatedAxis(
            { ...TABLE, breakaway: 1, rootDiameterMm: 1e6 },
            { playUm: { nut: playUm } },
          )
          const total = lossUm(axis, 0)
          const { positionUm } = simPlay({
            playUm: total,
            commandUm: steps.map(step => step + total / 2),
          })
          steps.forEach((step, index) => {
            const at = 1000 * axis.moveTo(step / 1000, 500)
            expect(at).toBeCloseTo((positionUm[index] as number) - total / 2, 6)
          })
        },
      ),
    )
  })

  test('what is moved in is given back', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 400 }), { minLength: 1, maxLength: 12 }),
        fc.record({ um: fc.integer({ min: 0, max: 40 }), atDeg: fc.integer({ min: 0, max: 359 }) }),
        (places, wave) => {
          const axis = new SimulatedAxis(TABLE, { wave, leadErrorUmPerM: 300, playUm: { coupler: 12 } })
          axis.moveTo(0, 1000)
          axis.moveTo(20, 1000)
          const before = axis.offUm
          for (const place of places) axis.moveTo(place, 2000)
          axis.moveTo(0, 1000)
          axis.moveTo(20, 1000)
          expect(axis.offUm).toBeCloseTo(before, 6)
        },
      ),
    )
  })

  test('one that is warm grows by its time, and is back when it is cold', () => {
    const axis = new SimulatedAxis(TABLE, { heat: { riseK: 8, minutes: 12 } })
    axis.moveTo(300, 1000)
    const cold = axis.offUm
    for (let i = 0; i < 60; i++) {
      axis.moveTo(0, 3000)
      axis.moveTo(300, 3000)
    }
    // Twelve minutes at top speed are one time constant, at 390 mm from the fixed block.
    expect(axis.minutes).toBeCloseTo(12.1, 0)
    expect(axis.offUm - cold).toBeCloseTo(11.7e-6 * 8 * (1 - Math.exp(-1)) * 390_000, 0)
    axis.pass(200)
    axis.moveTo(290, 1000)
    axis.moveTo(300, 1000)
    expect(axis.offUm).toBeCloseTo(cold, 0)
  })

  test('a weight that is heavier than the friction leaves no play to be seen', () => {
    const causes: Causes = { playUm: { nut: 40 } }
    const reversal = (weightN: number) => {
      const axis = new SimulatedAxis({ ...TABLE, weightN }, causes)
      axis.moveTo(100, 500)
      const up = axis.offUm
      axis.moveTo(110, 500)
      axis.moveTo(100, 500)
      return axis.offUm - up
    }
    expect(reversal(0)).toBeGreaterThan(40)
    expect(reversal(400)).toBeLessThan(5)
  })
})

test.each(LINKS.map(link => [link]))('a play in the %s is of one size wherever it is read', link => {
  const causes: Causes = { playUm: { [link]: 25 } }
  const [sound, loose] = [new SimulatedAxis(TABLE), new SimulatedAxis(TABLE, causes)]
  const toAndFro = (
    axis: SimulatedAxis,
    place: 'motorHub' | 'screwHub' | 'block' | 'screwEnd' | 'nutFlange' | 'slide',
  ) => axis.pushedUm(place, 200) - axis.pushedUm(place, -200)
  expect(toAndFro(loose, 'slide') - toAndFro(sound, 'slide')).toBeCloseTo(25, 2)
  const shares = (axis: SimulatedAxis): Record<string, number> => ({
    motor: toAndFro(axis, 'motorHub'),
    coupler: toAndFro(axis, 'screwHub') - toAndFro(axis, 'motorHub'),
    block: toAndFro(axis, 'block'),
    bearing: toAndFro(axis, 'screwEnd') - toAndFro(axis, 'block'),
    nut: toAndFro(axis, 'nutFlange') - toAndFro(axis, 'screwEnd') - toAndFro(axis, 'screwHub'),
    bracket: toAndFro(axis, 'slide') - toAndFro(axis, 'nutFlange'),
  })
  for (const other of LINKS as readonly Link[])
    expect((shares(loose)[other] as number) - (shares(sound)[other] as number)).toBeCloseTo(
      other === link ? 25 : 0,
      2,
    )
  for (const axis of [sound, loose]) {
    axis.moveTo(190, 800)
    axis.moveTo(200, 800)
  }
  const [a, b] = [sound.offUm, loose.offUm]
  for (const axis of [sound, loose]) {
    axis.moveTo(210, 800)
    axis.moveTo(200, 800)
  }
  expect(loose.offUm - b - (sound.offUm - a)).toBeCloseTo(25, 2)
})

describe('turned by hand', () => {
  const at = (causes: Causes, nutMm: number, way: 1 | -1 = 1, angleDeg = 0) =>
    new SimulatedAxis(TABLE, causes).torqueNm(nutMm, way, angleDeg)
  test('a block off its line binds where the nut comes near it, and the far one at the far end', () => {
    const far: Causes = { farBlock: { heightUm: 200, sideUm: 0 } }
    expect(at(far, 530) - at({}, 530)).toBeGreaterThan(4 * (at(far, 250) - at({}, 250)))
    const fixed: Causes = { fixedBlock: { heightUm: 0, sideUm: 200 } }
    expect(at(fixed, 90) - at({}, 90)).toBeGreaterThan(4 * (at(fixed, 400) - at({}, 400)))
  })
  test('a bent one goes tight and free once a turn, a gib that walks one way, a coupler only while it is on', () => {
    const turn = (causes: Causes, apart = {}) => {
      const axis = new SimulatedAxis(TABLE, causes)
      const read = Array.from({ length: 24 }, (_, i) => axis.torqueNm(300, 1, 15 * i, apart))
      return Math.max(...read) - Math.min(...read)
    }
    expect(turn({ bow: { um: 150, atDeg: 40 } })).toBeGreaterThan(10 * turn({}))
    const coupler = { coupler: { wobbleNm: 0.1, atDeg: 0 } }
    expect(turn(coupler)).toBeGreaterThan(0.15)
    expect(turn(coupler, { couplerOff: true })).toBeLessThan(0.01)
    const walks: Causes = { gib: { walkingN: 30 } }
    expect(at(walks, 300, 1)).toBeGreaterThan(at(walks, 300, -1))
  })
})

test('steps are lost by whole cycles, and only on moves that are too fast', () => {
  const axis = new SimulatedAxis(TABLE, { lost: { cycles: 1, aboveMmPerMin: 2500 } })
  const home = (feed: number) => {
    axis.moveTo(100, feed)
    axis.moveTo(-5, 500)
    axis.moveTo(0, 500)
    return axis.offUm
  }
  const zero = home(1000)
  expect(home(2000)).toBeCloseTo(zero, 6)
  expect(home(3000) - zero).toBeCloseTo(-100, 6)
})

test('a screw that is bent, or carried off its middle, runs out; the thread of a straight one does not', () => {
  expect(new SimulatedAxis(TABLE).runOutUm(300)).toBeLessThan(1e-6)
  const bent = new SimulatedAxis(TABLE, { bow: { um: 120, atDeg: 40 } })
  // Held fixed at one end it is bent back a little there.
  expect(bent.runOutUm(310)).toBeGreaterThan(120)
  expect(bent.runOutUm(310)).toBeLessThan(240)
  const carried = new SimulatedAxis(TABLE, { journal: { at: 'fixed', um: 60 } })
  expect(Math.abs(carried.runOutUm(0) - 120)).toBeLessThan(6)
  expect(carried.runOutUm(620)).toBeLessThan(40)
  const turned = new SimulatedAxis(TABLE, { journal: { at: 'drive', um: 60 } })
  expect(turned.runOutUm(-30)).toBeCloseTo(120, 1)
  expect(turned.runOutUm(300)).toBeLessThan(1e-6)
})

test('a locknut that is turned too far is felt, one that is not is light, and the pull grows with what is laid on', () => {
  const at = (locknutTurn: number) => new SimulatedAxis(TABLE, { locknutTurn }).torqueNm(200, 1)
  expect(at(2)).toBeGreaterThan(at(1))
  expect(at(1) - at(0)).toBeCloseTo(TABLE.bearingDragNm, 9)
  const axis = new SimulatedAxis(TABLE)
  expect(axis.pullN(0)).toBeCloseTo(TABLE.frictionN, 9)
  expect(axis.pullN(10) - axis.pullN(0)).toBeCloseTo(TABLE.frictionCoefficient * 10 * GRAVITY_M_PER_S2, 9)
  // By hand a pair gives under the push, both ways, and what it is loose by comes on top.
  const givesUm = 2 * 120 * (1 / 120 + 1 / 1500)
  expect(axis.screwEndPlayUm(120)).toBeCloseTo(givesUm, 9)
  expect(new SimulatedAxis(TABLE, { playUm: { bearing: 30 } }).screwEndPlayUm(120)).toBeCloseTo(
    30 + givesUm,
    9,
  )
})
