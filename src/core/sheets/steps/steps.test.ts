import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import type { Orders } from '../../document/job'
import { SCREW_ENDS } from '../../document/kinds'
import { EvaluationContext } from '../../evaluation/context'
import { CATALOGUE } from '../../machine/parts'
import { evaluateAxis } from '../evaluateAxis'
import { newAxis } from '../newJob'
import { HERE } from '../shared/steps/fixtures/here'
import { askOf, blockedBy, boltStates, leaning, refusalOf } from '../shared/steps/holds'
import { procedure } from '../shared/steps/procedure'
import { BOLT_STATES, type Step } from '../shared/steps/step'

const axisWith = (
  screw: string,
  bearing: string,
  link: { coupler: string } | { belt: string },
  ends: Axis['ends'],
  inclineDeg: number,
): Axis => {
  const fresh = newAxis({ name: 'X', title: 'Table' })
  const axis: Axis = {
    ...fresh,
    dimensions: { ...fresh.dimensions, inclineDeg: { value: inclineDeg, provenance: 'measured' } },
  }
  const transmission = 'belt' in link ? 'belt' : 'direct'
  return {
    ...axis,
    ends,
    drive: { ...axis.drive, transmission },
    parts: { ...axis.parts, screw, bearing, ...link, motor: 'step-57-22' },
  }
}
const LINKS = [
  { coupler: 'slit-32-clamp' },
  { coupler: 'jaw-30-set' },
  { coupler: 'sliding-33' },
  { belt: 'belt-5-15-18-36' },
]
const builds = ['ball-20-5-double', 'ball-16-5-single', 'ground-25-5-offset', 'slide-20-4-plain'].flatMap(
  screw =>
    SCREW_ENDS.flatMap(ends =>
      LINKS.flatMap(link => [0, 90].map(incline => axisWith(screw, 'back-12', link, ends, incline))),
    ),
)
const stepsOf = (axis: Axis): Step[] => procedure(new EvaluationContext(axis, CATALOGUE)) ?? []
const at = (steps: Step[], id: string) => steps.findIndex(step => step.id === id)
const inOrder = (steps: Step[], ...ids: string[]) => {
  const places = ids.map(id => at(steps, id))
  expect(places).not.toContain(-1)
  expect(places).toEqual(places.toSorted((a, b) => a - b))
}

test('whatever the parts, the order obeys the rules of the trade', () => {
  for (const axis of builds) {
    const steps = stepsOf(axis)
    const far = axis.ends !== 'fixed-free'
    inOrder(
      steps,
      'isolate',
      'nut-loose',
      'fixed-loose',
      'nut-clamp',
      'run-fixed',
      'tight-fixed',
      'nut-tight',
      'run-through',
      'aligned',
      'torque-blocks',
    )
    if (far)
      inOrder(steps, 'far-loose', 'nut-clamp', 'run-fixed', 'tight-fixed', 'run-far', 'tight-far', 'aligned')
    else expect(at(steps, 'far-loose')).toBe(-1)
    // A coupler's hub comes after the motor face; a pulley must be on its shaft before the motor goes in.
    if (axis.drive.transmission === 'belt')
      inOrder(steps, 'motor-hub', 'motor-loose', 'motor-face', 'power-on')
    else inOrder(steps, 'motor-loose', 'motor-face', 'motor-hub', 'power-on')
    inOrder(steps, 'power-on', 'proved', 'locked')
    if (CATALOGUE.screw.get(axis.parts.screw ?? '')?.kind === 'ball') {
      inOrder(steps, 'stop-tie', 'nut-loose', 'fixed-loose', 'tie-off', 'nut-clamp')
      if (far) inOrder(steps, 'far-loose', 'tie-off')
      expect(steps[at(steps, 'stop-tie')]?.hold).toBe(true)
    } else expect(at(steps, 'stop-tie')).toBe(-1)
    expect(at(steps, 'support') >= 0).toBe((axis.dimensions.inclineDeg.value ?? 0) > 0)
    // Threadlocker is spoken of in the last assembly alone.
    const locker = steps.filter(step => /threadlocker/i.test(step.title + step.how + step.tools.join()))
    expect(locker.map(step => step.id)).toEqual(['locked'])
  }
})

