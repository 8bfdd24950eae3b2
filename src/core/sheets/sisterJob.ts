import { produce } from 'immer'
import { NOT_ACCEPTED } from '../document/acceptance'
import type { Axis } from '../document/axis'
import { DIMENSION_KEYS } from '../document/dimensions'
import { newId } from '../document/id'
import type { Job, LogEntry } from '../document/job'
import { NO_NOTE, type Plan } from '../document/plan'
import { isToBeMade } from '../machine/stillToMeasure'
import { blankSheets, DRIVE_TO_START } from './newJob'

/** What a copy of a job takes over from the one it is made from. */
export interface TakeOver {
  /** The drive of every axis: parts, ends, kind of drive, duty, drives kept aside. */
  choices: boolean
  /** Limits that were changed, with their reasons. */
  limits: boolean
  /** What is to be made: recesses, holes, screws, patterns, chains; what is measured of them starts empty. */
  plans: boolean
}
export const TAKE_OVER_WORDS: Record<keyof TakeOver, string> = {
  choices: 'Choices: parts, ends and kind of drive of every axis',
  limits: 'Limits that were changed, with their reasons',
  plans: 'Plans: recesses, holes, screws and patterns, without what was measured of them',
}

/** An axis of the next machine: wishes as they are, dimensions as a first guess, nothing measured, built or tested. */
function sisterAxis(axis: Axis, { choices, limits, plans }: TakeOver): Axis {
  const blank = blankSheets()
  return produce({ ...axis, ...blank } as Axis, draft => {
    draft.slide = axis.slide
    draft.buildSchools = axis.buildSchools
    draft.lubePoints = axis.lubePoints.map(point => ({ ...point, access: null }))
    // Castings of one model differ: a figure of the other machine is an assumption here.
    for (const key of DIMENSION_KEYS)
      draft.dimensions[key].provenance = isToBeMade(key) ? 'planned' : 'assumed'
    if (choices) {
      draft.variants = axis.variants
      draft.stopping = axis.stopping
      draft.section.protrusions = axis.section.protrusions
    } else {
      draft.parts = { screw: null, bearing: null, coupler: null, belt: null, motor: null, brake: null }
      draft.drive = { ...DRIVE_TO_START, screws: axis.drive.screws }
      draft.preloadN = null
      draft.duty = null
    }
    if (!limits) draft.limits = {}
    if (!plans) {
      draft.recesses.recessFixedMm = 0
      draft.recesses.recessFarMm = 0
      return
    }
    const { section } = axis
    draft.section = { ...section, stations: [], protrusions: draft.section.protrusions }
    draft.holes = axis.holes.map(hole => ({
      ...hole,
      existingDiameterMm: null,
      centreOffsetMm: null,
      edgeDistanceMm: null,
    }))
    draft.joints = axis.joints.map(joint => ({
      ...joint,
      gripMm: null,
      threadDepthMm: null,
      suppliedMm: null,
    }))
    draft.bracketHoles = axis.bracketHoles
    draft.chain = axis.chain
  })
}

/** The plan of the next machine: the same hours and tasks of one's own, and for each task the minutes that it took on this one. */
function sisterPlan(plan: Plan, idOf: ReadonlyMap<string, string>): Plan {
  const renamed = (key: string): string => {
    const [axisId = '', ...rest] = key.split('.')
    return [idOf.get(axisId) ?? axisId, ...rest].join('.')
  }
  const orNone = (key: string | null) => (key === null ? null : renamed(key))
  return {
    ...plan,
    sittings: [],
    tasks: Object.fromEntries(
      Object.entries(plan.tasks).flatMap(([key, { tookMinutes, way }]) =>
        tookMinutes === null ? [] : [[renamed(key), { ...NO_NOTE, way, minutes: tookMinutes }]],
      ),
    ),
    ownTasks: plan.ownTasks.map(own => ({
      ...own,
      afterKey: orNone(own.afterKey),
      beforeKey: orNone(own.beforeKey),
    })),
  }
}

/**
 * The job of the next machine of its kind, made from one that was done: it starts unmeasured, unbuilt and untested, and
 * nothing of it is ordered.
 *
 * @returns the job, and the line of the log that says where it comes from
 */
export function sisterJob(
  job: Job,
  name: string,
  take: TakeOver,
  at: string,
): { job: Job; entries: LogEntry[] } {
  const id = newId()
  const idOf = new Map(job.axes.map(axis => [axis.id, newId()]))
  const taken = (Object.keys(take) as (keyof TakeOver)[]).filter(key => take[key])
  return {
    job: {
      ...job,
      id,
      name,
      createdAt: at,
      archived: false,
      orders: {},
      acceptance: NOT_ACCEPTED,
      plan: sisterPlan(job.plan, idOf),
      axes: job.axes.map(axis => ({ ...sisterAxis(axis, take), id: idOf.get(axis.id) as string })),
    },
    entries: [
      {
        id: newId(),
        jobId: id,
        axisId: null,
        at,
        kind: 'job',
        text: `Started from ${job.name}${taken.length ? `, with its ${taken.join(', ')}` : ''}. Nothing is measured, built or tested yet; dimensions are a first guess.`,
        closes: null,
        hidden: false,
      },
    ],
  }
}
