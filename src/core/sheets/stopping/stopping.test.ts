import fc from 'fast-check'
import { demoJobs } from '../../demo'
import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { driveLine } from '../../drawing/driveLine'
import { remedied } from '../../evaluation/remedy'
import { CATALOGUE, catalogueOf } from '../../machine/parts'
import { limitsStopping } from '../../machine/travel/stopping'
import { evaluateAxis, overlayFor } from '../evaluateAxis'
import { overlayOf } from '../overlay'
import { remediesFor } from '../remediesFor'

const [X, Y] = skarrow().job.axes as [Axis, Axis]
/** Top speed 60 mm/s, slowing down at 400 mm/s2, 50 ms to react: 3 mm, and 4.5 mm of slowing down. */
const axisWith = (safetyFarMm: number, more: Partial<Axis> = {}): Axis => ({
  ...X,
  goals: { ...X.goals, topSpeedMmPerMin: 3600, accelerationMmPerS2: 900 },
  recesses: { ...X.recesses, safetyFixedMm: 30, safetyFarMm },
  stopping: { reactionS: 0.05, decelerationMmPerS2: 400 },
  ...more,
})
const judge = (axis: Axis) => evaluateAxis(axis, CATALOGUE, 'mm')

test('an axis runs on evenly until something reacts, and then slows down evenly', () => {
  expect(
    limitsStopping({ speedMmPerS: 60, decelerationMmPerS2: 400, reactionS: 0.05 }).distanceMm,
  ).toBeCloseTo(7.5, 12)
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 500, noNaN: true }),
      fc.double({ min: 1, max: 5000, noNaN: true }),
      (speedMmPerS, decelerationMmPerS2) => {
        // Stepped through by the millisecond, it comes to the same.
        let [atMm, nowMmPerS] = [0, speedMmPerS]
        const step = speedMmPerS / decelerationMmPerS2 / 2000
        for (let i = 0; i < 2000; i++) {
          atMm += (nowMmPerS - (decelerationMmPerS2 * step) / 2) * step
          nowMmPerS -= decelerationMmPerS2 * step
        }
        const { distanceMm } = limitsStopping({ speedMmPerS, decelerationMmPerS2, reactionS: 0 })
        expect(distanceMm).toBeCloseTo(atMm, 6)
      },
    ),
  )
  expect(() => limitsStopping({ speedMmPerS: 60, decelerationMmPerS2: 0, reactionS: 0 })).toThrow(
    'decelerationMmPerS2',
  )
})

test.each([
  [11.25, 'holds'],
  [11.24, 'close'],
  [7.5, 'close'],
  [7.49, 'fails'],
  [0, 'fails'],
])('%s mm kept clear where 7.5 mm are needed: %s', (safetyFarMm, state) => {
  const context = judge(axisWith(safetyFarMm))
  expect(context.finding('stopping.far')).toMatchObject({ state, sheet: 'stopping', stage: 'room' })
  expect(context.finding('stopping.fixed')?.state).toBe('holds')
})

test('nothing is known until somebody knows how long the controller takes; then it slows as it speeds up', () => {
  const unknown = judge(axisWith(5, { stopping: { reactionS: null, decelerationMmPerS2: null } }))
  expect(unknown.finding('stopping.far')).toMatchObject({
    state: 'unknown',
    figure: null,
    missing: { sheet: 'stopping', stage: 'room' },
    sentence: expect.stringMatching(/^Enter first: how long the controller takes/),
  })
  const asUp = judge(axisWith(5, { stopping: { reactionS: 0.05, decelerationMmPerS2: null } }))
  // 3 mm, and 60 squared over twice 900: 2 mm.
  expect(asUp.finding('stopping.far')).toMatchObject({ state: 'close', limit: { value: 5 } })
  expect(asUp.finding('stopping.far')?.sentence).toContain('slowing down as hard as it speeds up')
})

test.each([
  ['a plank router with two-metre screws', 6000, 600, 5, 'fails'],
  ['an engraver that is never fast', 900, 500, 5, 'holds'],
  ['a heavy head that is slowed gently', 2000, 60, 8, 'fails'],
  ['an inch lathe with room enough', 1500, 300, 6, 'holds'],
])('%s: %s mm/min', (_, topSpeedMmPerMin, accelerationMmPerS2, keptMm, state) => {
  const axis = axisWith(keptMm, {
    goals: { ...X.goals, topSpeedMmPerMin, accelerationMmPerS2 },
    stopping: { reactionS: 0.02, decelerationMmPerS2: null },
  })
  expect(judge(axis).finding('stopping.far')?.state).toBe(state)
})

test('each remedy makes it hold by the least that will do, and says what it does to the travel', () => {
  const axis = axisWith(9)
  const remedies = remediesFor(axis, CATALOGUE, 'mm', 'stopping.far')
  expect(remedies.map(({ label }) => label)).toEqual([
    'Kept clear at the far end up to 11.3 mm',
    expect.stringMatching(/^Slowing down at a limit up to/),
    expect.stringMatching(/^Top speed down to/),
  ])
  for (const remedy of remedies)
    expect(judge(remedied(axis, remedy)).finding('stopping.far')?.state).toBe('holds')
  const [clear] = remedies
  if (!clear) throw new Error('no remedy')
  expect(remedied(axis, clear).recesses).toMatchObject({
    safetyFixedMm: 30,
    safetyFarMm: expect.closeTo(11.3, 9),
  })
  const tight = axisWith(9, {
    goals: { ...axis.goals, wantedTravelMm: judge(axis).finding('room.travel')?.figure?.value ?? 0 },
  })
  const [costly] = remediesFor(tight, CATALOGUE, 'mm', 'stopping.far')
  expect(costly?.effects).toContainEqual(expect.objectContaining({ checkId: 'room.travel', from: 'holds' }))
})

test('on the drive line both ends show how far it runs on, in the tone of their verdicts', () => {
  const axis = axisWith(8)
  const context = judge(axis)
  const spans = overlayOf('room', context, driveLine(context, 0.5), overlayFor).spans.filter(({ label }) =>
    label.startsWith('stops'),
  )
  const spanMm = axis.dimensions.supportSpanMm.value ?? 0
  const farMm = spanMm + axis.recesses.recessFarMm - 8
  expect(spans).toEqual([
    { fromMm: 22.5, toMm: 30, tone: 'ink', label: 'stops within 7.5 mm' },
    {
      fromMm: expect.closeTo(farMm, 9),
      toMm: expect.closeTo(farMm + 7.5, 9),
      tone: 'close',
      label: 'stops within 7.5 mm',
    },
  ])
  expect(
    overlayOf('room', judge(Y), driveLine(judge(Y), 0.5), overlayFor).spans.some(({ label }) =>
      label.startsWith('stops'),
    ),
  ).toBe(false)
})

test('no demo axis shows a distance that nobody has entered the reaction for', () => {
  for (const { job } of demoJobs())
    for (const axis of job.axes)
      expect(evaluateAxis(axis, catalogueOf(job), 'mm').finding('stopping.far')?.figure === null).toBe(
        axis.stopping.reactionS === null,
      )
})
