import { produce } from 'immer'
import { NOT_ACCEPTED } from '../document/acceptance'
import type { Axis } from '../document/axis'
import { DIMENSION_KEYS, type DimensionKey } from '../document/dimensions'
import { newId } from '../document/id'
import type { Job, LogEntry, Orders } from '../document/job'
import { isRead } from '../document/kinds'
import { lessonsForNext } from '../document/lessons'
import { MOST_BEFORE, type OfLast } from '../document/ofLast'
import { isOfStep, NO_NOTE, type Plan } from '../document/plan'
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

/** Which way an axis lies does not differ from casting to casting, and what can fall must be known before anything is measured. */
const OF_THE_MODEL: readonly DimensionKey[] = ['inclineDeg']

/** What was read on the machines before this one, newest first. */
const beforeLast = ({ ofLast: last }: Axis): OfLast['before'] =>
  last
    ? [{ id: newId(), machine: last.machine, dimensions: last.dimensions }, ...last.before].slice(
        0,
        MOST_BEFORE,
      )
    : []

/** What was read on the machine that is done, and which faults it had. */
function ofLast(axis: Axis, machine: string): OfLast {
  const mended = new Set(axis.faultSearches.flatMap(({ mended: fault }) => fault ?? []))
  return {
    machine,
    dimensions: Object.fromEntries(
      DIMENSION_KEYS.map(key => {
        const { value, provenance } = axis.dimensions[key]
        return [key, isRead(provenance) ? value : null]
      }),
    ) as OfLast['dimensions'],
    before: beforeLast(axis),
    mended: [...mended].map(fault => ({ id: newId(), fault })),
  }
}

/** An axis of the next machine: wishes as they are, what was read beside empty dimensions, nothing measured, built or tested. */
function sisterAxis(axis: Axis, machine: string, { choices, limits, plans }: TakeOver): Axis {
  const blank = blankSheets()
  return produce({ ...axis, ...blank } as Axis, draft => {
    draft.slide = axis.slide
    draft.buildSchools = axis.buildSchools
    draft.lubePoints = axis.lubePoints.map(point => ({ ...point, access: null }))
    draft.ofLast = ofLast(axis, machine)
    // Castings of one model differ: a figure of the other machine stands beside an empty one here, until it is taken.
    for (const key of DIMENSION_KEYS) {
      const dimension = draft.dimensions[key]
      if (isToBeMade(key)) dimension.provenance = 'planned'
      else {
        if (isRead(dimension.provenance) && !OF_THE_MODEL.includes(key)) dimension.value = null
        dimension.provenance = 'assumed'
      }
    }
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

/** Prices and days of delivery are asked once; what is ordered and here is of the machine before. */
const sisterOrders = (orders: Orders): Job['orders'] =>
  Object.fromEntries(
    Object.entries(orders)
      .filter(([, { priceEur, leadDays }]) => priceEur !== null || leadDays !== null)
      .map(([key, { priceEur, leadDays }]) => [key, { priceEur, leadDays, state: 'open', dueDay: null }]),
  )

/** What is kept up on a machine of its kind, none of it done yet. */
const sisterUpkeep = ({ tasks }: Job['upkeep'], idOf: ReadonlyMap<string, string>): Job['upkeep'] => ({
  readings: [],
  tasks: tasks.map(task => ({
    ...task,
    axisId: task.axisId === null ? null : (idOf.get(task.axisId) ?? null),
    doneDay: null,
    doneHours: null,
  })),
})

/**
 * The plan of the next machine: the same hours and tasks of one's own, and for each task the minutes that it took on this one,
 * or that its kind took where it was timed elsewhere.
 */
function sisterPlan(
  plan: Plan,
  idOf: ReadonlyMap<string, string>,
  learned: ReadonlyMap<string, number>,
): Plan {
  const renamed = (key: string): string => {
    const [axisId = '', ...rest] = key.split('.')
    return [idOf.get(axisId) ?? axisId, ...rest].join('.')
  }
  const orNone = (key: string | null) => (key === null ? null : renamed(key))
  return {
    ...plan,
    sittings: [],
    tasks: Object.fromEntries([
      ...[...idOf.values()].flatMap(axisId =>
        [...learned].map(([kind, minutes]) => [`${axisId}.${kind}`, { ...NO_NOTE, minutes }] as const),
      ),
      ...Object.entries(plan.tasks).flatMap(([key, { tookMinutes, way }]) =>
        tookMinutes === null || isOfStep(key)
          ? []
          : [[renamed(key), { ...NO_NOTE, way, minutes: tookMinutes }] as const],
      ),
    ]),
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
 * @param learned minutes that kinds of tasks took, by their names, where they were timed
 * @returns the job, and the line of the log that says where it comes from
 */
export function sisterJob(
  job: Job,
  name: string,
  take: TakeOver,
  at: string,
  learned: ReadonlyMap<string, number> = new Map(),
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
      orders: take.choices ? sisterOrders(job.orders) : {},
      acceptance: NOT_ACCEPTED,
      fixes: {},
      upkeep: sisterUpkeep(job.upkeep, idOf),
      lessons: lessonsForNext(job.lessons, job.name.slice(0, 80)),
      plan: sisterPlan(job.plan, idOf, learned),
      axes: job.axes.map(axis => ({
        ...sisterAxis(axis, job.name.slice(0, 80), take),
        id: idOf.get(axis.id) as string,
      })),
    },
    entries: [
      {
        id: newId(),
        jobId: id,
        axisId: null,
        at,
        kind: 'job',
        text: `Started from ${job.name}${taken.length ? `, with its ${taken.join(', ')}` : ''}. Nothing is measured, built or tested yet; what was read on it stands beside the empty fields.`,
        closes: null,
        hidden: false,
      },
    ],
  }
}
