import { ostrey } from '../../demo/ostrey'
import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { controllerSettings, controllerSteps, correctedSteps } from '../../machine/build/controller'
import { CATALOGUE } from '../../machine/parts'
import { evaluateAxis } from '../evaluateAxis'
import { firstMovesOnPaper, settingsOf } from './paper'

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
