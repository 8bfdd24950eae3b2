import 'fake-indexeddb/auto'
import { type Edit, runEdit } from '@/core/document/edit'
import { onAxis, setGoal } from '@/core/document/edits'
import { newId } from '@/core/document/id'
import type { LogEntry } from '@/core/document/job'
import { remedyEdit } from '@/core/evaluation/remedy'
import { CATALOGUE } from '@/core/machine/parts'
import { remediesFor } from '@/core/sheets/remediesFor'
import type { JobSession } from './session'
import { until, withSessions } from './sessionTools'

// Node clones into objects of another realm, whose constructors are not those that the tests see.
globalThis.structuredClone = value => JSON.parse(JSON.stringify(value))

const { now, open } = withSessions()
const X = () => {
  const [axis] = now.job.axes
  if (!axis) throw new Error('the demo has no axis')
  return axis
}
const axisOf = (session: JobSession) => session.getState().job?.axes[0]
/** Does an edit and hands out the id of what it changed. */
async function done(session: JobSession, edit: Edit): Promise<string> {
  const id = session.edit(edit)
  if (!id) throw new Error('nothing was changed')
  await until(() => !session.getState().saving)
  return id
}

describe('a remedy that is taken back', () => {
  const applied = async (session: JobSession) => {
    const [remedy] = remediesFor(X(), CATALOGUE, 'mm', 'stopping.far')
    if (!remedy) throw new Error('no remedy')
    return done(session, remedyEdit(X(), remedy))
  }

  test('goes, also when it was not the last thing done, and what came after it stays', async () => {
    const session = await open()
    const id = await applied(session)
    expect(axisOf(session)?.recesses).not.toEqual(X().recesses)
    await done(session, setGoal(X(), 'wantedLifeHours', 9000))
    expect(await session.undoOne(id)).toBeNull()
    expect(axisOf(session)?.recesses).toEqual(X().recesses)
    expect(axisOf(session)?.goals.wantedLifeHours).toBe(9000)
    // It is a step of the history like any other: undo puts the remedy back, and nothing else.
    await session.undo()
    expect(axisOf(session)?.recesses).not.toEqual(X().recesses)
    expect(axisOf(session)?.goals.wantedLifeHours).toBe(9000)
  })

  test('as the last thing done, it goes as undo would take it', async () => {
    const session = await open()
    const id = await applied(session)
    expect(await session.undoOne(id)).toBeNull()
    expect(axisOf(session)).toEqual(X())
    await until(() => session.getState().redoLabel !== null)
    expect(await session.undoOne(id)).toBe('It was taken back already.')
    expect(axisOf(session)).toEqual(X())
  })

  test('stays, and says why, when what it set was changed since, here or in another tab', async () => {
    const [here, there] = [await open(), await open()]
    const id = await applied(here)
    await until(() => axisOf(there)?.recesses.safetyFarMm !== X().recesses.safetyFarMm)
    await done(
      there,
      onAxis(X(), 'Kept clear at the far end', axis => {
        axis.recesses.safetyFarMm = 44
      }),
    )
    expect(await here.undoOne(id)).toMatch(/stays: what it set was changed again since/)
    await until(() => axisOf(here)?.recesses.safetyFarMm === 44)
    expect(axisOf(there)?.recesses.safetyFarMm).toBe(44)
  })
})

test('undo in one tab never lands on another row than the one that was changed', async () => {
  const [here, there] = [await open(), await open()]
  const [first, second] = X().joints
  if (!first || !second) throw new Error('the demo has too few joints')
  await done(
    here,
    onAxis(X(), 'Grip', axis => {
      const joint = axis.joints.find(({ id }) => id === second.id)
      if (joint) joint.gripMm = (joint.gripMm ?? 0) + 3
    }),
  )
  await until(() => axisOf(there)?.joints[1]?.gripMm === (second.gripMm ?? 0) + 3)
  await done(
    there,
    onAxis(X(), 'A joint out', axis => {
      axis.joints = axis.joints.filter(({ id }) => id !== first.id)
    }),
  )
  await until(() => axisOf(here)?.joints[0]?.id === second.id)
  const before = axisOf(here)?.joints.slice(1)
  await there.undo()
  await here.undo()
  await until(() => axisOf(here)?.joints[1]?.gripMm === second.gripMm)
  expect(axisOf(here)?.joints).toEqual(X().joints)
  expect(before).toEqual(X().joints.slice(2))
})

test('edits that are joined while they are typed keep every line of the log that they brought', async () => {
  const session = await open()
  const typed = (value: number, text: string): Edit => ({
    ...setGoal(X(), 'cuttingForceN', value, 'visit-1'),
    entry: { axisId: X().id, kind: 'note', text },
  })
  session.edit(typed(910, 'Swarf in the nut'))
  session.edit(typed(920, 'Wiped clean'))
  await until(() => !session.getState().saving)
  const texts = (await now.db.entries.toArray()).map(({ text }: LogEntry) => text)
  expect(texts.toSorted()).toEqual(['Swarf in the nut', 'Wiped clean'])
  expect(await now.db.history.count()).toBe(1)
  // And undone, both are out of sight.
  await session.undo()
  expect((await now.db.entries.toArray()).every(({ hidden }) => hidden)).toBe(true)
})

test('what a tab of the last version by place left behind finds its row', async () => {
  const [, second] = X().joints
  if (!second) throw new Error('the demo has too few joints')
  const stamp = { id: newId(), at: '2026-11-25T08:00:00.000Z' }
  const { change } = runEdit(now.job, setGoal(X(), 'wantedLifeHours', 1), stamp)
  const place = ['axes', 0, 'making', 'joints', 1, 'gripMm']
  const old = {
    ...change,
    label: 'Grip',
    patches: [{ op: 'replace', path: [...place], value: 31 }],
    inverse: [{ op: 'replace', path: [...place], value: second.gripMm }],
  }
  localStorage.setItem('dusk-journal:closed-tab', JSON.stringify([{ change: old, entry: null }]))
  const session = await open()
  expect(axisOf(session)?.joints[1]).toEqual({ ...second, gripMm: 31 })
  expect(axisOf(session)?.joints[0]).toEqual(X().joints[0])
})
