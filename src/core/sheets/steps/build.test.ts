import { longTom } from '../../demo/longTom'
import { ostrey } from '../../demo/ostrey'
import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { runEdit } from '../../document/edit'
import type { Job } from '../../document/job'
import { blankRow } from '../../field/field'
import { judgeJoint } from '../../machine/joints/joint'
import { JOINTS } from '../../machine/joints/model'
import { CATALOGUE, catalogueOf } from '../../machine/parts'
import { neededItems } from '../../orders/orders'
import { endingTimeOf, minutesTaken, startStep, stepStartedAt } from '../../planning/planEdits'
import { leftOn, sittingNow, startSitting, stopSitting } from '../../planning/sittings'
import { evaluateAxis } from '../evaluateAxis'
import { newJob } from '../newJob'
import { AIDS, aidsIn } from '../shared/steps/aids'
import { boltSequence } from '../shared/steps/boltSequence'
import { HERE } from '../shared/steps/fixtures/here'
import { askOf, blockedBy, boltStates, inHand, leaning, refusalOf } from '../shared/steps/holds'
import { leftLoose } from '../shared/steps/left'
import { MISHAP_KINDS, MISHAPS } from '../shared/steps/model'
import { locknut } from '../shared/steps/preload'
import { procedure, teardown } from '../shared/steps/procedure'
import { setBuildSchool } from '../shared/steps/schools'
import type { Step } from '../shared/steps/step'
import { screwsOf } from '../shared/steps/stepScrews'
import { SUB_ASSEMBLY_IDS, WHOLE_BEFORE } from '../shared/steps/subAssemblies'
import { diagonalsMayDifferMm } from '../shared/steps/twoScrews'
import { addMishap, openSteps, removeMishap, tickStep } from './edits'
import { buildSheet, stepsFor } from './workSheet'

const SKARROW = skarrow().job
const [X, Y] = SKARROW.axes as [Axis, Axis]
const [gantry] = longTom().job.axes as [Axis]
const contextOf = (axis: Axis) => evaluateAxis(axis, CATALOGUE, 'mm')
const stepsOf = (axis: Axis): Step[] => procedure(contextOf(axis)) ?? []
const stepIn = (axis: Axis, id: string) => stepsOf(axis).find(step => step.id === id) as Step
const ids = (steps: readonly Step[]) => steps.map(({ id }) => id)
const allTicked = (steps: readonly Step[]) =>
  Object.fromEntries(steps.map(({ id }) => [id, '2026-11-01T08:00:00.000Z']))
const without = (ticks: Axis['ticks'], ...out: string[]) =>
  Object.fromEntries(Object.entries(ticks).filter(([id]) => !out.includes(id)))

/** An axis with a step of it ticked, as the sheet does it. */
const ticked = (axis: Axis, step: Step, steps: readonly Step[], at = '2026-11-27T08:00:00.000Z'): Axis =>
  runEdit({ ...SKARROW, axes: [axis] }, tickStep(axis, step, at, {}, steps), { id: 'c', at }).job
    .axes[0] as Axis
const inHandOf = (axis: Axis, ticks: Axis['ticks']) => inHand(stepsOf(axis), contextOf({ ...axis, ticks }))

const SLIDES = [
  'table',
  'saddle',
  'head',
  'quill',
  'knee',
  'carriage',
  'cross-slide',
  'rail-carriage',
] as const
/** Axes of all kinds: what they move, how they stand, one screw or two, both ways to hold and to turn them. */
const KINDS_OF_AXIS: Axis[] = SLIDES.flatMap(slide =>
  [0, 90].flatMap(inclineDeg =>
    ([1, 2] as const).flatMap(screws =>
      (['fixed-free', 'fixed-supported', 'fixed-fixed'] as const).flatMap(ends =>
        [true, false].map(handwheelKept => ({
          ...X,
          slide,
          ends,
          ticks: {},
          drive: { ...X.drive, screws, handwheelKept },
          // What stands upright is held by a brake.
          parts: { ...X.parts, brake: inclineDeg === 90 ? 'brake-60' : null },
          dimensions: { ...X.dimensions, inclineDeg: { value: inclineDeg, provenance: 'measured' as const } },
        })),
      ),
    ),
  ),
)

