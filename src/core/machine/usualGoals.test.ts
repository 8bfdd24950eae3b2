import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { GOAL_KEYS, GOALS } from '../document/dimensions'
import { runEdit } from '../document/edit'
import { setGoal } from '../document/edits'
import type { Job } from '../document/job'
import { MACHINE_KINDS } from '../document/kinds'
import { newJob } from '../sheets/newJob'
import { setWork, usualGoals, worksOf } from './usualGoals'

const stamp = { id: 'c', at: '2026-12-01T08:00:00.000Z' }
const bare = newJob('New', 'mill', 'mm', stamp.at)
const [X] = bare.axes as [Axis]
const first = (job: Job) => job.axes[0] as Axis
const edited = (job: Job, edit: Parameters<typeof runEdit>[1]) => runEdit(job, edit, stamp).job

test('every kind of work has figures that its machine can take, and each machine has some', () => {
  for (const kind of MACHINE_KINDS) {
    expect(worksOf(kind).length).toBeGreaterThan(2)
    for (const work of worksOf(kind))
      for (const [key, value] of Object.entries(usualGoals(kind, work) ?? {})) {
        const { min, max } = GOALS[key as keyof typeof GOALS]
        expect([work, key, value >= min && value <= max]).toEqual([work, key, true])
      }
  }
  expect(usualGoals('lathe', 'wood')).toBeNull()
})

test('force and feed are those of a cut that can be reckoned by hand', () => {
  // 10 mm cutter, 4 teeth, 1000 rpm, 0.04 mm a tooth: 160 mm/min. 6 mm wide, 3 deep: arc acos(1 - 1.2) = 1.7722,
  // chip 2 * 0.6 * 0.04 / 1.7722 = 0.02708, kc = 1800 * 0.02708^-0.25 = 4437 N/mm2, P = 6 * 3 * 160 * 4437 / 60e6 = 0.21298 kW,
  // vc = 31.416 m/min, Ft = 60000 * 0.21298 / 31.416 = 406.8 N; half as much again when worn: 610.
  expect(usualGoals('mill', 'steel')).toMatchObject({ cuttingForceN: 610, cuttingFeedMmPerMin: 160 })
  // Steel at 600 rpm, 0.15 a turn, 1.5 deep: kc = 1800 * 0.15^-0.25 = 2892, Fc = 650.8, along the feed half of it, worn 488.
  expect(usualGoals('lathe', 'steel')).toMatchObject({ cuttingForceN: 490, cuttingFeedMmPerMin: 90 })
})

test('harder work pushes harder, and finer work accepts less', () => {
  const force = (work: Parameters<typeof usualGoals>[1]) => usualGoals('mill', work)?.cuttingForceN ?? 0
  expect(force('engraving')).toBeLessThan(force('plastic'))
  expect(force('plastic')).toBeLessThan(force('aluminium'))
  expect(force('aluminium')).toBeLessThan(force('steel'))
  const lost = (work: Parameters<typeof usualGoals>[1]) => usualGoals('lathe', work)?.backlashTargetUm ?? 0
  expect(lost('fits')).toBeLessThan(lost('steel'))
})

describe('saying what an axis is for', () => {
  test('sets what follows from it and says so; nobody wanted the rest', () => {
    const job = edited(bare, setWork(X, bare, 'aluminium'))
    const axis = first(job)
    expect(axis.work).toBe('aluminium')
    expect(axis.goals.cuttingForceN).toBe(usualGoals('mill', 'aluminium')?.cuttingForceN)
    expect(axis.goalsFrom).toMatchObject({ cuttingForceN: 'usual', wantedTravelMm: 'assumed' })
    // Taken back, the figures stay and are nobody's wish.
    const none = first(edited(job, setWork(axis, job, null)))
    expect(none.goals).toEqual(axis.goals)
    expect(new Set(Object.values(none.goalsFrom))).toEqual(new Set(['assumed']))
  })

  test('is round in the units of the job', () => {
    const inches = newJob('New', 'mill', 'inch', stamp.at)
    const axis = first(edited(inches, setWork(first(inches), inches, 'aluminium')))
    // 30 um are 1.18 thou.
    expect(axis.goals.backlashTargetUm / 25.4).toBeCloseTo(1.2, 9)
  })

  test('leaves what the builder has set as it is', () => {
    const own = edited(bare, setGoal(X, 'cuttingForceN', 333))
    expect(first(own).goalsFrom.cuttingForceN).toBe('wanted')
    const axis = first(edited(own, setWork(first(own), own, 'steel')))
    expect(axis.goals.cuttingForceN).toBe(333)
    expect(axis.goalsFrom.cuttingForceN).toBe('wanted')
    expect(axis.goalsFrom.cuttingFeedMmPerMin).toBe('usual')
  })

  test('the demo has thought about all of its goals', () => {
    const [table] = skarrow().job.axes as [Axis]
    for (const key of GOAL_KEYS) expect(table.goalsFrom[key]).toBe('wanted')
  })
})
