import { longTom } from '../../demo/longTom'
import { ostrey } from '../../demo/ostrey'
import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { remedied } from '../../evaluation/remedy'
import { CATALOGUE } from '../../machine/parts'
import { evaluateAxis } from '../evaluateAxis'
import { remediesFor } from '../remediesFor'
import { controllerSettings, controllerSteps, correctedSteps } from '../shared/steps/controller'
import { procedure } from '../shared/steps/procedure'
import { firstMovesOnPaper, firstTries, settingsOf } from './paper'

const [X] = skarrow().job.axes as [Axis]
const at = (axis: Axis, what: string, units: 'mm' | 'inch' = 'mm') =>
  settingsOf(evaluateAxis(axis, CATALOGUE, units)).find(one => one.what === what)
const untried: Axis['controller'] = {
  ...X.controller,
  commandedMm: null,
  movedMm: null,
  direction: null,
}

test('steps a millimetre: 200 steps, 8 microsteps, 5 mm of lead; a move that goes too far takes some away', () => {
  const drive = {
    motor: 'stepper' as const,
    fullStepsPerRev: 200,
    microsteps: 8,
    countsPerRev: 4000,
    ratio: 1,
    leadMm: 5,
    topSpeedMmPerS: 50,
  }
  expect(controllerSteps(drive)).toEqual({ stepsPerMm: 320, pulsesPerS: 16_000, stepUm: 3.125 })
  // A servo has no microsteps: its drive takes counts.
  expect(controllerSteps({ ...drive, motor: 'servo' })).toMatchObject({ stepsPerMm: 800 })
  const { correctedPerMm: set } = correctedSteps({ stepsPerMm: 320, commandedMm: 300, movedMm: 300.3 })
  // With it, the same command goes where it should.
  expect((300.3 * set) / 320).toBeCloseTo(300, 9)
})

test('an unmeasured move corrects nothing, and half a reading neither', () => {
  for (const controller of [untried, { ...untried, commandedMm: 300 }, { ...untried, movedMm: 299 }]) {
    expect(at({ ...X, controller }, 'Steps a millimetre')).toMatchObject({ set: '320' })
    // What nobody has measured stands in no working.
    const context = evaluateAxis({ ...X, controller }, CATALOGUE, 'mm')
    controllerSettings(context)
    expect(Object.keys(context.figures)).not.toContain('correctedSteps')
  }
  expect(at(X, 'Steps a millimetre')).toMatchObject({ set: '319.872', from: 'measured' })
})

test('a belt that gears down takes more steps, and an inch lathe has them by the inch too', () => {
  const [, slide] = ostrey().job.axes as [Axis, Axis]
  const perMm = Number(at(slide, 'Steps a millimetre')?.set)
  expect(perMm).toBe(640)
  expect(Number(at(slide, 'Steps an inch', 'inch')?.set)).toBeCloseTo(perMm * 25.4, 3)
  expect(at(slide, 'Steps an inch')).toBeUndefined()
  expect(at(slide, 'Steps a millimetre', 'inch')).toBeUndefined()
})

test('between the soft limits lies the travel that ways and screw leave, and the first try is gentle', () => {
  expect(at(X, 'Between the soft limits')?.set).toBe('412.6 mm')
  expect(at(X, 'Top speed')).toMatchObject({ set: '3,000 mm/min', first: '300 mm/min' })
  expect(at(X, 'Acceleration')).toMatchObject({ first: '125 mm/s²' })
})

test('without parts its sheet asks for them, with them it lists what is tried in its order', () => {
  const bare: Axis = { ...X, parts: { ...X.parts, motor: null } }
  expect(firstMovesOnPaper(evaluateAxis(bare, CATALOGUE, 'mm'))).toMatchObject({
    rows: [],
    empty: 'Choose a motor first.',
  })
  const { rows } = firstMovesOnPaper(evaluateAxis(X, CATALOGUE, 'mm'))
  expect(JSON.stringify(rows.at(-1))).toContain('A long move measured')
})

describe('a servo', () => {
  const servo: Axis = {
    ...X,
    drive: { ...X.drive, microsteps: 8 },
    parts: { ...X.parts, motor: 'servo-60-400' },
    controller: untried,
  }
  test('takes counts and no microsteps: those of its sheet, or as its drive is set', () => {
    expect(at(servo, 'Steps a millimetre')).toMatchObject({
      set: '2000',
      from: expect.stringContaining('10000 counts a turn (as the sheet of the motor has it)'),
    })
    const geared: Axis = { ...servo, controller: { ...untried, countsPerRev: 4000 } }
    expect(at(geared, 'Steps a millimetre')).toMatchObject({
      set: '800',
      from: expect.stringContaining('4000 counts a turn (as its drive is set)'),
    })
    for (const microsteps of [1, 16, 256])
      expect(at({ ...servo, drive: { ...servo.drive, microsteps } }, 'Steps a millimetre')?.set).toBe('2000')
  })
  test('is held to the pulses that the controller gives out, and slowed or geared where those are too few', () => {
    const given = (pulseLimitHz: number | null): Axis => ({
      ...servo,
      controller: { ...untried, pulseLimitHz },
    })
    const state = (axis: Axis) =>
      evaluateAxis(axis, CATALOGUE, 'mm').findings.find(({ checkId }) => checkId === 'controller.pulses')
        ?.state
    // 3,000 mm/min are 50 mm/s: 100,000 counts a second.
    expect(state(given(25_000))).toBe('fails')
    expect(state(given(105_000))).toBe('close')
    expect(state(given(200_000))).toBe('holds')
    expect(state(given(null))).toBeUndefined()
    const ways = remediesFor(given(25_000), CATALOGUE, 'mm', 'controller.pulses')
    expect(ways.map(({ label }) => label)[0]).toMatch(/counts a turn/)
    for (const way of ways) expect(state(remedied(given(25_000), way))).toBe('holds')
  })
})

test('the first moves come in the order in which a mistake costs least, all at a tenth of the speed', () => {
  const tries = firstTries(evaluateAxis(X, CATALOGUE, 'mm'))
  const order = [
    /stop tried with the drives off/,
    /stop tried with the drives on/,
    /motor alone/,
    /Current/,
    /Steps set/,
    /Home and limits/,
    /long move/,
  ].map(words => tries.findIndex(({ title }) => words.test(title)))
  expect(order).not.toContain(-1)
  expect(order).toEqual(order.toSorted((a, b) => a - b))
  const text = tries.map(({ title, how, caution = '' }) => `${title} ${how} ${caution}`).join(' ')
  expect(text).not.toMatch(/[Hh]alf (the|that|of the) (top )?speed|walking pace/)
  expect(text).toMatch(/tenth/)
})

test('two motors of a gantry are tried alone before either is joined to its screw', () => {
  const [gantry] = longTom().job.axes as [Axis]
  const ids = (procedure(evaluateAxis(gantry, CATALOGUE, 'mm')) ?? []).map(({ id }) => id)
  const joins = gantry.drive.transmission === 'belt' ? 'motor-face' : 'motor-hub'
  for (const end of ['', '.2']) {
    expect(ids.indexOf(`motor-alone${end}`)).toBeGreaterThan(ids.indexOf('estop-on'))
    expect(ids.indexOf(`${joins}${end}`)).toBeGreaterThan(ids.indexOf(`motor-alone${end}`))
    expect(ids.indexOf(`${joins}${end}`)).toBeLessThan(ids.indexOf('power-on'))
  }
})
