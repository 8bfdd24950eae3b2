import fc from 'fast-check'
import type { Axis } from '../../document/axis'
import { evaluateAxis } from '../../sheets/evaluateAxis'
import { newAxis } from '../../sheets/newJob'
import { remediesFor } from '../../sheets/remediesFor'
import { CATALOGUE } from '../parts'

const measured = (value: number | null) => ({ value, provenance: 'measured' as const })
interface Upright {
  lightestKg: number | null
  heaviestKg: number
  counterbalanceN?: number
  spreadN?: number | null
  parts?: Partial<Axis['parts']>
}
function upright({ lightestKg, heaviestKg, counterbalanceN = 0, spreadN = 0, parts = {} }: Upright): Axis {
  const axis = newAxis({ name: 'Z', title: 'Knee', slide: 'knee' })
  return {
    ...axis,
    dimensions: {
      ...axis.dimensions,
      inclineDeg: measured(90),
      movingMassKg: measured(heaviestKg),
      lightestMassKg: measured(lightestKg),
      counterbalanceN: measured(counterbalanceN),
      counterbalanceSpreadN: measured(spreadN),
    },
    parts: {
      ...axis.parts,
      screw: 'ball-25-5-double',
      bearing: 'back-17',
      coupler: 'bellows-55',
      motor: 'step-86-85',
      ...parts,
    },
  }
}
const find = (axis: Axis, id: string, units: 'mm' | 'inch' = 'mm') =>
  evaluateAxis(axis, CATALOGUE, units).findings.find(({ checkId }) => checkId === id)

test('a knee of 80 to 150 kg on a spring of 1,400 N stays with the work on, and runs up when it is lifted off', () => {
  const knee = upright({ lightestKg: 80, heaviestKg: 150, counterbalanceN: 1400 })
  // With the heaviest alone it would stay: 71 N are left of its weight.
  expect(
    find(upright({ lightestKg: 150, heaviestKg: 150, counterbalanceN: 1400 }), 'axis.unpoweredDrop')?.state,
  ).toBe('holds')
  const found = find(knee, 'axis.unpoweredDrop')
  expect(found?.state).toBe('fails')
  expect(found?.sentence).toMatch(
    /run up, over-balanced.*at its lightest, 80 kg, with the counterbalance of 1,400 N/,
  )
  expect(find(knee, 'axis.unpoweredDrop', 'inch')?.sentence).toMatch(/at its lightest, 176\.37 lb/)
})

test('a spring that gives way over its stroke is judged at the end where it holds least', () => {
  const found = find(
    upright({ lightestKg: 100, heaviestKg: 100, counterbalanceN: 980, spreadN: 1000 }),
    'axis.unpoweredDrop',
  )
  expect(found?.state).not.toBe('holds')
  expect(found?.sentence).toMatch(/counterbalance at its (weakest|strongest)/)
  expect(
    find(
      upright({ lightestKg: 100, heaviestKg: 100, counterbalanceN: 980, spreadN: 0 }),
      'axis.unpoweredDrop',
    )?.state,
  ).toBe('holds')
})

test('what nobody has measured of a counterbalanced axis is asked for, and no hold is said to be there', () => {
  expect(
    find(upright({ lightestKg: null, heaviestKg: 90, counterbalanceN: 500 }), 'axis.unpoweredDrop'),
  ).toMatchObject({
    state: 'unknown',
    sentence: 'Measure first: moving mass, with nothing on it.',
  })
  expect(
    find(
      upright({ lightestKg: 70, heaviestKg: 90, counterbalanceN: 500, spreadN: null }),
      'axis.unpoweredDrop',
    )?.sentence,
  ).toBe('Measure first: its force changes over the travel by.')
  expect(
    find(upright({ lightestKg: 120, heaviestKg: 90, counterbalanceN: 500 }), 'axis.unpoweredDrop')?.state,
  ).toBe('unknown')
  // Without one the heaviest is the worst in everything, and nothing is asked.
  expect(find(upright({ lightestKg: null, heaviestKg: 9 }), 'axis.unpoweredDrop')?.state).toBe('holds')
})

test('over the whole range it holds exactly where it holds at both of its ends', () => {
  const kg = fc.integer({ min: 20, max: 200 })
  fc.assert(
    fc.property(
      kg,
      kg,
      fc.integer({ min: 100, max: 1900 }),
      fc.integer({ min: 0, max: 300 }),
      (a, b, forceN, spreadN) => {
        const [lightestKg, heaviestKg] = [Math.min(a, b), Math.max(a, b)]
        const at = (massKg: number, counterbalanceN: number) =>
          find(upright({ lightestKg: massKg, heaviestKg: massKg, counterbalanceN }), 'axis.unpoweredDrop')
            ?.state
        const weak = Math.max(1, forceN - spreadN / 2)
        const ends = [lightestKg, heaviestKg].flatMap(massKg => [
          at(massKg, weak),
          at(massKg, forceN + spreadN / 2),
        ])
        const whole = find(
          upright({ lightestKg, heaviestKg, counterbalanceN: forceN, spreadN }),
          'axis.unpoweredDrop',
        )?.state
        expect(whole === 'holds').toBe(ends.every(state => state === 'holds'))
      },
    ),
    { numRuns: 60 },
  )
})

test('weight closes play only where the lightest still does', () => {
  const play = { screw: 'ball-20-5-single', bearing: 'deep-groove-12', coupler: 'bellows-32' }
  const words = (axis: Axis) => find(axis, 'axis.lostMotion')?.sentence ?? ''
  const light: Axis = upright({ lightestKg: 20, heaviestKg: 120, parts: play })
  const heavy: Axis = upright({ lightestKg: 119, heaviestKg: 120, parts: play })
  const cut = (axis: Axis): Axis => ({ ...axis, goals: { ...axis.goals, cuttingForceN: 400 } })
  expect(words(cut(heavy))).toContain('keeps nut and bearings on one flank')
  expect(words(cut(light))).toMatch(/A cut that lifts with more than \d+ N turns the load round/)
})

test('the largest load says at which end it is: over-balanced, the lightest pulls hardest', () => {
  const found = find(
    upright({ lightestKg: 10, heaviestKg: 100, counterbalanceN: 900, spreadN: 100 }),
    'screw.buckling',
  )
  expect(found?.sentence).toMatch(
    /It is largest at its lightest, 10 kg, with the counterbalance at its strongest, 950 N/,
  )
})

test('a counterbalance that is a way out is bought and fitted, between both ends of the range', () => {
  const axis = upright({ lightestKg: 80, heaviestKg: 84, parts: { brake: null } })
  const [remedy] = remediesFor(axis, CATALOGUE, 'mm', 'axis.unpoweredDrop').filter(({ label }) =>
    label.startsWith('Counterbalance'),
  )
  expect(remedy?.label).toMatch(/^Counterbalance up to [\d,]+ N$/)
  expect(remedy?.patches.map(({ path }) => path.join('.'))).toEqual(
    expect.arrayContaining(['counterbalance.kind', 'counterbalance.toFit']),
  )
})