describe('whatever an axis moves', () => {
  test('every step has its reason, its own name, and a hold before whoever could be hurt goes on', () => {
    for (const axis of KINDS_OF_AXIS) {
      const steps = stepsOf(axis)
      expect(new Set(ids(steps)).size).toBe(steps.length)
      for (const { id, why, keepsSafe, hold } of steps) {
        expect(`${id}: ${why}`).toMatch(/: .{10,}/)
        expect(id).toMatch(/^[a-z0-9.-]{1,60}$/)
        if (keepsSafe) expect(hold).toBe(true)
      }
    }
  })

  test('done one after another as they come up, the steps reach the end with nothing loose and nothing left in', () => {
    for (const axis of KINDS_OF_AXIS) {
      const steps = stepsOf(axis)
      let now: Axis = axis
      let context = contextOf(now)
      for (let count = 0; count < steps.length; count++) {
        const next = inHand(steps, context)
        if (!next) throw new Error(`stuck after ${count} steps`)
        now = ticked(now, next, steps)
        context = context.next(now)
      }
      expect(aidsIn(steps, now)).toEqual([])
      expect(leftLoose(steps, now)).toEqual([])
      expect(inHand(steps, contextOf(now))).toBeNull()
      const { farBlock, ...states } = boltStates(steps, now.ticks)
      expect(new Set(Object.values(states))).toEqual(new Set(['torqued']))
      expect(farBlock).toBe(axis.ends === 'fixed-free' ? 'out' : 'torqued')
    }
  })

  test('an aid that goes in comes out before power is on', () => {
    const used = new Set<string>()
    for (const axis of KINDS_OF_AXIS) {
      const steps = stepsOf(axis)
      const power = steps.findIndex(({ id }) => id === 'power-on')
      for (const [index, step] of steps.entries())
        for (const aid of step.aidsIn ?? []) {
          used.add(aid)
          const out = steps.findIndex(
            (one, at) =>
              at > index &&
              one.aidsOut?.includes(aid) &&
              (!step.screw || !one.screw || one.screw === step.screw),
          )
          expect(out).toBeGreaterThan(index)
          // What supports a load again for the last assembly goes in and out after that.
          if (index < power) expect(out).toBeLessThan(power)
        }
    }
    expect([...used].toSorted()).toEqual(Object.keys(AIDS).toSorted())
  })

  test('a vertical axis is carried before a screw is touched, and let go of by a step that asks its brake', () => {
    for (const axis of KINDS_OF_AXIS.filter(({ dimensions }) => dimensions.inclineDeg.value === 90)) {
      const order = ids(stepsOf(axis))
      const touched = order.findIndex(id => /^td-(gib|wheel|nut|off|half|apron|keep|lead)/.test(id))
      if (touched >= 0) expect(order.indexOf('support')).toBeLessThan(touched)
      expect(order.indexOf('held')).toBeLessThan(order.indexOf('support-off'))
      expect(order.indexOf('support-off')).toBeLessThan(order.indexOf('power-on'))
      expect(stepIn(axis, 'support').keepsSafe).toBe(true)
    }
  })
})

