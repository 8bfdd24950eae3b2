import { skarrow } from '@/core/demo/skarrow'
import type { Axis } from '@/core/document/axis'
import { setGoal } from '@/core/document/edits'
import { choosePart } from '@/core/machine/driveEdits'
import { catalogueOf } from '@/core/machine/parts'
import { rehearsalOf } from '@/core/practice/rehearse'
import { changeRound, startRound } from '@/core/sheets/shared/rounds/rounds'
import type { LostRound } from '@/core/sheets/whereLost/model'
import { lostRounds } from '@/core/sheets/whereLost/rounds'
import { RehearsalSession } from './rehearsalSession'

/** A rehearsal of the five places on axis X of the demo job, with what it refused. */
function begun() {
  const { job } = skarrow()
  const [axis] = job.axes as [Axis]
  const whatIf = { id: 'nut-play', size: 40 } as const
  const at = '2026-12-02T09:00:00.000Z'
  const { axis: other, table } = rehearsalOf(job, axis, 'whereLost')({ whatIf, slip: null, seed: 1 }, at)
  const rehearsal = { ...job, axes: job.axes.map(one => (one === axis ? other : one)) }
  const counted = { refused: 0, told: 0 }
  const session = new RehearsalSession(rehearsal, axis.id, table, () => counted.refused++)
  session.subscribe(() => counted.told++)
  const axisNow = () => session.getState().job?.axes[0] as Axis
  return { job, rehearsal, session, counted, axisNow }
}

test('its table is edited as an open one is; the job that it was made of stays as it was', () => {
  const { rehearsal, session, counted, axisNow } = begun()
  const before = structuredClone(rehearsal)
  const [round] = axisNow().lostRounds
  expect(session.edit(changeRound(lostRounds, axisNow(), round?.id ?? '', { forceN: 250 }))).not.toBeNull()
  expect(axisNow().lostRounds[0]?.forceN).toBe(250)
  expect(counted).toEqual({ refused: 0, told: 1 })
  expect(rehearsal).toEqual(before)
})

test('whatever else would be changed is refused, and said', async () => {
  const { job, session, counted, axisNow } = begun()
  const before = session.getState().job
  const other = job.axes[1] as Axis
  for (const edit of [
    () => setGoal(axisNow(), 'backlashTargetUm', 99),
    () => choosePart(axisNow(), catalogueOf(job), 'screw', 'ball-16-5'),
    () => setGoal(other, 'backlashTargetUm', 99),
    () => startRound(lostRounds, other, axisNow().lostRounds[0] as LostRound),
  ])
    expect(session.edit(edit())).toBeNull()
  expect(counted).toEqual({ refused: 4, told: 0 })
  expect(session.getState().job).toBe(before)
  expect(await session.undoOne()).toContain('rehearsed')
})
