import type { Axis } from '../document/axis'
import type { EvaluationContext } from '../evaluation/context'
import { CATALOGUE } from '../machine/parts'
import { settingsOf } from './controller/paper'
import { evaluateAxis } from './evaluateAxis'
import { THIRTY_AXES } from './fixtures/thirtyAxes'
import { newFullTest } from './fullTest/edits'
import { letterOf, programRefusal, testProgram } from './fullTest/program'
import { driveOrders } from './parts/orders'
import { recordOf } from './record'
import { remediesFor } from './remediesFor'
import { procedure } from './shared/steps/procedure'
import type { Step } from './shared/steps/step'

const CASES = THIRTY_AXES.map(one => [`${one.axis.title} in ${one.units}`, one] as const)

const stepsOf = (context: EvaluationContext): Step[] => {
  const steps = procedure(context)
  if (!steps) throw new Error('no steps: a part is missing')
  return steps
}
const planOf = (places: number[]) =>
  newFullTest(undefined, places, { label: 'Trial', startedAt: '', gaugeStepUm: 1 }, () => 'id')
const wordsOf = (steps: Step[]) =>
  steps.map(({ title, how, why, caution }) => [title, how, why, caution].filter(Boolean).join(' '))

describe.each(CASES)('%s', (_, { axis, units }) => {
  const context = evaluateAxis(axis, CATALOGUE, units)
  const steps = stepsOf(context)
  const ids = steps.map(({ id }) => id)
  const at = (id: string) => ids.indexOf(id)
  const words = wordsOf(steps)
  const upright = (axis.dimensions.inclineDeg.value ?? 0) > 0

  test('every part is in the catalogue, and nothing is said that is no number or no word', () => {
    for (const [kind, id] of Object.entries(axis.parts))
      if (id) expect([id, CATALOGUE[kind as keyof Axis['parts']].has(id)]).toEqual([id, true])
    const said = JSON.stringify([
      words,
      context.findings.map(({ title, sentence }) => [title, sentence]),
      driveOrders(axis, CATALOGUE, units).map(({ what }) => what),
      settingsOf(context),
      recordOf(context, [], { fixes: {} }).map(({ title, rows, empty }) => [title, rows, empty]),
    ])
    expect(
      /.{30}\b(NaN|undefined|Infinity|null|\[object)\b.{10}/.exec(
        said.replaceAll(/:null|null[,\]]/g, ''),
      )?.[0],
    ).toBeUndefined()
    if (units === 'inch') expect(/.{40}(steps|pulses) (a|per) millimet/i.exec(said)?.[0]).toBeUndefined()
  })

  test('the load is supported before what frees it, and let go of only after it was tried', () => {
    if (!upright) return expect(steps.filter(({ provesHold }) => provesHold)).toEqual([])
    const off = at('support-off')
    expect(at('support')).toBeLessThan(steps.findIndex(({ load }) => load === 'frees'))
    expect(at('held')).toBeLessThan(off)
    const fitting = steps.slice(off).filter(({ load }) => load)
    for (const step of fitting) {
      const before = steps.slice(off, steps.indexOf(step))
      expect([step.id, before.some(({ aidsIn }) => aidsIn?.includes('block'))]).toEqual([step.id, true])
    }
  })

  test('a brake and a counterbalance are fitted before anything counts on them', () => {
    const orders = driveOrders(axis, CATALOGUE, units).map(({ key }) => key)
    expect(orders.includes('supply:brake')).toBe(axis.parts.brake !== null)
    if (axis.parts.brake) {
      expect(at('brake-on')).toBeGreaterThan(-1)
      expect(at('brake-wired')).toBeGreaterThan(at('brake-on'))
      expect(at('brake-tested')).toBeGreaterThan(at('brake-wired'))
      expect(at('brake-tested')).toBeLessThan(at('held'))
    }
    if (axis.counterbalance.toFit) expect(orders.some(key => key.startsWith('balance:'))).toBe(true)
    if (axis.dimensions.counterbalanceN.value) {
      const fitted = ids.findIndex(id => id.startsWith('balance'))
      expect(fitted).toBeGreaterThan(-1)
      expect(fitted).toBeLessThan(at('held'))
    }
  })

  test('first moves: the stop before anything moves, each motor alone, a tenth of the speed everywhere', () => {
    const order = ['estop-off', 'estop-on', 'motor-alone', 'direction', 'measured-move']
    const places = order.map(at)
    expect(places.every(place => place >= 0)).toBe(true)
    expect(places).toEqual(places.toSorted((a, b) => a - b))
    const speeds = words.flatMap(
      text => text.match(/\ba (half|quarter|third|fifth|tenth) of (its|the) (top )?speed/g) ?? [],
    )
    expect(speeds.filter(text => !text.includes('tenth'))).toEqual([])
  })

  test('what is stretched is stretched after the torque, by a gap; what hangs free has no far block', () => {
    const text = words.join('\n')
    if (axis.ends === 'fixed-free')
      expect(/.{30}(far block|both blocks|far bearing)/i.exec(text)?.[0]).toBeUndefined()
    expect(at('stretch') >= 0).toBe(axis.ends === 'fixed-fixed')
    if (axis.ends !== 'fixed-fixed') return
    expect(driveOrders(axis, CATALOGUE, units).some(({ key }) => key.startsWith('ring:'))).toBe(true)
  })

  test('it is called what it is', () => {
    const text = words.join('\n')
    if (axis.slide === 'knee' || axis.slide === 'quill')
      expect(/.{40}\bthe head\b(?! of).{20}/i.exec(text)?.[0]).toBeUndefined()
    if (axis.slide === 'knee') expect(/.{40}block.{0,30} on the table.{10}/i.exec(text)?.[0]).toBeUndefined()
  })

  test('the test program moves this axis alone, never rapidly and never out of its travel', () => {
    const waysMm = axis.dimensions.wayTravelMm.value as number
    const test = planOf([5, 60, waysMm / 2])
    const letter = letterOf(axis)
    if (axis.name.length > 1) {
      expect(letter).toBeNull()
      expect(programRefusal(context, test)).toMatch(/by which letter/)
      return
    }
    expect(letter).toBe(axis.name)
    const far = { ...test, overrunMm: 90 }
    expect(programRefusal(context, far)).toMatch(/lies outside the travel/)
    expect(programRefusal(context, test)).toBeNull()
    const program = testProgram({
      machine: 'Trial',
      axis: axis.name,
      letter: letter as string,
      dwellUnit: 'milliseconds',
      units,
      test,
    })
    const code = program.replaceAll(/\(.*?\)/g, '')
    expect(code).not.toMatch(/G0?0\b/)
    const perUnit = units === 'inch' ? 25.4 : 1
    for (const [, word, figure] of code.matchAll(/\b([A-CU-Z])(-?[\d.]+)/g)) {
      expect(word).toBe(letter)
      expect(Number(figure) * perUnit).toBeGreaterThanOrEqual(-1e-3)
      expect(Number(figure) * perUnit).toBeLessThanOrEqual(waysMm + 1e-3)
    }
  })

  test('what fails has ways out that help, and none counts on what is not fitted', () => {
    for (const id of ['axis.unpoweredDrop', 'shaft.endStress', 'joint.slip', 'controller.pulses'] as const) {
      const finding = context.finding(id)
      if (finding?.state !== 'fails') continue
      const ways = remediesFor(axis, CATALOGUE, units, id)
      expect([id, ways.length > 0]).toEqual([id, true])
    }
  })
})

test('what an engineer says of what holds each load', () => {
  const said = Object.fromEntries(
    THIRTY_AXES.map(({ axis, units }) => [
      axis.title,
      evaluateAxis(axis, CATALOGUE, units).finding('axis.unpoweredDrop')?.state ?? 'level',
    ]),
  )
  const notHeld = Object.entries(said).filter(([, state]) => state !== 'level' && state !== 'holds')
  // 70 kg on a 5 mm lead back-drives about what the detent gives; 170 kg on 1,140 N of an old spring leaves a third of it hanging;
  // a 10 mm lead turns a small motor whatever it weighs. All others have a brake for twice their load, or springs near their weight.
  expect(Object.fromEntries(notHeld)).toEqual({
    'Head that nothing holds': 'fails',
    'Knee on gas springs': 'close',
    'Router head, nothing to hold it': 'fails',
  })
})