describe('sub-assemblies', () => {
  test('nothing of one is whole before itself, and taking apart waits for nothing', () => {
    for (const id of SUB_ASSEMBLY_IDS) expect(WHOLE_BEFORE[id].has(id)).toBe(false)
    expect(WHOLE_BEFORE.casting).toEqual(new Set(['apart', 'block', 'screwNut', 'ways']))
    expect(WHOLE_BEFORE.moves.has('block')).toBe(true)
  })

  test('bench work can be done in any order: the block while the table is still on, the switches before the motor', () => {
    const steps = stepsOf(X)
    expect(blockedBy(steps, {}, 'bearings')).toBeNull()
    expect(blockedBy(steps, {}, 'stop-tie')).toBeNull()
    expect(blockedBy(steps, {}, 'nut-loose')?.id).toBe('isolate')
    const apart = allTicked(steps.filter(({ part }) => part === 'apart'))
    expect(blockedBy(steps, apart, 'switches-on')).toBeNull()
    expect(blockedBy(steps, apart, 'fixed-loose')?.id).toBe('bearings')
    expect(blockedBy(steps, apart, 'power-on')?.hold).toBe(true)
  })

  test('what is opened again takes with it all that leans on it, however far on, and nothing else', () => {
    const steps = stepsOf(X)
    const ticks = allTicked(steps)
    const leans = ids(leaning(steps, ticks, 'nut-clamp'))
    expect(leans).toEqual(
      expect.arrayContaining(['run-fixed', 'nut-tight', 'run-through', 'aligned', 'power-on']),
    )
    expect(leans).not.toContain('bearings')
    expect(leans).not.toContain('switch-tested')
    const opened = runEdit(
      { ...skarrow().job, axes: [{ ...X, ticks }] },
      openSteps(X, [stepIn(X, 'nut-clamp'), ...leaning(steps, ticks, 'nut-clamp')]),
      { id: 'c', at: '2026-11-26T19:00:00.000Z' },
    ).job.axes[0] as Axis
    expect(Object.keys(opened.ticks).length).toBe(steps.length - leans.length - 1)
    expect(inHandOf(X, opened.ticks)?.id).toBe('nut-clamp')
  })
})

describe('what a step says in numbers', () => {
  test('its screws are those of Make room, with a share of their torque that grows from step to step', () => {
    const full = X.joints.map(joint => judgeJoint(joint)?.tight?.torqueNm ?? 0)
    const torque = (id: string) => screwsOf(stepIn(X, id), X).map(({ torqueNm }) => torqueNm)
    expect(torque('fixed-loose')).toEqual([null])
    expect(torque('tight-fixed')[0]).toBeCloseTo((full[0] ?? 0) / 2, 9)
    expect(torque('nut-clamp')[0]).toBeCloseTo((full[2] ?? 0) / 5, 9)
    expect(torque('torque-blocks')).toEqual([full[0], full[2], full[1]].map(nm => expect.closeTo(nm ?? 0, 9)))
    // What is not shifted any more gets all of it at once.
    expect(torque('motor-face')[0]).toBeCloseTo(full[3] ?? 0, 9)
    const [fixed] = screwsOf(stepIn(X, 'tight-fixed'), X)
    expect(fixed).toMatchObject({ count: 4, size: 'M8 x 40 mm', label: 'Fixed block to the bed' })
  })

  test('a joint that nobody has named has no number, and of two screws each has half the screws', () => {
    const [hub] = screwsOf(stepIn(X, 'hub-screw'), X)
    expect(hub).toMatchObject({ judged: null, count: null, torqueNm: null })
    const [blocks] = screwsOf(stepIn(gantry, 'tight-fixed.2'), gantry)
    expect(blocks).toMatchObject({ count: 4, label: 'Fixed blocks to the rail' })
  })

  test('the locknut: a few degrees for a loose pair, three times the force for a matched one', () => {
    const { turnDeg, looseNm, matchedNm, handleTravelMm, handleMm, preloadN } = locknut(contextOf(X))
    expect(preloadN).toBe(780)
    expect(turnDeg).toBeGreaterThan(2)
    expect(turnDeg).toBeLessThan(25)
    expect(matchedNm / looseNm).toBeCloseTo(3, 9)
    expect(handleTravelMm).toBeCloseTo(((turnDeg * Math.PI) / 180) * handleMm, 9)
    expect(stepIn(X, 'preload').how).toMatch(
      /M12 x 1\. A matched set: to [\d.]+ N·m.*A loose pair:.*\d+° more/,
    )
    const spring: Axis = { ...X, parts: { ...X.parts, bearing: 'deep-groove-12' } }
    expect(stepIn(spring, 'preload').how).toContain('wave spring')
  })

  test('the cover is asked what its stack measures', () => {
    expect(stepIn(X, 'stack').how).toContain('it clamps the outer rings')
    const proud: Axis = { ...X, block: X.block && { ...X.block, coverSpigotMm: 4.4 } }
    expect(askOf(stepIn(proud, 'stack'), contextOf(proud), HERE)).toContain('it would bend')
    expect(stepIn({ ...X, block: null }, 'stack').asks).toBeUndefined()
  })

  test.each([
    [6, 'middle-outward', [3, 4, 2, 5, 1, 6]],
    [5, 'ends-inward', [1, 5, 2, 4, 3]],
    [1, 'ends-inward', [1]],
    [4, 'one-end', [1, 2, 3, 4]],
  ] as const)('%s rail screws %s', (count, pattern, order) => {
    expect(boltSequence({ count, pattern }).order).toEqual(order)
  })
})

