import fc from 'fast-check'
import { runs } from '../../../calculation/fixtures/runs'
import { skarrow } from '../../../demo/skarrow'
import type { Axis } from '../../../document/axis'
import { type Change, type Edit, runEdit, takeBack } from '../../../document/edit'
import type { Job } from '../../../document/job'
import { CATALOGUE } from '../../../machine/parts'
import { evaluateAxis } from '../../evaluateAxis'
import { newAxis } from '../../newJob'
import { addMishap, openSteps, removeMishap, tickStep } from '../../steps/edits'
import { aidsIn } from './aids'
import { HERE } from './fixtures/here'
import { inHand, leaning, maySkip, refusalOf, waitsFor } from './holds'
import { loadState, openedWith } from './load'
import { MISHAP_KINDS } from './model'
import { knownSteps, procedure } from './procedure'
import { REDONE, type Redone, stepsToRedo } from './redo'
import type { Step } from './step'
import { doubtSupports, supportsIn } from './supports'

// A head that is let go of falls. What holds it is tried here as a model: random axes, walked through whatever the sheet allows.

interface Design {
  massKg: number
  inclineDeg: number
  brake: string | null
  counterbalanceN: number
  kind: Axis['counterbalance']['kind']
  toFit: boolean
  belted: boolean
  screws: 1 | 2
  /** A sliding screw locks itself. */
  screw: string
  slide: Axis['slide']
  ends: Axis['ends']
  threadlocker: Axis['buildSchools']['threadlocker']
}

function axisOf(design: Design): Axis {
  const axis = newAxis({ name: 'Z', title: 'Head', slide: design.slide })
  const measured = (value: number) => ({ value, provenance: 'measured' as const })
  return {
    ...axis,
    id: 'axis',
    ends: design.ends,
    dimensions: {
      ...axis.dimensions,
      inclineDeg: measured(design.inclineDeg),
      movingMassKg: measured(design.massKg),
      lightestMassKg: measured(design.massKg * 0.8),
      counterbalanceN: measured(design.counterbalanceN),
      counterbalanceSpreadN: measured(design.counterbalanceN * 0.1),
    },
    counterbalance: { kind: design.kind, toFit: design.toFit },
    buildSchools: { ...axis.buildSchools, threadlocker: design.threadlocker },
    drive: { ...axis.drive, screws: design.screws, transmission: design.belted ? 'belt' : 'direct' },
    parts: {
      screw: design.screw,
      bearing: 'back-17',
      coupler: 'bellows-55',
      belt: 'belt-5-15-18-36',
      motor: 'step-86-85',
      brake: design.brake,
    },
  }
}

const HEAD: Design = {
  massKg: 85,
  inclineDeg: 90,
  brake: 'brake-60',
  counterbalanceN: 0,
  kind: null,
  toFit: false,
  belted: false,
  screws: 1,
  screw: 'ball-25-5-double',
  slide: 'head',
  ends: 'fixed-supported',
  threadlocker: 'final',
}