test('no joint is ever loosened by a later step, and all end torqued', () => {
  for (const axis of builds) {
    const steps = stepsOf(axis)
    const reached: Record<string, number> = {}
    for (const step of steps)
      for (const [joint, state] of Object.entries(step.bolts)) {
        const place = BOLT_STATES.indexOf(state)
        expect(place).toBeGreaterThan(step.id === 'locked' ? -1 : (reached[joint] ?? 0))
        reached[joint] = Math.max(place, reached[joint] ?? 0)
      }
    const done = Object.fromEntries(steps.map(step => [step.id, '2026-01-01T00:00:00.000Z']))
    const states = boltStates(steps, done)
    expect(states.farBlock).toBe(axis.ends === 'fixed-free' ? 'out' : 'torqued')
    for (const joint of ['nut', 'fixedBlock', 'screwHub', 'motorFace', 'motorHub'] as const)
      expect(states[joint]).toBe('torqued')
  }
})

test('steps have names of their own that a job file accepts', () => {
  const ids = stepsOf(
    axisWith('ball-20-5-double', 'back-12', { coupler: 'jaw-40-clamp' }, 'fixed-supported', 90),
  ).map(({ id }) => id)
  expect(new Set(ids).size).toBe(ids.length)
  for (const id of ids) expect(id).toMatch(/^[a-z0-9.-]{1,60}$/)
})

test('a hold point blocks everything after it, and cannot be opened under what rests on it', () => {
  const steps = stepsOf(
    axisWith('ball-20-5-double', 'back-12', { coupler: 'jaw-40-clamp' }, 'fixed-supported', 0),
  )
  expect(blockedBy(steps, {}, 'isolate')).toBeNull()
  expect(blockedBy(steps, {}, 'clean')?.id).toBe('isolate')
  const ticks = { isolate: 'now', 'free-turn': 'now', 'stop-tie': 'now', 'nut-loose': 'now' }
  expect(blockedBy(steps, ticks, 'far-loose')).toBeNull()
  expect(blockedBy(steps, ticks, 'aligned')?.id).toBe('run-through')
  expect(leaning(steps, ticks, 'stop-tie').map(({ id }) => id)).toEqual(['nut-loose'])
  expect(leaning(steps, ticks, 'nut-loose')).toEqual([])
})

test('the steps speak of the parts that were chosen', () => {
  const text = (axis: Axis, id: string) => stepsOf(axis).find(step => step.id === id)?.how ?? ''
  const jaw = axisWith('ball-20-5-double', 'face-12', { coupler: 'jaw-40-clamp' }, 'fixed-supported', 0)
  expect(text(jaw, 'hub-screw')).toContain('Keep 2 mm between the hubs')
  expect(text(jaw, 'bearings')).toContain('narrow lands')
  expect(
    text(
      axisWith('ball-20-5-double', 'back-12', { coupler: 'slit-19-set' }, 'fixed-supported', 0),
      'motor-hub',
    ),
  ).toContain('set screw, on a filed flat')
  expect(
    procedure(new EvaluationContext({ ...jaw, parts: { ...jaw.parts, motor: null } }, CATALOGUE)),
  ).toBeNull()
})