describe('two screws', () => {
  const steps = stepsOf(gantry)
  test('each end by itself, then square, then coupled, then the motors run', () => {
    const order = ids(steps)
    const at = (id: string) => order.indexOf(id)
    for (const id of ['bearings', 'stop-tie', 'tight-fixed', 'run-through', 'torque-blocks', 'motor-face']) {
      expect(at(id)).toBeGreaterThan(-1)
      expect(at(`${id}.2`)).toBeGreaterThan(at(id))
    }
    expect(at('square')).toBeGreaterThan(at('torque-blocks.2'))
    expect(at('couple')).toBeGreaterThan(at('square'))
    expect(blockedBy(steps, without(allTicked(steps), 'square-again', 'power-on'), 'power-on')?.id).toBe(
      'square-again',
    )
  })

  test('a joint is only as far as the end that is further behind', () => {
    const ticks = without(allTicked(steps), 'torque-blocks.2', 'locked')
    expect(boltStates(steps, ticks)).toMatchObject({ fixedBlock: 'tight', nut: 'tight', motorFace: 'tight' })
  })

  test('one end is not held up by a hold of the other', () => {
    const ready = allTicked(steps.filter(({ part }) => ['apart', 'ways'].includes(part)))
    const first = allTicked(steps.filter(({ part, screw }) => screw === 2 && part !== 'casting'))
    expect(blockedBy(steps, { ...ready, ...first }, 'nut-loose.2')).toBeNull()
    expect(blockedBy(steps, { ...ready, ...first }, 'nut-loose')?.screw).toBe(1)
  })

  test('the diagonals may differ by what the racking that is accepted makes of them', () => {
    const [lengthMm, apartMm, rackingMm] = [2440, 1240, 0.2]
    // From the corners themselves: one end pushed ahead by what is accepted.
    const long = Math.hypot(lengthMm + rackingMm, apartMm)
    const short = Math.hypot(lengthMm - rackingMm, apartMm)
    expect(diagonalsMayDifferMm({ lengthMm, apartMm, rackingMm })).toBeCloseTo(long - short, 6)
  })
})

describe('schools', () => {
  test.each([
    ['ends', 'fixed', 'run-far', null],
    ['setBy', 'readings', 'tight-fixed', 'push the block where the readings say'],
    ['threadlocker', 'at-once', 'torque-blocks', 'One drop of threadlocker'],
  ] as const)('%s: %s', (key, school, stepId, says) => {
    const job = { ...skarrow().job, axes: [X] }
    const { axes } = runEdit(job, setBuildSchool(X, key, school as never, 'School'), {
      id: 'c',
      at: '2026-11-26T19:00:00.000Z',
    }).job
    const found = stepsOf(axes[0] as Axis).find(({ id }) => id === stepId)
    if (says) expect(found?.how).toContain(says)
    else expect(found).toBeUndefined()
  })
  test('rails are tightened in the order that was taken', () => {
    const rails: Axis = { ...gantry, buildSchools: { ...gantry.buildSchools, rails: 'ends-inward' } }
    expect(stepIn(gantry, 'rail-screws').how).toContain('from the middle outward')
    expect(stepIn(rails, 'rail-screws').how).toContain('from both ends inward')
  })
})

