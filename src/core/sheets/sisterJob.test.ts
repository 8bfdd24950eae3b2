import { demoJobs } from '../demo'
import { NOT_ACCEPTED } from '../document/acceptance'
import type { Axis } from '../document/axis'
import { DIMENSION_KEYS } from '../document/dimensions'
import { CATALOGUE } from '../machine/parts'
import { isToBeMade } from '../machine/stillToMeasure'
import { evaluateAxis } from './evaluateAxis'
import { jobSchema } from './schema'
import { sisterJob, type TakeOver } from './sisterJob'

const jobs = demoJobs().map(({ job }) => job)
const AT = '2026-11-26T09:00:00.000Z'
const ALL: TakeOver = { choices: true, limits: true, plans: true }
const NOTHING: TakeOver = { choices: false, limits: false, plans: false }

describe.each(jobs.map(job => [job.name, job] as const))('the next machine like %s', (_, job) => {
  const next = sisterJob(job, 'The next', ALL, AT)

  test('starts unmeasured, unbuilt and untested, with nothing ordered', () => {
    // Prices and days are asked once; nothing is ordered, nothing has come.
    for (const [key, { priceEur, leadDays, ...rest }] of Object.entries(next.job.orders)) {
      expect(rest).toEqual({ state: 'open', dueDay: null })
      expect({ priceEur, leadDays }).toMatchObject({
        priceEur: job.orders[key]?.priceEur,
        leadDays: job.orders[key]?.leadDays,
      })
    }
    expect(Object.keys(next.job.orders)).toHaveLength(
      Object.values(job.orders).filter(({ priceEur, leadDays }) => priceEur !== null || leadDays !== null)
        .length,
    )
    next.job.axes.forEach((axis, index) => {
      const before = job.axes[index] as Axis
      // A block or bracket of the next machine is not there yet: what it measures follows from the plan.
      for (const key of DIMENSION_KEYS) {
        const { value, provenance } = before.dimensions[key]
        const wasRead = provenance === 'measured' || provenance === 'sheet'
        expect([key, axis.dimensions[key].provenance]).toEqual([key, isToBeMade(key) ? 'planned' : 'assumed'])
        // What was read on it stands beside the empty field, and is judged by nowhere; which way it lies is of the model.
        expect([key, axis.ofLast?.dimensions[key]]).toEqual([key, wasRead ? value : null])
        const stays = isToBeMade(key) || provenance === 'assumed' || key === 'inclineDeg'
        expect([key, axis.dimensions[key].value]).toEqual([key, stays ? value : null])
      }
      expect(axis.ofLast?.machine).toBe(job.name)
      expect(axis.ofLast?.mended.map(({ fault }) => fault)).toEqual([
        ...new Set(before.faultSearches.flatMap(({ mended }) => mended ?? [])),
      ])
      expect(axis.ticks).toEqual({})
      expect([axis.rounds, axis.tests, axis.section.stations, axis.block]).toEqual([[], [], [], null])
      for (const joint of axis.joints) expect([joint.gripMm, joint.suppliedMm]).toEqual([null, null])
      for (const hole of axis.holes) expect(hole.existingDiameterMm).toBeNull()
      const judged = evaluateAxis(axis, CATALOGUE, 'mm').findings.map(({ stage }) => stage)
      expect(judged).not.toContain('align')
      expect(judged).not.toContain('prove')
    })
    expect(next.entries).toHaveLength(1)
    // Nobody has accepted it, whoever took the first one over.
    const accepted = {
      ...job,
      acceptance: { ...job.acceptance, acceptedDay: '2026-12-01', customer: 'The yard' },
    }
    expect(sisterJob(accepted, 'The next', ALL, AT).job.acceptance).toEqual(NOT_ACCEPTED)
    expect(next.entries[0]).toMatchObject({ jobId: next.job.id, kind: 'job' })
    expect(next.entries[0]?.text).toContain(`Started from ${job.name}, with its choices, limits, plans.`)
  })

  test('is a job like any other, with ids of its own, and leaves the first one as it was', () => {
    expect(jobSchema.isValidSync(next.job, { strict: true })).toBe(true)
    const old = [job.id, ...job.axes.map(({ id }) => id)]
    for (const id of [next.job.id, ...next.job.axes.map(one => one.id)]) expect(old).not.toContain(id)
    expect(job).toEqual(demoJobs().find(one => one.job.id === job.id)?.job)
  })

  test('takes over only what it is told to', () => {
    const bare = sisterJob(job, 'The next', NOTHING, AT).job
    job.axes.forEach((axis, index) => {
      const [full, empty] = [next.job.axes[index], bare.axes[index]]
      expect(full?.parts).toEqual(axis.parts)
      expect(full?.limits).toEqual(axis.limits)
      expect(full?.holes.map(({ label }) => label)).toEqual(axis.holes.map(({ label }) => label))
      expect(Object.values(empty?.parts ?? {}).every(id => id === null)).toBe(true)
      expect(empty?.limits).toEqual({})
      expect([empty?.holes, empty?.joints, empty?.bracketHoles]).toEqual([[], [], []])
      expect(empty?.goals).toEqual(axis.goals)
    })
  })
})
