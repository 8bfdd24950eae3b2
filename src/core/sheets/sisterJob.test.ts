import { demoJobs } from '../demo'
import { NOT_ACCEPTED } from '../document/acceptance'
import type { Axis } from '../document/axis'
import { DIMENSION_KEYS } from '../document/dimensions'
import { readBefore } from '../machine/castings'
import { CATALOGUE } from '../machine/parts'
import { isToBeMade } from '../machine/stillToMeasure'
import { expectedIn } from './chain/inputs'
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

describe('the fourth machine of a kind', () => {
  const [skarrow] = jobs as [(typeof jobs)[number]]
  const first = { ...skarrow, axes: skarrow.axes.slice(0, 1) }
  const [X] = first.axes as [Axis]
  const key = 'wayTravelMm'
  /** The next one after a job, with its way read, or not. */
  const next = (job: typeof first, name: string, wayTravelMm: number | null) => {
    const { job: made } = sisterJob(job, name, ALL, AT)
    const [axis] = made.axes as [Axis]
    return {
      ...made,
      axes: [
        {
          ...axis,
          dimensions: {
            ...axis.dimensions,
            [key]: {
              value: wayTravelMm,
              provenance: wayTravelMm === null ? ('assumed' as const) : ('measured' as const),
            },
          },
        },
      ],
    }
  }
  const read = X.dimensions[key].value as number
  const fourth = next(next(next(first, 'Second', read + 0.8), 'Third, never measured', null), 'Fourth', null)
  const [axis] = fourth.axes as [Axis]
  const checked = (of: Axis, id: string) =>
    evaluateAxis(of, CATALOGUE, 'mm').findings.find(({ checkId }) => checkId === id)
  const assumed = (value: number) => ({
    ...axis,
    dimensions: { ...axis.dimensions, [key]: { value, provenance: 'assumed' as const } },
  })
  const withLinks: Axis = {
    ...axis,
    chain: {
      lowerLimitMm: read - 30,
      upperLimitMm: read + 30,
      links: [
        {
          id: 'way',
          label: 'Way',
          dimension: key,
          nominalMm: null,
          plusMm: null,
          minusMm: null,
          direction: 1,
          distribution: 'uniform',
        },
      ],
    },
  }

  test('knows each that was measured, newest first, in a job that holds', () => {
    expect(readBefore(axis, key)).toEqual([
      { machine: 'Second', value: read + 0.8 },
      { machine: first.name, value: read },
    ])
    expect(axis.ofLast?.machine).toBe('Third, never measured')
    expect(axis.ofLast?.before.map(({ machine }) => machine)).toEqual(['Second', first.name])
    expect(jobSchema.isValidSync(fourth, { strict: true })).toBe(true)
  })

  test('says what travel to expect, judges none before it is measured, and judges by the reading alone then', () => {
    const unread = checked(axis, 'room.travel')
    expect(unread).toMatchObject({ state: 'unknown', figure: null, missing: { dimension: key } })
    expect(unread?.sentence).toMatch(
      /^Measure first: .*\. By 2 machines before, which tell little yet, between .* and .* of travel would be left, against .* wanted\.$/,
    )
    const measured = {
      ...axis,
      dimensions: { ...axis.dimensions, [key]: { value: read, provenance: 'measured' as const } },
    }
    const judged = checked(measured, 'room.travel')
    expect(judged?.state).not.toBe('unknown')
    expect(judged?.sentence).not.toContain('machines before')
    expect(JSON.stringify(judged)).toBe(JSON.stringify(checked({ ...measured, ofLast: null }, 'room.travel')))
  })

  test('what is only assumed does not hold where others had less', () => {
    const { figure } = checked(assumed(read), 'room.travel') ?? {}
    const left = figure?.value as number
    const goals = { ...axis.goals, wantedTravelMm: left - 1 }
    expect(checked({ ...assumed(read), goals, ofLast: null }, 'room.travel')?.state).toBe('holds')
    expect(checked({ ...assumed(read), goals }, 'room.travel')).toMatchObject({ state: 'close' })
    // Far from any limit their spread says nothing against it; nothing of theirs mends what fails.
    expect(
      checked({ ...assumed(read), goals: { ...goals, wantedTravelMm: left / 3 } }, 'room.travel')?.state,
    ).toBe('holds')
    expect(
      checked({ ...assumed(read), goals: { ...goals, wantedTravelMm: left * 3 } }, 'room.travel')?.state,
    ).toBe('fails')
  })

  test('a chain takes their spread until the dimension is read, and then asks how well it was read', () => {
    expect(checked(withLinks, 'room.chain')).toMatchObject({
      state: 'unknown',
      missing: { dimension: key },
      sentence: expect.stringMatching(
        /^Measure first: .* By 2 machines before, which tell little yet, it comes to/,
      ),
    })
    expect(checked({ ...withLinks, ofLast: null }, 'room.chain')?.sentence).not.toContain('machines')
    expect(expectedIn(withLinks, withLinks.chain)).toMatchObject([{ machines: 2 }])
    const read3 = { ...withLinks, dimensions: assumed(read).dimensions }
    expect(checked(read3, 'room.chain')?.sentence).toContain('By 2 machines before')
    expect(
      checked(
        { ...read3, dimensions: { ...read3.dimensions, [key]: { value: read, provenance: 'measured' } } },
        'room.chain',
      ),
    ).toMatchObject({ state: 'unknown', missing: { sheet: 'chain' } })
  })
})