const contexts = new WeakMap<Axis, ReturnType<typeof evaluateAxis>>()
/** One context a state of an axis, as the screens have it. */
function contextOf(axis: Axis) {
  const context = contexts.get(axis) ?? evaluateAxis(axis, CATALOGUE, 'mm')
  contexts.set(axis, context)
  return context
}
/** A job with one axis, its clock, and its history. */
class Bench {
  job: Job
  history: Change[] = []
  private minutes = 0
  constructor(axis: Axis) {
    this.job = { ...skarrow().job, axes: [axis] }
  }
  get axis(): Axis {
    return this.job.axes[0] as Axis
  }
  get steps(): Step[] {
    return knownSteps(contextOf(this.axis))
  }
  step(id: string): Step {
    const found = this.steps.find(one => one.id === id)
    if (!found) throw new Error(`no step ${id}`)
    return found
  }
  now(): string {
    this.minutes += 1
    return new Date(Date.UTC(2026, 10, 1) + this.minutes * 60_000).toISOString()
  }
  do(edit: Edit) {
    const { job, change } = runEdit(this.job, edit, { id: `c${this.minutes}`, at: this.now() })
    this.job = job
    this.history.push(change)
  }
  tick(id: string, how: 'done' | 'otherwise' | 'skipped' = 'done') {
    const why = how === 'done' ? '' : 'so'
    this.do(tickStep(this.axis, this.step(id), this.now(), { how, why }, this.steps))
  }
  open(id: string) {
    const opened = [this.step(id), ...leaning(this.steps, this.axis.ticks, id)]
    this.do(openSteps(this.axis, [...opened, ...openedWith(this.steps, this.axis, opened)]))
  }
  redo(what: Redone) {
    const opened = stepsToRedo(this.steps, this.axis, what)
    if (opened.length > 0) this.do(openSteps(this.axis, opened))
  }
  undo() {
    const last = this.history.pop()
    if (last) this.job = doubtSupports(this.job, takeBack(this.job, last), this.now())
  }
  /** Every step ticked, as it stands when all of them were done in turn. */
  finished() {
    const ticks = Object.fromEntries(this.steps.map(({ id }) => [id, this.now()]))
    this.job = { ...this.job, axes: [{ ...this.axis, ticks, driveMountedAt: this.now() }] }
  }
  next = () => inHand(this.steps, contextOf(this.axis))
  state = () => loadState(this.steps, contextOf(this.axis))
  allTo(id: string | null) {
    for (let left = 200; left > 0; left--) {
      const next = this.next()
      if (!next || next.id === id) return
      this.tick(next.id)
    }
    throw new Error(`never came to ${id}`)
  }
}

