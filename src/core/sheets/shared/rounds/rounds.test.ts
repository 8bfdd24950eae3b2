import fc from 'fast-check'
import { skarrow } from '../../../demo/skarrow'
import type { Axis } from '../../../document/axis'
import { runEdit } from '../../../document/edit'
import type { Job } from '../../../document/job'
import { catalogueOf } from '../../../machine/parts'
import { evaluateAxis } from '../../evaluateAxis'
import { flangeRounds } from '../../flange/rounds'
import { screwRounds } from '../../screwLine/rounds'
import type { Round } from './model'
import {
  cameTo,
  closingWith,
  finishRound,
  moveColumn,
  movedColumn,
  newRound,
  noteReadings,
  startRound,
  turnSigns,
} from './rounds'

const { job } = skarrow()
const [X] = job.axes as [Axis]
const stamp = { id: 'c', at: '2026-11-27T18:00:00.000Z' }
const axisOf = (one: Job) => one.axes[0] as Axis

test('a column that slipped is moved: nothing is lost, and what would be is not done', () => {
  const values = fc.array(fc.option(fc.integer(), { nil: null }), { minLength: 2, maxLength: 12 })
  fc.assert(
    fc.property(values, fc.nat(11), fc.constantFrom('on' as const, 'back' as const), (all, at, move) => {
      const from = at % all.length
      const moved = movedColumn(all, from, move)
      if (moved === null) return
      expect(moved).toHaveLength(all.length)
      expect(moved.filter(one => one !== null)).toEqual(all.filter(one => one !== null))
    }),
  )
  expect(movedColumn([1, 2, 3], 0, 'on')).toBeNull()
  expect(movedColumn([1, 2, 3], 1, 'back')).toBeNull()
  expect(movedColumn([1, null, 3], 1, 'back')).toEqual([1, 3, null])
})

test('in a round it is one act, and signs are turned over in another', () => {
  let next = 0
  const round = newRound(flangeRounds, { ...X, flangeRounds: [] }, job.shop, () => `r${++next}`, stamp.at)
  const read = {
    ...round,
    tipLifted: 'less' as const,
    stations: round.stations.map((one, index) => ({ ...one, readingUm: index < 4 ? 10 * index : null })),
  }
  const begun = runEdit(job, startRound(flangeRounds, X, read), stamp).job
  const after = runEdit(begun, moveColumn(flangeRounds, axisOf(begun), 'readingUm', 1, 'on'), stamp).job
  const readings = (one: Job) =>
    axisOf(one)
      .flangeRounds.at(-1)
      ?.stations.map(({ readingUm }) => readingUm)
  expect(readings(after)?.slice(0, 5)).toEqual([0, null, 10, 20, 30])
  const turned = runEdit(after, turnSigns(flangeRounds, axisOf(after)), stamp).job
  expect(readings(turned)?.slice(0, 5)).toEqual([0, null, -10, -20, -30])
  expect(axisOf(turned).flangeRounds.at(-1)?.tipLifted).toBe('more')
})

test('a closed round keeps what it came to, whatever is changed afterwards', () => {
  const context = (axis: Axis) => evaluateAxis(axis, catalogueOf(job), 'mm')
  const open: Axis = { ...X, rounds: X.rounds.slice(0, 1).map(one => ({ ...one, finishedAt: null })) }
  const [round] = open.rounds as [Axis['rounds'][number]]
  const with_ = closingWith(screwRounds, context(open), round, context(open).findings.slice(0, 2))
  const on = { ...job, axes: [open] } as Job
  const closed = axisOf(
    runEdit(on, finishRound(screwRounds, open, round.id, stamp.at, 'said', with_), stamp).job,
  )
  const other: Axis = {
    ...closed,
    ends: 'fixed-free',
    dimensions: { ...closed.dimensions, supportSpanMm: { value: 480, provenance: 'measured' } },
  }
  const was = cameTo(screwRounds, context(open), round)
  expect(cameTo(screwRounds, context(other), other.rounds[0] as (typeof other.rounds)[number])).toEqual(was)
  expect(screwRounds.worst(context(other), other.rounds[0] as never)?.value).not.toBe(was?.value)
})

test('what is typed into a table has its time; a place that is laid out has none', () => {
  const round = { ...(X.rounds[0] as Round), taken: {}, startedAt: stamp.at }
  noteReadings(screwRounds, round as never, 'p', { heightUm: 4, positionMm: 80 }, '2026-11-27T18:02:00.000Z')
  expect(round.taken).toEqual({ 'p heightUm': 120 })
})