describe('a belt drive', () => {
  const belted = (centresMm: number): Axis => {
    const axis = axisWith('ball-20-5-double', 'back-12', { belt: 'belt-5-15-18-36' }, 'fixed-supported', 0)
    return { ...axis, driveSizes: { ...axis.driveSizes, beltCentresMm: centresMm } }
  }
  const how = (axis: Axis, id: string) => stepsOf(axis).find(step => step.id === id)?.how ?? ''

  test('says which belt to take, and the note to tune it to', () => {
    expect(how(belted(140), 'motor-loose')).toMatch(
      /A belt of \d+ teeth at 1(39|40|41)(\.\d)? mm between centres/,
    )
    expect(how(belted(140), 'motor-face')).toMatch(/sounds at \d+ Hz: that is \d+ N in it/)
    expect(stepsOf(belted(140)).find(({ id }) => id === 'motor-face')?.caution).toContain('cover the belt')
  })

  test('with centres too near for its pulleys sends the builder back to Size', () => {
    expect(how(belted(20), 'motor-loose')).toContain('mend that under Size')
    expect(how(belted(20), 'motor-face')).toBe('Turn the screw once and pluck again.')
  })

  test('is not ready while no belt is chosen, whatever coupler was chosen before', () => {
    const axis = belted(140)
    const without = { ...axis, parts: { ...axis.parts, belt: null, coupler: 'disc-34' } }
    expect(procedure(new EvaluationContext(without, CATALOGUE))).toBeNull()
  })
})

describe('an axis whose load can fall', () => {
  const head = axisWith('ball-20-5-double', 'back-12', { coupler: 'disc-34' }, 'fixed-supported', 90)
  const steps = stepsOf(head)

  test('is supported first, hung before a block is tightened, locked before every hand-turn, let go of last', () => {
    inOrder(
      steps,
      'support',
      'nut-loose',
      'hang',
      'lock-run-fixed',
      'run-fixed',
      'tight-fixed',
      'lock-run-far',
      'run-far',
      'lock-run-through',
      'run-through',
      'torque-blocks',
      'motor-hub',
      'held',
      'support-off',
      'power-on',
    )
    for (const id of ['support', 'hang', 'lock-run-fixed', 'lock-run-far', 'lock-run-through', 'held'])
      expect(steps[at(steps, id)]).toMatchObject({ hold: true, caution: expect.stringMatching(/./) })
    // Whatever turns the screw by hand has its lock right before it.
    for (const id of ['run-fixed', 'run-far', 'run-through'])
      expect(steps[at(steps, id) - 1]?.id).toBe(`lock-${id}`)
    for (const id of ['nut-loose', 'fixed-loose'])
      expect(steps[at(steps, id)]?.caution).toContain('no weight')
  })

  test('is not let go of while nothing holds it: the step asks the verdict', () => {
    const held = steps[at(steps, 'held')] as Step
    expect(askOf(held, evaluateAxis(head, CATALOGUE, 'mm'), HERE)).toContain('runs down')
    const braked: Axis = { ...head, parts: { ...head.parts, brake: 'brake-60' } }
    expect(askOf(held, evaluateAxis(braked, CATALOGUE, 'mm'), HERE)).toBeNull()
  })

  test('nobody knows how it stands: that is asked first, and until then it is built as one that falls', () => {
    const asked: Axis = {
      ...head,
      dimensions: { ...head.dimensions, inclineDeg: { value: 0, provenance: 'assumed' } },
    }
    const unknown = stepsOf(asked)
    inOrder(unknown, 'isolate', 'incline', 'support', 'lock-run-fixed')
    const context = evaluateAxis(asked, CATALOGUE, 'mm')
    expect(askOf(unknown[at(unknown, 'incline')] as Step, context, HERE)).toBe(
      'Measure first, under Survey: incline of the axis.',
    )
    const level: Axis = {
      ...head,
      dimensions: { ...head.dimensions, inclineDeg: { value: 0, provenance: 'measured' } },
    }
    for (const id of ['incline', 'support', 'hang', 'held']) expect(at(stepsOf(level), id)).toBe(-1)
  })
})

