import { demoJobs } from '../demo'
import type { Axis } from '../document/axis'
import { runEdit } from '../document/edit'
import type { Job } from '../document/job'
import { StaleError } from '../document/patch'
import { plainFindings } from '../evaluation/check'
import { remedied, remedyEdit } from '../evaluation/remedy'
import { catalogueOf } from '../machine/parts'
import { type CheckId, LIMITS, SHEETS } from '.'
import { OUTCOMES } from './asked.generated'
import { CHECKS, evaluateAxis } from './evaluateAxis'
import { FIRST } from './first.generated'
import { remediesFor } from './remediesFor'
import { STAGE } from './stage.generated'

/** The demo axes, each also strained until most of its checks are close or fail. */
const strained = (axis: Axis): Axis[] => [
  axis,
  {
    ...axis,
    drive: { ...axis.drive, handwheelKept: true },
    ends: 'supported-supported',
    driveSizes: { ...axis.driveSizes, handwheelRadiusMm: 10 },
  },
  {
    ...axis,
    goals: {
      ...axis.goals,
      topSpeedMmPerMin: 60_000,
      cuttingForceN: 9000,
      backlashTargetUm: 2,
      accuracyTargetUm: 5,
    },
    recesses: { ...axis.recesses, safetyFarMm: 60 },
    drive: { ...axis.drive, handwheelKept: true },
    ends: 'supported-supported',
    block: axis.block && { ...axis.block, outerSpacerMm: axis.block.outerSpacerMm + 0.4 },
    joints: axis.joints.map(joint => ({ ...joint, suppliedMm: 12 })),
    section: {
      ...axis.section,
      bracketWidthMm: 76,
      bracketHeightMm: 76,
      stations: axis.section.stations.map(one => ({ ...one, ceilingMm: 36, wallCeilingMm: 4 })),
    },
  },
]
const cases = demoJobs().flatMap(({ job }) =>
  job.axes.flatMap(axis => strained(axis).map(one => ({ job: { ...job, axes: [one] } as Job, axis: one }))),
)
const found = cases.flatMap(({ job, axis }) =>
  evaluateAxis(axis, catalogueOf(job), job.units)
    .findings.filter(({ state }) => state === 'fails' || state === 'close')
    .flatMap(({ checkId }) =>
      remediesFor(axis, catalogueOf(job), job.units, checkId).map(remedy => ({
        job,
        axis,
        checkId: checkId,
        remedy,
      })),
    ),
)

test('what is tried is what is applied, for every kind of change that a remedy makes', () => {
  const kinds = new Set(found.flatMap(({ remedy }) => remedy.patches.map(({ path }) => path[0])))
  // Parts, ends, goals, recesses, sizes, preload, section and fitting, spacer, screws: each kind is among them.
  expect([...kinds].toSorted()).toEqual(
    expect.arrayContaining([
      'block',
      'dimensions',
      'drive',
      'driveSizes',
      'ends',
      'goals',
      'joints',
      'parts',
      'recesses',
      'section',
    ]),
  )
  for (const { job, axis, checkId, remedy } of found) {
    const tried = remedied(axis, remedy)
    const { job: after, change, entry } = runEdit(job, remedyEdit(axis, remedy), { id: 'c', at: '' })
    // When it was changed is known only once it is.
    expect({ ...after.axes[0], touched: tried.touched }).toEqual(tried)
    expect(evaluateAxis(tried, catalogueOf(job), job.units).finding(checkId)?.state ?? 'holds').toBe(
      remedy.state,
    )
    expect(remedy.state).toBe('holds')
    expect(change.patches.length).toBeGreaterThan(0)
    expect(entry?.text ?? null).toBe(remedy.done?.entry ?? null)
  }
})

test('a remedy is plain data: it comes out of a worker as it went in', () => {
  for (const { remedy } of found) expect(JSON.parse(JSON.stringify(remedy))).toEqual(remedy)
})

test('a remedy of an axis that was changed since is refused, not put over the change', () => {
  const stale = found.find(({ remedy }) => remedy.patches[0]?.path[0] === 'goals')
  if (!stale) throw new Error('no such remedy')
  const { job, axis, remedy } = stale
  const [key] = remedy.patches[0]?.path.slice(1) ?? []
  const changed = { ...axis, goals: { ...axis.goals, [key as string]: 123.4 } }
  expect(() =>
    runEdit({ ...job, axes: [changed] }, remedyEdit(changed, remedy), { id: 'c', at: '' }),
  ).toThrow(StaleError)
})

test('every check, limit and remedy belongs to one sheet, and is known by its name alone', () => {
  const ids = [...CHECKS.values()].map(({ checkId }) => checkId)
  expect(new Set(ids).size).toBe(ids.length)
  const listed = SHEETS.flatMap(({ id }) => Object.keys({ ...FIRST[id]?.checks, ...STAGE[id]?.checks }))
  expect(ids).toEqual(listed)
  const keys = SHEETS.flatMap(({ limits = {} }) => Object.keys(limits))
  expect(Object.keys(LIMITS)).toEqual(keys)
  expect(new Set(SHEETS.map(({ id }) => id)).size).toBe(SHEETS.length)
  for (const { id: sheet, remedies = {} } of OUTCOMES)
    for (const id of Object.keys(remedies) as CheckId[]) expect(CHECKS.get(id)?.sheet).toBe(sheet)
})

test('a check asked for by its name is judged as it is among all, and nothing else is judged for it', () => {
  for (const { job, axis } of cases) {
    const all = evaluateAxis(axis, catalogueOf(job), job.units).findings
    for (const checkId of CHECKS.keys()) {
      const alone = evaluateAxis(axis, catalogueOf(job), job.units)
      const found = alone.finding(checkId)
      const among = all.find(one => one.checkId === checkId)
      expect(plainFindings(found ? [found] : [])).toEqual(plainFindings(among ? [among] : []))
    }
  }
  const [{ job, axis }] = cases as [(typeof cases)[number]]
  const context = evaluateAxis(axis, catalogueOf(job), 'mm')
  context.finding('room.travel')
  expect(Object.keys(context.figures)).toEqual(['travel'])
})

test('a misspelt id does not compile, and at run time says what there is', () => {
  const [{ job, axis }] = cases as [(typeof cases)[number]]
  const context = evaluateAxis(axis, catalogueOf(job), 'mm')
  // @ts-expect-error: no check is called so
  expect(() => context.finding('room.travle')).toThrow(
    'finding: got room.travle, takes one of motor.torqueMargin',
  )
})
