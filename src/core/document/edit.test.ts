import fc from 'fast-check'
import { skarrow } from '../demo/skarrow'
import { setLimits } from '../evaluation/limitEdits'
import { blankRecord } from '../field/field'
import * as drive from '../machine/driveEdits'
import { CATALOGUE } from '../machine/parts'
import { putOwnPart, takeParts } from '../machine/parts/partEdits'
import { setOrderStates, takeQuotes } from '../orders/orderEdits'
import { LIMITS } from '../sheets'
import * as full from '../sheets/fullTest/edits'
import { newAxis } from '../sheets/newJob'
import * as reversal from '../sheets/reversal/edits'
import { jobSchema } from '../sheets/schema'
import { screwRounds } from '../sheets/screwLine/rounds'
import { NOTHING_NOTED } from '../sheets/shared/proofs/conditions'
import { ROUND } from '../sheets/shared/rounds/model'
import { changeRound, finishRound, removeRound, startRound } from '../sheets/shared/rounds/rounds'
import { openSteps, tickStep } from '../sheets/steps/edits'
import * as acceptance from './acceptanceEdits'
import { type Axis, DUTY, type DutyRow } from './axis'
import {
  applyChange,
  type Change,
  type Edit,
  isEmptyChange,
  mergeChanges,
  runEdit,
  stillApplies,
  takeBack,
  undoingChange,
} from './edit'
import * as commands from './edits'
import * as log from './logEdits'
import type { PartOf } from './parts/types'
import { StaleError } from './patch'
import { setShop } from './shop'

const OWN: PartOf['coupler'] = { ...([...CATALOGUE.coupler.values()][0] as PartOf['coupler']), id: 'own-1' }
const { job } = skarrow()
const X = job.axes[0] as Axis
const stamp = { id: 'c1', at: '2026-11-24T08:00:00.000Z' }
const run = (command: Edit, on = job) => runEdit(on, command, stamp)

const ids = (word: string) => {
  let count = 0
  return () => `${word}-${++count}`
}

const every: Edit[] = [
  commands.renameJob('Other'),
  commands.archiveJob(true),
  commands.setUnits('inch'),
  commands.addAxis(newAxis({ name: 'A', title: 'Rotary' })),
  commands.removeAxis(X),
  commands.renameAxis(X, 'U', 'Upper table'),
  commands.setDimension(X, 'movingMassKg', null, 'assumed'),
  commands.setGoal(X, 'topSpeedMmPerMin', 2500),
  commands.setRecess(X, 'recessFarMm', 20),
  commands.setNutFacing(X, 'fixed'),
  drive.setPreload(X, 500),
  drive.setEnds(X, 'fixed-fixed'),
  drive.choosePart(X, CATALOGUE, 'screw', 'ball-25-5-double'),
  commands.setCut(X, 412.34, 288),
  setLimits(X, LIMITS['screw.buckling'], 'Buckling', { holds: 0.5, close: 0.7, because: 'Crashes.' }, 'mm'),
  putOwnPart('coupler', OWN, true),
  takeParts('coupler', [OWN, { ...OWN, id: 'own-2' }], 'attic.csv'),
  commands.onAxis(X, 'A hole', axis => axis.holes.splice(0, 1)),
  commands.onAxis(X, 'The other way round', axis => axis.joints.reverse()),
  commands.onAxis(X, 'No block', axis => Object.assign(axis, { block: null })),
  setShop('cutterSizesMm', [32, 16, 16]),
  takeQuotes([{ key: 'use:dye', priceEur: 9.5, leadDays: 3 }]),
  setOrderStates([{ key: 'use:dye', what: 'Dye', state: 'missing' }]),
  setOrderStates([{ key: 'use:dye', what: 'Dye', state: 'open' }], 'noted.csv'),
  drive.setDrive(X, { transmission: 'belt' }, 'Driven by a belt'),
  drive.setDriveSize(X, 'beltCentresMm', 140),
  drive.setDuty(X, [{ ...(blankRecord(DUTY.of) as DutyRow), id: 'w', forceN: 500, timeShare: 1 }]),
  drive.takeDrive(X, { ...X, ends: 'fixed-fixed' }, 'Taken from the search.'),
  drive.choosePart(X, CATALOGUE, 'motor', null),
  tickStep(X, { id: 'proved', title: 'Measure' }, stamp.at),
  openSteps(X, [{ id: 'isolate', title: 'Isolate' }]),
  startRound(screwRounds, X, {
    id: 'n',
    ...blankRecord(ROUND),
    startedAt: stamp.at,
    screw: 'first',
    clampedAtMm: 10,
    tight: null,
    turnedTo: null,
    tipLifted: null,
    halfTurnHeightUm: null,
    halfTurnSideUm: null,
    gaugeStepUm: 1,
    stations: [],
  }),
  changeRound(screwRounds, X, 'round-1', { clampedAtMm: 55 }),
  changeRound(screwRounds, X, 'round-1', { gaugeStepUm: 10 }),
  reversal.setTestGauge(X, 'test-2', 2),
  finishRound(screwRounds, X, 'round-3', stamp.at, 'done', null),
  removeRound(screwRounds, X, 'round-2'),
  reversal.startTest(X, {
    id: 'n',
    startedAt: stamp.at,
    finishedAt: null,
    label: 'n',
    gaugeStepUm: null,
    ...NOTHING_NOTED,
    stations: [],
  }),
  reversal.addTestStation(X, 'test-2', {
    id: 's',
    positionMm: 5,
    approachPositiveUm: [],
    approachNegativeUm: [],
  }),
  reversal.setTestReading(
    X,
    'test-2',
    { stationId: 'station-1', approach: 'approachPositiveUm', index: 5 },
    22,
  ),
  reversal.setTestReading(
    X,
    'test-2',
    { stationId: 'station-1', approach: 'approachPositiveUm', index: 0 },
    null,
  ),
  reversal.setTestPlace(X, 'test-2', 'station-2', 210),
  reversal.finishTest(X, 'test-2', stamp.at, 'done'),
  reversal.removeTest(X, 'test-1'),
  reversal.setTestConditions(X, 'test-2', { feedMmPerMin: 3000, warmth: 'warm', who: null }),
  reversal.startTest(
    X,
    reversal.newReversalTest(X, [], { label: 'Slow', startedAt: stamp.at, feedMmPerMin: 100 }, ids('slow')),
  ),
  full.startFullTest(
    X,
    full.newFullTest(
      X.fullTests[0],
      [],
      { label: 'Again', startedAt: stamp.at, gaugeStepUm: 1 },
      ids('full'),
    ),
  ),
  full.changeFullTest(X, 'full-1', { runs: 6, who: 'E. Vale' }),
  full.retakeReading(
    X,
    'full-1',
    { targetId: 'target-1', targetMm: 5, way: 'positiveUm', run: 0 },
    21,
    'again',
  ),
  full.putReadings(X, 'full-1', { runs: 2, targets: [] }, 0, 'readings.csv'),
  full.removeFullTest(X, 'full-1'),
  acceptance.setAcceptance('customer', 'The yard shed'),
  acceptance.setAcceptance('hoursAWeek', 12),
  acceptance.acceptMachine('2026-12-01', 'Accepted.'),
  acceptance.setReproved('ten-hours', '2026-12-15'),
]