describe('a mishap', () => {
  const job: Job = { ...skarrow().job, axes: [Y] }
  const happened = (what: (typeof MISHAP_KINDS)[number]): Job =>
    runEdit(
      job,
      addMishap(Y, stepIn(Y, 'far-loose'), '2026-11-26T19:00:00.000Z', {
        what,
        jointId: what === 'ran-off' ? null : 'joint-2',
        count: 2,
      }),
      { id: 'c', at: '2026-11-26T19:00:00.000Z' },
    ).job
  test.each(MISHAP_KINDS)(
    '%s has steps before the one in hand, holds what comes after, and orders what it needs',
    what => {
      const after = happened(what)
      const axis = after.axes[0] as Axis
      const steps = stepsOf(axis)
      const [row] = axis.mishaps
      const next = inHand(steps, contextOf(axis))
      expect(next).toMatchObject({ mishapId: row?.id, part: 'casting' })
      expect(blockedBy(steps, axis.ticks, 'far-loose')?.mishapId).toBe(row?.id)
      const lines = neededItems(after, catalogueOf(after)).filter(({ key }) => key.startsWith('mend:'))
      expect(lines.length).toBe(what === 'broken-tap' ? 2 : 1)
      if (what === 'missing')
        expect(lines[0]).toMatchObject({ count: 2, what: expect.stringContaining('M6') })
      // Mended, the work goes on where it stood; taken back, it never was.
      const mended = { ...axis.ticks, ...allTicked(steps.filter(({ mishapId }) => mishapId)) }
      expect(inHandOf(axis, mended)?.id).toBe('far-loose')
      const back = runEdit(after, removeMishap({ ...axis, ticks: mended }, row as never), {
        id: 'd',
        at: '2026-11-26T19:10:00.000Z',
      }).job
      expect((back.axes[0] as Axis).mishaps).toEqual([])
      expect(ids(stepsOf(back.axes[0] as Axis))).toEqual(ids(stepsOf(Y)))
    },
  )
  test('where its step is no more, it comes first of all', () => {
    const row = {
      ...blankRow(MISHAPS, 'm1', { what: 'ran-off' as const, stepId: 'gone' }),
      at: '2026-11-26T19:00:00.000Z',
    }
    expect(stepsOf({ ...Y, mishaps: [row] })[0]).toMatchObject({ mishapId: 'm1' })
  })
})