describe('an upright axis with a brake, built to its end', () => {
  const built = () => {
    const bench = new Bench(axisOf(HEAD))
    bench.allTo(null)
    const atOnce = new Bench(axisOf(HEAD))
    atOnce.finished()
    expect(Object.keys(atOnce.axis.ticks).toSorted()).toEqual(Object.keys(bench.axis.ticks).toSorted())
    expect(atOnce.state()).toBe(bench.state())
    return bench
  }

  test('is supported from before the first screw until it is proved that it holds, and held from then on', () => {
    const bench = new Bench(axisOf(HEAD))
    expect(bench.state()).toBe('old-drive')
    bench.allTo('td-hang')
    expect(bench.state()).toBe('supported')
    bench.allTo('support-off')
    expect(supportsIn(bench.axis)).toEqual(['block', 'hoist'])
    bench.tick('support-off')
    expect(bench.state()).toBe('held')
    // Out screw by screw, the coupler among them: supported again before, and let go of only after it was tried again.
    bench.allTo('locked')
    expect(bench.state()).toBe('supported')
    bench.tick('locked')
    expect(bench.next()?.id).toBe('final-held')
    bench.tick('final-held')
    expect(supportsIn(bench.axis)).toEqual(['block'])
    bench.allTo(null)
    expect(bench.state()).toBe('held')
    expect(bench.next()).toBeNull()
  })

  test('what was put in to help is out before its support is, and it is turned by hand only locked', () => {
    const ids = built().steps.map(({ id }) => id)
    const at = (id: string) => ids.indexOf(id)
    expect(at('aids-out')).toBeLessThan(at('held'))
    expect(at('held')).toBeLessThan(at('support-off'))
    expect(at('lock-aids-out')).toBe(at('aids-out') - 1)
    for (const step of built().steps)
      if (/by hand/.test(step.title) && step.id.startsWith('run'))
        expect(step.lockedBy).toEqual([`lock-${step.id}`])
  })

  test.each(Object.keys(REDONE) as Redone[])(
    'done again for a fault, %s: supported first, proved after',
    what => {
      const bench = built()
      const opened = stepsToRedo(bench.steps, bench.axis, what)
      bench.redo(what)
      if (opened.every(({ load }) => !load)) return expect(bench.state()).toBe('held')
      expect(bench.state()).toBe('free')
      expect(bench.next()?.id).toBe('support')
      for (const step of opened)
        if (step.load)
          expect(refusalOf(bench.steps, step.id, contextOf(bench.axis), HERE)).toContain('Support')
      // What was out is not said to be in.
      expect(aidsIn(bench.steps, bench.axis).filter(({ aid }) => aid === 'block' || aid === 'hoist')).toEqual(
        [],
      )
      bench.tick('support')
      bench.allTo('support-off')
      expect(bench.axis.ticks.held).toBeDefined()
      expect(bench.state()).toBe('supported')
      bench.allTo(null)
      expect(bench.state()).toBe('held')
    },
  )

  test('opened again, the torque of the blocks asks for the support that was taken out', () => {
    const bench = built()
    bench.open('torque-blocks')
    expect(bench.next()?.id).toBe('support')
    expect(aidsIn(bench.steps, bench.axis)).toEqual([])
    bench.allTo(null)
    expect(bench.state()).toBe('held')
  })

  test('a nut that ran off at the end: supported, mended, proved, let go', () => {
    const bench = built()
    bench.do(
      addMishap(
        bench.axis,
        bench.step('greased'),
        bench.now(),
        { what: 'ran-off', jointId: null, count: 1 },
        bench.steps,
      ),
    )
    expect(bench.state()).toBe('free')
    expect(bench.next()?.id).toBe('support')
    bench.allTo(null)
    expect(bench.state()).toBe('held')
  })

  test('a support that was taken out, taken back by undo, is asked for and not believed', () => {
    const bench = built()
    bench.redo('hubs')
    bench.tick('support')
    bench.undo()
    bench.undo()
    // Under that support something may have been loosened: it is supported and tried again.
    expect(bench.state()).toBe('free')
    expect(bench.next()?.id).toBe('support')
    bench.allTo(null)
    expect(bench.state()).toBe('held')
    // Opened and taken back, with nothing supported between, nothing can have been.
    bench.redo('hubs')
    bench.undo()
    expect(bench.state()).toBe('held')
    // The taking-out taken back: whether the block stands there only a look tells.
    const other = new Bench(axisOf(HEAD))
    other.allTo('support-off')
    other.tick('support-off')
    other.undo()
    expect(supportsIn(other.axis)).toEqual([])
    expect(other.state()).toBe('free')
    expect(other.next()?.id).toBe('support')
  })

  test('lighter or heavier than it was proved for, it is no longer held, and its support is asked for', () => {
    const bench = built()
    const heavy = { value: 4000, provenance: 'measured' as const }
    bench.job = {
      ...bench.job,
      axes: [{ ...bench.axis, dimensions: { ...bench.axis.dimensions, movingMassKg: heavy } }],
    }
    expect(bench.state()).toBe('free')
    expect(bench.next()?.id).toBe('support')
  })

  test('a part that holds it cannot be skipped, and one that was skipped once holds nothing', () => {
    const bench = built()
    expect(maySkip(bench.step('motor-hub'), contextOf(bench.axis))).toBe(false)
    const { axis } = bench
    const skipped = { how: 'skipped', why: 'so', who: '', tookMinutes: null } as const
    const once: Axis = { ...axis, stepNotes: { ...axis.stepNotes, 'motor-hub': skipped } }
    expect(loadState(bench.steps, contextOf(once))).toBe('free')
  })
})

test('what is loosened once more is tried after that, and not before', () => {
  const bench = new Bench(axisOf(HEAD))
  bench.allTo(null)
  bench.open('final-support')
  bench.tick('final-support')
  expect(refusalOf(bench.steps, 'final-held', contextOf(bench.axis), HERE)).toContain('threadlocker')
})

test('a level axis is asked for none of this', () => {
  const bench = new Bench(axisOf({ ...HEAD, inclineDeg: 0, slide: 'table', brake: null }))
  expect(bench.steps.some(({ id }) => /support|^held|^lock-/.test(id))).toBe(false)
  bench.allTo(null)
  expect(bench.state()).toBe('level')
})