test.each(every.map(command => [command.label, command] as const))(
  '“%s” does one thing, and has an inverse',
  (_, command) => {
    const { job: after, change } = run(command)
    expect(after).not.toEqual(job)
    expect(applyChange(job, change)).toEqual(after)
    expect(takeBack(after, change)).toEqual(job)
    expect(() => jobSchema.validateSync(after, { strict: true })).not.toThrow()
    expect(JSON.parse(JSON.stringify(change))).toEqual(change)
  },
)

test('a test that begins as the one before has its gauge and places, and no feed that nobody named', () => {
  const after = reversal.newReversalTest(X, [], { label: 'Again', startedAt: stamp.at }, ids('again'))
  const before = X.tests.at(-1)
  expect(after).toMatchObject({
    gauge: before?.gauge,
    gaugeStepUm: 1,
    feedMmPerMin: null,
    temperatureC: null,
  })
  expect(after.stations.map(({ positionMm }) => positionMm)).toEqual([60, 200])
})

test('the job that a command is run on stays as it was, and what it does not touch stays the same object', () => {
  const before = structuredClone(job)
  const { job: after } = run(commands.setGoal(X, 'topSpeedMmPerMin', 2500))
  expect(job).toEqual(before)
  expect(after.axes[1]).toBe(job.axes[1])
})

test('a note changes the log alone; a command that changes nothing is empty', () => {
  const { change, entry } = run(log.addNote(X.id, 'Oil changed', 'note'))
  expect(change.patches).toEqual([])
  expect(entry).toMatchObject({ text: 'Oil changed', axisId: X.id, hidden: false })
  expect(change.shows).toEqual([entry?.id])
  expect(isEmptyChange(change)).toBe(false)
  expect(isEmptyChange(run(commands.setUnits('mm')).change)).toBe(true)
})

describe('two tabs', () => {
  const mine = run(commands.setGoal(X, 'topSpeedMmPerMin', 2500)).change
  test('edits of different fields go together; of the same field the later one does not win in silence', () => {
    const elsewhere = run(commands.setGoal(X, 'cuttingForceN', 700)).job
    expect(stillApplies(elsewhere, mine)).toBe(true)
    const same = run(commands.setGoal(X, 'topSpeedMmPerMin', 1800)).job
    expect(stillApplies(same, mine)).toBe(false)
  })

  test('an edit of what was deleted elsewhere does not apply', () => {
    const gone = { ...job, axes: [] }
    expect(stillApplies(gone, mine)).toBe(false)
  })

  test('two readings added to one list at once are both kept', () => {
    const add = (value: number) =>
      reversal.setTestReading(
        X,
        'test-2',
        { stationId: 'station-1', approach: 'approachPositiveUm', index: 5 },
        value,
      )
    const theirs = run(add(21)).job
    const change = run(add(22)).change
    expect(stillApplies(theirs, change)).toBe(true)
    const both = applyChange(theirs, change).axes[0]?.tests[1]?.stations[0]?.approachPositiveUm
    expect(both?.slice(5).toSorted()).toEqual([21, 22])
  })
})