describe('a step asks the thing itself', () => {
  const [X] = skarrow().job.axes as [Axis]
  const steps = stepsOf(X)
  const why = (axis: Axis, stepId: string, orders: Orders = HERE) =>
    refusalOf(stepsOf(axis), stepId, evaluateAxis(axis, CATALOGUE, 'mm'), orders)
  const upTo = (stepId: string): Axis => ({
    ...X,
    ticks: Object.fromEntries(steps.slice(0, at(steps, stepId)).map(({ id }) => [id, 'now'])),
  })

  test('blocks are not torqued while Align fails, or before it is read', () => {
    expect(why(upTo('torque-blocks'), 'torque-blocks')).toBeNull()
    const bent: Axis = { ...upTo('torque-blocks'), rounds: X.rounds.slice(0, 1) }
    expect(why(bent, 'torque-blocks')).toMatch(/^Screw line in height: Raise the far block/)
    expect(why({ ...bent, rounds: [] }, 'aligned')).toBeNull()
    const { aligned: _, ...open } = bent.ticks
    expect(why({ ...bent, rounds: [], ticks: open }, 'aligned')).toBe(
      'Take a round of readings under Align first.',
    )
  })

  test('a motor that is ordered or missing is not fitted', () => {
    const order = (state: 'ordered' | 'missing' | 'arrived') => ({
      'part:step-57-22': { state, priceEur: null, leadDays: null, dueDay: null },
    })
    const axis = upTo('motor-loose')
    expect(why(axis, 'motor-loose', order('ordered'))).toContain('has not arrived')
    expect(why(axis, 'motor-loose', order('missing'))).toContain('is missing')
    expect(why(axis, 'motor-loose', order('arrived'))).toBeNull()
    // What nobody has noted anything of is not here either: a step without its part stops half-way.
    expect(why(axis, 'motor-loose', {})).toContain('is not ordered, as far as anybody has noted')
  })

  test('screws whose torque nobody knows are not ticked as torqued, but may be said to be tight otherwise', () => {
    const axis = upTo('torque-blocks')
    const unknown: Axis = { ...axis, joints: axis.joints.filter(({ holds }) => holds !== 'farBlock') }
    expect(why(axis, 'torque-blocks')).toBeNull()
    expect(why(unknown, 'torque-blocks')).toMatch(/^The torque of “Far block to the casting” is not known/)
    const bare: Axis = { ...axis, joints: axis.joints.map(one => ({ ...one, gripMm: null })) }
    expect(why(bare, 'torque-blocks')).toMatch(/^The torque of “Fixed block to the bed” is not known/)
    const context = evaluateAxis(unknown, CATALOGUE, 'mm')
    expect(refusalOf(stepsOf(unknown), 'torque-blocks', context, HERE, 'otherwise')).toBeNull()
    // What is only put in loose needs none.
    expect(why({ ...upTo('far-loose'), joints: [] }, 'far-loose')).toBeNull()
  })

  test('ties stay on until the blocks are on, and a block that something rests on stays ticked', () => {
    const { 'far-loose': _, ...ticks } = upTo('tie-off').ticks
    expect(why({ ...X, ticks }, 'tie-off')).toBe('First do “Far block on, screws in loose”.')
    // Opened again, it takes with it what leans on it.
    const built = upTo('nut-clamp')
    expect(leaning(stepsOf(built), built.ticks, 'far-loose').map(({ id }) => id)).toEqual(['tie-off'])
  })

  test('a screw held at both ends is stretched by what it will grow', () => {
    const both: Axis = { ...X, ends: 'fixed-fixed' }
    expect(stepsOf(both)[at(stepsOf(both), 'stretch')]?.how).toMatch(
      /gap of 0\.\d+ mm was left.*\([\d,]+ N of pull/,
    )
    // A locknut against a shoulder stretches nothing: both blocks are torqued first, and a gap is drawn shut.
    inOrder(stepsOf(both), 'aligned', 'torque-blocks', 'stretch')
    expect(at(steps, 'stretch')).toBe(-1)
  })
})