describe('an evening', () => {
  const edited = (job: Job, edit: Parameters<typeof runEdit>[1], at: string) =>
    runEdit(job, edit, { id: at, at }).job
  test('is started and stopped, and a step took what was timed of it, not what lies between two ticks', () => {
    const { job } = skarrow()
    const on = edited(job, startSitting('Wenna', '2026-11-26T18:30:00.000Z'), '2026-11-26T18:30:00.000Z')
    const step = stepIn(Y, 'far-loose')
    expect(stepStartedAt(on, Y.id, step.id)).toBeNull()
    const begun = edited(on, startStep(Y.id, step, '2026-11-26T18:32:00.000Z'), '2026-11-26T18:32:00.000Z')
    const from = stepStartedAt(begun, Y.id, step.id)
    expect(minutesTaken(from, '2026-11-26T18:44:00.000Z')).toBe(12)
    const tick = tickStep(Y, step, '2026-11-26T18:44:00.000Z', { who: 'Wenna', tookMinutes: 12 })
    const done = edited(begun, endingTimeOf(tick, Y.id, step.id), '2026-11-26T18:44:00.000Z')
    // Opened again it is timed anew.
    expect(stepStartedAt(done, Y.id, step.id)).toBeNull()
    expect(done.axes[1]?.stepNotes['far-loose']).toEqual({
      how: 'done',
      why: '',
      who: 'Wenna',
      tookMinutes: 12,
    })
    const sitting = sittingNow(done.plan)
    if (!sitting) throw new Error('not started')
    const left = leftOn(done, catalogueOf(done))
    const stop = stopSitting(sitting, '2026-11-26T21:00:00.000Z', left)
    expect(stop.entry?.text).toContain('far block to the casting: loose')
    expect(sittingNow(edited(done, stop, '2026-11-26T21:00:00.000Z').plan)).toBeNull()
  })
  test('that broke off says what is loose and what is still in', () => {
    expect(leftOn(skarrow().job, CATALOGUE)).toEqual([
      {
        axisId: 'skarrow-y',
        axisName: 'Y',
        left: [
          'nut to its bracket: loose',
          'fixed block to the casting: loose',
          'still in: stop ties on the screw',
        ],
      },
    ])
  })
  test('has a sheet: what to bring, what is not here, and no step that is done', () => {
    const { job } = skarrow()
    const context = evaluateAxis(Y, catalogueOf(job), 'mm')
    expect(stepsFor(context, 'evening').some(({ id }) => Y.ticks[id])).toBe(false)
    const text = JSON.stringify(buildSheet(context, job.orders, 'evening'))
    expect(text).toContain('2 × M6 x 30 mm (far block to the saddle)')
    expect(text).toMatch(/Stepper 57 mm[^"]*has not arrived/)
    expect(JSON.stringify(buildSheet(context, job.orders, 'ways'))).toContain(
      'Bag Y3: gib screws of both ends, 4',
    )
  })
})

describe('a step asks what stands beside the drive', () => {
  test('no nut goes in over a grease point that nothing reaches, and no power on switches that stop too late', () => {
    const shut: Axis = {
      ...X,
      lubePoints: X.lubePoints.map(point => ({ ...point, access: 'none' as const })),
    }
    expect(askOf(stepIn(shut, 'nut-loose'), contextOf(shut), HERE)).toContain('cannot be reached')
    expect(askOf(stepIn(X, 'nut-loose'), contextOf(X), HERE)).toBeNull()
    const late: Axis = { ...X, switches: X.switches.map(one => ({ ...one, beforeStopMm: 0.5 })) }
    expect(askOf(stepIn(late, 'switch-tested'), contextOf(late), HERE)).toContain('before the hard stop')
    // Nobody has to enter them.
    const bare: Axis = { ...X, switches: [], lubePoints: [] }
    expect(askOf(stepIn(bare, 'switch-tested'), contextOf(bare), HERE)).toBeNull()
    expect(askOf(stepIn(bare, 'nut-loose'), contextOf(bare), HERE)).toBeNull()
  })
  test('a head that is hung to be taken apart and again to be set is on one hoist', () => {
    const head: Axis = {
      ...X,
      slide: 'head',
      dimensions: { ...X.dimensions, inclineDeg: { value: 90, provenance: 'measured' } },
    }
    const steps = stepsOf(head)
    const supported = ['support', 'td-hang', 'hang'].reduce<Axis>(
      (now, id) => ticked(now, stepIn(head, id), steps),
      { ...head, ticks: {} },
    )
    expect(
      aidsIn(steps, supported)
        .map(({ aid }) => aid)
        .toSorted(),
    ).toEqual(['block', 'hoist'])
  })
})

describe('nothing is known yet', () => {
  test('a new axis can be taken apart before a part is chosen; the end of aids is asked for', () => {
    for (const kind of ['mill', 'lathe', 'router'] as const)
      for (const axis of newJob('New', kind, 'mm', '2026-11-26T08:00:00.000Z').axes) {
        const context = contextOf(axis)
        expect(procedure(context)).toBeNull()
        expect(teardown(context).length).toBeGreaterThan(3)
        expect(stepsFor(context, 'evening')[0]?.id).toBe('isolate')
      }
  })
  test('aids that are in hold up the first moves, by name', () => {
    const steps = stepsOf(X)
    const ticks = without(allTicked(steps), 'tie-off', 'aids-out', 'power-on')
    const axis = { ...X, ticks }
    const ask = askOf(stepIn(axis, 'aids-out'), contextOf(axis), HERE, steps)
    expect(ask).toBe('Still in: stop ties on the screw. “Take the stop ties off” takes it out.')
    expect(
      refusalOf(steps, 'aids-out', contextOf({ ...X, ticks: without(allTicked(steps), 'aids-out') }), HERE),
    ).toBeNull()
  })
  test('an inch lathe says its torques in pounds', () => {
    const [, slide] = ostrey().job.axes as [Axis, Axis]
    const context = evaluateAxis(slide, CATALOGUE, 'inch')
    const sheet = JSON.stringify(buildSheet(context, {}, 'casting'))
    expect(sheet).toMatch(/[\d.]+ lbf·(in|ft)/)
    expect(blankRow(JOINTS, 'j').holds).toBeNull()
  })
})