test('typing in one field joins to one change, whatever was typed between', () => {
  const type = (value: number, on: typeof job) =>
    runEdit(on, commands.setGoal(X, 'topSpeedMmPerMin', value, 'k'), { ...stamp, id: `c${value}` })
  const one = type(2, job)
  const two = type(25, one.job)
  const three = type(2500, two.job)
  const merged = mergeChanges(mergeChanges(one.change, two.change), three.change)
  expect(merged.patches).toHaveLength(1)
  expect(merged.id).toBe('c2500')
  expect(applyChange(job, merged)).toEqual(three.job)
  expect(takeBack(three.job, merged)).toEqual(job)
  const other: Change = run(commands.setGoal(X, 'cuttingForceN', 1), three.job).change
  expect(takeBack(applyChange(three.job, other), mergeChanges(merged, other))).toEqual(job)
})

describe('rows are found by their ids', () => {
  const joints = (of: typeof job) => of.axes[0]?.joints.map(({ label, gripMm }) => [label, gripMm])
  const grip = (id: string, gripMm: number) =>
    commands.onAxis(X, 'Grip', axis => {
      const joint = axis.joints.find(one => one.id === id)
      if (joint) joint.gripMm = gripMm
    })
  const without = (id: string) =>
    commands.onAxis(X, 'Joint taken out', axis => {
      axis.joints = axis.joints.filter(one => one.id !== id)
    })
  const [first, second] = X.joints as [Axis['joints'][number], Axis['joints'][number]]

  test('a change of one row lands on it when another tab has taken a row out before it', () => {
    // Two joints alike but for their names: only their ids tell them apart.
    const alike = run(grip(second.id, first.gripMm ?? 0)).job
    const mine = run(grip(second.id, 19), alike).change
    const theirs = run(without(first.id), alike).job
    expect(stillApplies(theirs, mine)).toBe(true)
    const both = applyChange(theirs, mine)
    expect(joints(both)?.[0]).toEqual([second.label, 19])
    expect(joints(both)?.slice(1)).toEqual(joints(alike)?.slice(2))
  })

  test('a change of a row that another tab has taken out is refused, not put on its neighbour', () => {
    const mine = run(grip(first.id, 19)).change
    const theirs = run(without(first.id)).job
    expect(stillApplies(theirs, mine)).toBe(false)
    expect(() => applyChange(theirs, mine)).toThrow(StaleError)
  })

  test('taking back a change never hits another row', () => {
    const { job: mine, change } = run(grip(second.id, 19))
    const theirs = run(without(first.id), mine).job
    expect(joints(takeBack(theirs, change))).toEqual(joints(run(without(first.id)).job))
    const { job: gone, change: taking } = run(without(second.id))
    const moved = run(grip(first.id, 3), gone).job
    expect(joints(takeBack(moved, taking))).toEqual(joints(run(grip(first.id, 3)).job))
  })

  test('whatever is done to a list in one tab and to another row of it in the other, both stand', () => {
    const ids = X.joints.map(({ id }) => id)
    fc.assert(
      fc.property(fc.shuffledSubarray(ids, { minLength: 2 }), fc.nat(40), ([one, other], gripMm) => {
        const mine = run(grip(one as string, gripMm)).change
        const both = applyChange(run(without(other as string)).job, mine)
        expect(both.axes[0]?.joints.find(({ id }) => id === one)?.gripMm).toBe(gripMm)
        expect(both.axes[0]?.joints.some(({ id }) => id === other)).toBe(false)
      }),
    )
  })

  test('two rows added at once are both kept, and a row put back stands where it stood', () => {
    const add = (id: string) =>
      commands.onAxis(X, 'Joint added', axis => {
        axis.joints.push({ ...first, id })
      })
    const theirs = run(add('theirs')).job
    const both = applyChange(theirs, run(add('mine')).change)
    expect(both.axes[0]?.joints.map(({ id }) => id)).toEqual([
      ...X.joints.map(({ id }) => id),
      'theirs',
      'mine',
    ])
    const { job: gone, change } = run(without(second.id))
    expect(takeBack(gone, change)).toEqual(job)
  })
})

test('what is taken back later is a change of its own, and its lines of the log go with it', () => {
  const { job: after, change } = run(drive.setEnds(X, 'fixed-fixed'))
  const later = run(commands.setGoal(X, 'cuttingForceN', 1), after).job
  const undoing = undoingChange(change, { id: 'u', at: stamp.at })
  expect(applyChange(later, undoing)).toEqual(run(commands.setGoal(X, 'cuttingForceN', 1)).job)
  expect(undoing).toMatchObject({ hides: change.shows, shows: [], mergeKey: null })
})