test('a belt is tensioned again, and joined, only under a supported load', () => {
  const bench = new Bench(axisOf({ ...HEAD, belted: true }))
  bench.allTo('belt-again')
  expect(bench.state()).toBe('supported')
  bench.tick('belt-again')
  expect(bench.next()?.id).toBe('belt-held')
  bench.allTo(null)
  expect(bench.state()).toBe('held')
})

test('bench work needs no support before the machine is touched, and does once its drive has been on it', () => {
  const bench = new Bench(axisOf(HEAD))
  expect(waitsFor(bench.steps, contextOf(bench.axis), bench.step('bearings'))).toBeNull()
  bench.tick('bearings')
  bench.allTo(null)
  bench.open('preload')
  expect(bench.next()?.id).toBe('support')
})

/**
 * What a builder would see, told by nothing of the product but the names of its steps: what frees a load while it is done, and what
 * carries it. An undo may have been a slip of the mouse or of the hand: what it speaks of may then be in or out.
 */
const FREES =
  /^(td-(?!photo|lock|guards|hang|dummy|props)|nut-(loose|clamp|tight)|fixed-loose|far-loose|tight-|torque-blocks|stretch|hub-screw|motor-(loose|face|hub)|brake-(on|tested)|balance-|square|couple$|run-|estop-on|aids-out|locked$|belt-again|mishap\.)/
const BENCH = /^(bearings|stack|screw-in|preload|free-turn)/
const SUPPORTS: Readonly<Record<string, 'block' | 'hoist'>> = {
  support: 'block',
  'final-support': 'block',
  'belt-support': 'block',
  'td-hang': 'hoist',
  hang: 'hoist',
  'hang.2': 'hoist',
}
const LETS_GO = /^(support-off|final-off|belt-off)$/

/** What is surely true of a machine, whatever a slip may have hidden. */
interface Truth {
  /** What surely stands under the load. */
  supports: Set<string>
  /** The new drive may hang on the machine. */
  mounted: boolean
  /** Every link of the drive was done since it was last loosened, and tried since. */
  loose: Set<string>
  proved: boolean
  /** A support may have stood there, and something been loosened under it, that nobody ticked. */
  tainted: boolean
}

const design: fc.Arbitrary<Design> = fc.record({
  massKg: fc.constantFrom(9, 40, 85, 150),
  inclineDeg: fc.constantFrom(8, 45, 90),
  brake: fc.constantFrom('brake-60', 'brake-240', null),
  counterbalanceN: fc.constantFrom(0, 0, 60),
  kind: fc.constantFrom('springs' as const, 'gas-spring' as const, 'weights' as const, null),
  toFit: fc.boolean(),
  belted: fc.boolean(),
  screws: fc.constantFrom(1 as const, 1 as const, 2 as const),
  screw: fc.constantFrom('ball-25-5-double', 'ball-16-5-single', 'slide-20-4-plain'),
  slide: fc.constantFrom('head', 'knee', 'quill', 'cross-slide', 'rail-carriage', 'table', null),
  ends: fc.constantFrom('fixed-free', 'fixed-supported', 'fixed-fixed'),
  threadlocker: fc.constantFrom('final' as const, 'at-once' as const),
})

/** One thing that a builder does, as numbers that are turned into whatever is allowed then. */
const deed = fc.record({
  what: fc.constantFrom(
    ...([
      'next',
      'next',
      'next',
      'next',
      'any',
      'any',
      'skip',
      'open',
      'redo',
      'mishap',
      'noMishap',
      'undo',
      'mass',
    ] as const),
  ),
  which: fc.nat(10_000),
})

const carries = (id: string) =>
  FREES.test(id) && !/^(td-|run-|estop|aids-out|locked|belt-again|square|couple)/.test(id)

