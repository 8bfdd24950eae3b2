import { skarrow } from '../demo/skarrow'
import { setLimits } from '../evaluation/limitEdits'
import * as drive from '../machine/driveEdits'
import { CATALOGUE } from '../machine/parts'
import { putOwnPart, takeParts } from '../machine/parts/partEdits'
import { setOrderStates, takeQuotes } from '../orders/orderEdits'
import { editOfChange } from '../sheets/choiceCommand'
import { setMaking } from '../sheets/makingCommands'
import { newAxis } from '../sheets/newJob'
import * as readings from '../sheets/readingCommands'
import { jobSchema } from '../sheets/schema'
import type { Axis } from './axis'
import {
  applyChange,
  type Change,
  type Edit,
  isEmptyChange,
  mergeChanges,
  runEdit,
  stillApplies,
  takeBack,
} from './edit'
import * as commands from './edits'
import * as log from './logEdits'
import type { PartOf } from './parts/types'
import { setShop } from './shop'

const OWN: PartOf['coupler'] = { ...([...CATALOGUE.coupler.values()][0] as PartOf['coupler']), id: 'own-1' }
const { job } = skarrow()
const X = job.axes[0] as Axis
const stamp = { id: 'c1', at: '2026-11-24T08:00:00.000Z' }
const run = (command: Edit, on = job) => runEdit(on, command, stamp)

const every: Edit[] = [
  commands.renameJob('Other'),
  commands.archiveJob(true),
  commands.setUnits('inch'),
  commands.addAxis(newAxis({ name: 'A', title: 'Rotary' })),
  commands.removeAxis(X),
  commands.renameAxis(X, 'U', 'Upper table'),
  commands.setDimension(X, 'movingMassKg', null, 'assumed'),
  commands.setGoal(X, 'topSpeedMmPerMin', 2500),
  commands.setRoom(X, 'recessFarMm', 20),
  commands.setNutFacing(X, 'fixed'),
  drive.setPreload(X, 500),
  drive.setEnds(X, 'fixed-fixed'),
  drive.choosePart(X, CATALOGUE, 'screw', 'ball-25-5-double'),
  commands.setCut(X, 412.34, 288),
  setLimits(X, 'screw.buckling', 'Buckling', { holds: 0.5, close: 0.7, because: 'Crashes.' }, 'mm'),
  putOwnPart('coupler', OWN, true),
  takeParts('coupler', [OWN, { ...OWN, id: 'own-2' }], 'attic.csv'),
  setMaking(X, 'A hole', making => making.holes.splice(0, 1)),
  setMaking(X, 'No block', making => Object.assign(making, { block: null })),
  setShop('cutterSizesMm', [32, 16, 16]),
  takeQuotes([{ key: 'use:dye', priceEur: 9.5, leadDays: 3 }]),
  setOrderStates([{ key: 'use:dye', what: 'Dye', state: 'missing' }]),
  setOrderStates([{ key: 'use:dye', what: 'Dye', state: 'arrived' }], 'noted.csv'),
  editOfChange(X, CATALOGUE, { kind: 'fitting', index: 0, side: 'left' }, 'fitting to the left'),
  editOfChange(X, CATALOGUE, { kind: 'section', field: 'spacersMm', value: 4 }, 'spacers'),
  editOfChange(X, CATALOGUE, { kind: 'spacer', outerSpacerMm: 7.5 }, 'another spacer'),
  editOfChange(X, CATALOGUE, { kind: 'screws' }, 'the right screws'),
  drive.setDrive(X, { transmission: 'belt' }, 'Driven by a belt'),
  drive.setDriveSize(X, 'beltCentresMm', 140),
  drive.setDuty(X, [{ label: 'Cutting', forceN: 500, speedMmPerMin: 300, timeShare: 1 }]),
  drive.takeDrive(X, { ...X, ends: 'fixed-fixed' }, 'Taken from the search.'),
  drive.choosePart(X, CATALOGUE, 'motor', null),
  log.tickStep(X, { id: 'proved', title: 'Measure' }, stamp.at),
  log.tickStep(X, { id: 'isolate', title: 'Isolate' }, null),
  readings.startRound(X, { id: 'n', startedAt: stamp.at, finishedAt: null, clampedAtMm: 10, stations: [] }),
  readings.setClampedAt(X, 'round-1', 55),
  readings.addAlignStation(X, 'round-1', { positionMm: 5, heightUm: null, sideUm: null }),
  readings.setAlignReading(X, 'round-1', 0, { heightUm: 7 }),
  readings.finishRound(X, 'round-3', stamp.at, 'done'),
  readings.removeRound(X, 'round-2'),
  readings.startTest(X, { id: 'n', startedAt: stamp.at, finishedAt: null, label: 'n', stations: [] }),
  readings.addTestStation(X, 'test-2', { positionMm: 5, approachPositiveUm: [], approachNegativeUm: [] }),
  readings.setTestReading(X, 'test-2', { station: 0, approach: 'approachPositiveUm', index: 5 }, 22),
  readings.setTestReading(X, 'test-2', { station: 0, approach: 'approachPositiveUm', index: 0 }, null),
  readings.setTestPlace(X, 'test-2', 1, 210),
  readings.finishTest(X, 'test-2', stamp.at, 'done'),
  readings.removeTest(X, 'test-1'),
  editOfChange(X, CATALOGUE, { kind: 'goal', goal: 'cuttingForceN', value: 600 }, 'less force'),
  editOfChange(X, CATALOGUE, { kind: 'room', room: 'recessFarMm', value: 20 }, 'recess'),
  editOfChange(X, CATALOGUE, { kind: 'preload', preloadN: 900 }, 'preload'),
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
      readings.setTestReading(X, 'test-2', { station: 0, approach: 'approachPositiveUm', index: 5 }, value)
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