/** Walks an axis through deeds; throws where something that frees its load is offered while nothing surely holds it. */
function walk(of: Design, startAtEnd: boolean, deeds: readonly { what: string; which: number }[]): void {
  const bench = new Bench(axisOf(of))
  if (startAtEnd) bench.finished()
  const truth: Truth = {
    supports: new Set(),
    mounted: startAtEnd,
    loose: new Set(),
    proved: startAtEnd,
    tainted: false,
  }
  const past: { truth: Truth; id: string | null; isMishap: boolean }[] = []
  if (startAtEnd && of.threadlocker === 'at-once' && !of.belted) truth.proved = true

  const watch = (why: string) => {
    const context = contextOf(bench.axis)
    const steps = procedure(context) ?? knownSteps(context)
    for (const step of steps) {
      // Torqued again and marked, a screw is never out.
      const isTorquedOnly = step.id === 'locked' && of.threadlocker === 'at-once'
      const frees = (FREES.test(step.id) && !isTorquedOnly) || (BENCH.test(step.id) && truth.mounted)
      const letsGo = LETS_GO.test(step.id)
      if ((!frees && !letsGo) || bench.axis.ticks[step.id] !== undefined) continue
      if (frees && truth.supports.size > 0) continue
      if (letsGo && ((truth.proved && truth.loose.size === 0) || truth.supports.size === 0)) continue
      if (refusalOf(steps, step.id, context, HERE, 'otherwise') === null)
        throw new Error(
          `${step.id} is offered after ${why}: ${JSON.stringify({ ...truth, loose: [...truth.loose], supports: [...truth.supports] })}`,
        )
    }
  }
  const done = (id: string, how: string) => {
    if (SUPPORTS[id] && how !== 'skipped') truth.supports.add(SUPPORTS[id])
    if (LETS_GO.test(id)) truth.supports.clear()
    if (FREES.test(id) && !id.startsWith('td-')) truth.mounted = true
    if (carries(id)) truth.loose.delete(id)
    if (id.startsWith('mishap.')) truth.proved = false
    if (/^(locked|belt-again)$/.test(id))
      truth.proved = of.threadlocker === 'at-once' && id === 'locked' && truth.proved
    if (/^(held|final-held|belt-held)$/.test(id)) {
      // What may have been loosened under a tick that was taken back is found by the trial itself: it creeps.
      if (truth.tainted) truth.loose.clear()
      // What went wrong since is mended apart, and counts against it there.
      truth.proved = [...truth.loose].every(one => one.startsWith('mishap.'))
      truth.tainted = false
    }
  }
  const opened = (ids: readonly string[]) => {
    for (const id of ids) {
      if (SUPPORTS[id]) truth.supports.delete(SUPPORTS[id])
      if (carries(id) || BENCH.test(id)) {
        if (carries(id)) truth.loose.add(id)
        truth.proved = false
      }
    }
  }
  const keep = (id: string | null, isMishap = false) =>
    past.push({
      isMishap,
      truth: { ...truth, loose: new Set(truth.loose), supports: new Set(truth.supports) },
      id,
    })

  watch('the start')
  for (const { what, which } of deeds) {
    const { axis, steps } = bench
    const context = contextOf(axis)
    const pick = <T>(list: readonly T[]): T | undefined => list[which % Math.max(1, list.length)]
    if (what === 'next' || what === 'any' || what === 'skip') {
      const open = steps.filter(({ id }) => refusalOf(steps, id, context, HERE, 'otherwise') === null)
      const todo =
        what === 'next' ? inHand(steps, context) : pick(open.filter(({ id }) => axis.ticks[id] === undefined))
      if (!todo) continue
      if (
        what === 'skip'
          ? !maySkip(todo, context)
          : refusalOf(steps, todo.id, context, HERE, 'otherwise') !== null
      )
        continue
      const how = what === 'skip' ? 'skipped' : which % 5 === 0 ? 'otherwise' : 'done'
      keep(todo.id)
      bench.tick(todo.id, how)
      done(todo.id, how)
    } else if (what === 'open') {
      const ticked = pick(steps.filter(({ id }) => axis.ticks[id]))
      if (!ticked) continue
      keep(null)
      const before = new Set(Object.keys(axis.ticks))
      bench.open(ticked.id)
      opened([...before].filter(id => !bench.axis.ticks[id]))
    } else if (what === 'redo') {
      const before = new Set(Object.keys(axis.ticks))
      const changes = bench.history.length
      keep(null)
      bench.redo(pick(Object.keys(REDONE) as Redone[]) as Redone)
      // Nothing of it was done: nothing is opened, and nothing can be taken back.
      if (bench.history.length === changes) past.pop()
      opened([...before].filter(id => !bench.axis.ticks[id]))
    } else if (what === 'mishap') {
      const at = pick(steps)
      if (!at || axis.mishaps.length > 3) continue
      keep(null, true)
      const kind = MISHAP_KINDS[which % MISHAP_KINDS.length] as (typeof MISHAP_KINDS)[number]
      bench.do(addMishap(axis, at, bench.now(), { what: kind, jointId: null, count: 1 }, steps))
      for (const { id } of bench.steps)
        if (id.startsWith('mishap.') && !bench.axis.ticks[id]) truth.loose.add(id)
    } else if (what === 'noMishap') {
      const row = pick(axis.mishaps)
      if (!row) continue
      keep(null)
      bench.do(removeMishap(axis, row))
      for (const id of [...truth.loose]) if (id.includes(row.id.toLowerCase())) truth.loose.delete(id)
    } else if (what === 'undo') {
      const was = past.pop()
      if (!was) continue
      bench.undo()
      if (was.isMishap) {
        // Nothing went wrong after all.
        Object.assign(truth, was.truth)
        watch('a mishap taken back')
        continue
      }
      // The tick of a support taken back: whatever was done under it may have been done.
      if (was.id !== null && SUPPORTS[was.id]) {
        truth.tainted = true
        truth.proved = false
      }
      // An opening taken back, under which nothing can have been loosened.
      if (was.id === null && !truth.tainted) {
        truth.loose = was.truth.loose
        truth.proved = was.truth.proved
      }
      // A slip of the mouse, or of the hand: of what differs only the worse is sure.
      for (const aid of truth.supports) if (!was.truth.supports.has(aid)) truth.supports.delete(aid)
      truth.mounted ||= was.truth.mounted
      truth.proved &&= was.truth.proved
      for (const id of was.truth.loose) truth.loose.add(id)
      if (was.id !== null && carries(was.id)) {
        truth.loose.add(was.id)
        truth.proved = false
      }
    } else {
      const massKg = of.massKg * (which % 2 === 0 ? 1 : 60)
      const { dimensions } = axis
      bench.job = {
        ...bench.job,
        axes: [
          {
            ...axis,
            dimensions: {
              ...dimensions,
              movingMassKg: { value: Math.min(massKg, 5000), provenance: 'measured' },
            },
          },
        ],
      }
      bench.history = []
      past.length = 0
    }
    watch(what)
  }
}

const WALKS = runs(20_000, 200)

test(`in ${WALKS} random walks nothing that frees a load is offered while nothing holds it`, () => {
  fc.assert(
    fc.property(design, fc.boolean(), fc.array(deed, { minLength: 5, maxLength: 30 }), (of, end, deeds) => {
      // Only what can be held by itself comes to its end.
      walk(of, end && canHold(of), deeds)
    }),
    { numRuns: WALKS, seed: 26 },
  )
})

const known = new Map<string, boolean>()
function canHold(of: Design): boolean {
  const key = JSON.stringify(of)
  const held = known.get(key)
  if (held !== undefined) return held
  const finding = contextOf(axisOf(of)).finding('axis.unpoweredDrop')
  known.set(key, finding?.state === 'holds')
  return finding?.state === 'holds'
}
