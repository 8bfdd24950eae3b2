import type { Axis } from '../document/axis'
import { turnsNut } from '../document/axis'
import type { Job } from '../document/job'
import type { MachineKind } from '../document/kinds'
import type { Catalogue } from '../document/parts/types'
import { NO_NOTE, type TaskNote } from '../document/plan'
import type { Stage } from '../document/stages'
import { attempt } from '../evaluation/attempt'
import type { EvaluationContext } from '../evaluation/context'
import { neededParts } from '../machine/neededParts'
import { stillToMeasure } from '../machine/stillToMeasure'
import type { PlanMode, PlanTask } from '../schedule/problem'
import type { SheetId } from '../sheets'
import { cutList } from '../sheets/cutList'
import { evaluateAxis } from '../sheets/evaluateAxis'
import type { Cut } from '../sheets/shared/cuts/cut'
import { knownSteps } from '../sheets/shared/steps/procedure'
import { DAY_MINUTES, type Now } from './days'
import { learnedMinutes } from './learned'
import { type Parcel, parcelsOf } from './parcels'
import { KINDS, type TaskKind } from './taskKinds'

/** One way to do a task, in words. */
export interface Way extends Omit<PlanMode, 'after' | 'before'> {
  words: string
  after: string[]
  before: string[]
}

/** A task of the conversion, with all ways to do it. */
export interface Task {
  key: string
  /** None where it is about the whole machine. */
  axisId: string | null
  axisName: string | null
  kind: TaskKind
  title: string
  place: { stage: Stage; sheet: SheetId }
  after: string[]
  ways: Way[]
  /** The way that the builder wants; none leaves it to the schedule. */
  wanted: string | null
  /** Where the minutes come from. */
  minutesFrom: 'usual' | 'yours' | 'learned' | 'order'
  /** The share that is still to be done. */
  left: number
  isDone: boolean
  /** Of a parcel: whether it is on its way. */
  isOrdered: boolean
  note: TaskNote
}

/** What is to be planned, and what keeps parts of it out. */
export interface Tasks {
  tasks: Task[]
  /** What is not in the plan, and why. */
  gaps: string[]
}

/** Which axis stands on which: what lies on top comes off first and goes on last. */
const STANDS_ON: Record<MachineKind, Record<string, string>> = {
  mill: { X: 'Y' },
  lathe: { X: 'Z' },
  router: { Z: 'Y', Y: 'X' },
}
const HAND_TOOL_MINUTES_PER_CM = 15
const MILL_MINUTES_PER_CM = 5
const HOLE_MINUTES = 25
/** Cuts that are not known yet are not nothing. */
const UNKNOWN_CUTS_MINUTES = 90
const SLOWER_BY_DRILL = 2
const ELSEWHERE_DAYS = 10
const LEAST_LEFT_MINUTES = 5

const way = (id: string, words: string, minutes: number, more: Partial<Way> = {}): Way => ({
  id,
  words,
  minutes: Math.max(1, Math.round(minutes)),
  waits: false,
  oneGo: false,
  after: [],
  before: [],
  ...more,
})

/** Parts that are made for an axis, with the task that each goes into. */
const madeFor = (axis: Axis): { id: string; title: string; into: TaskKind }[] => [
  { id: 'nutBracket', title: 'Nut bracket', into: 'assembly' },
  { id: 'fixedBlock', title: 'Fixed block', into: 'block' },
  ...(axis.ends === 'fixed-free' ? [] : [{ id: 'farBlock', title: 'Far block', into: 'assembly' as const }]),
  { id: 'motorMount', title: 'Motor mount', into: 'motor' },
]

export const keyOf = (axisId: string, kind: TaskKind, part?: string): string =>
  part ? `${axisId}.${kind}:${part}` : `${axisId}.${kind}`

/** Minutes for the cuts of a list, with hand tools or on a mill. */
export function cutMinutes(cuts: readonly Cut[], on: 'hand tools' | 'mill'): number {
  const perCm = on === 'mill' ? MILL_MINUTES_PER_CM : HAND_TOOL_MINUTES_PER_CM
  return cuts.reduce(
    (sum, { lengthMm, diameterMm }) =>
      sum +
      (lengthMm === undefined && diameterMm !== undefined ? HOLE_MINUTES : (perCm * (lengthMm ?? 0)) / 10),
    0,
  )
}

/**
 * Everything that a conversion still needs and has done: what each axis is measured, taken apart, cut, built, aligned and
 * proved by, what is made for it, the parcels that it waits for, and the tasks that the builder has added.
 */
export function tasksOf(job: Job, catalogue: Catalogue, now: Now): Tasks {
  const context = new Map(job.axes.map(axis => [axis.id, evaluateAxis(axis, catalogue, job.units)]))
  const noteOf = (key: string): TaskNote => job.plan.tasks[key] ?? NO_NOTE
  const learned = learnedMinutes(job, context)
  const hasTeardown = job.machineKind !== 'router'
  const teardowns = hasTeardown ? job.axes.map(({ id }) => keyOf(id, 'teardown')) : []
  const tasks: Task[] = []

  const add = (
    axis: Axis | null,
    kind: TaskKind,
    { part, title, ways, after = [], left = 1, isDone = false, isOrdered = false, minutesFrom }: Added,
  ) => {
    const key = axis ? keyOf(axis.id, kind, part) : `${kind === 'own' ? 'own' : 'all'}.${part}`
    const note = noteOf(key)
    const wanted = ways.some(({ id }) => id === note.way) ? note.way : null
    const settled = ways.length === 1 || wanted !== null
    const known = kind === 'parcel' ? undefined : learned.get(kind)
    const minutesOf = (one: Way): number => {
      if (one.waits) return one.minutes
      if (note.minutes !== null && settled) return note.minutes
      return ways.length === 1 && known ? known : one.minutes
    }
    tasks.push({
      key,
      axisId: axis?.id ?? null,
      axisName: axis?.name ?? null,
      kind,
      title,
      place: KINDS[kind].place,
      after,
      ways: ways.map(one => ({
        ...one,
        minutes: one.waits
          ? one.minutes
          : Math.max(Math.min(LEAST_LEFT_MINUTES, minutesOf(one)), Math.round(minutesOf(one) * left)),
      })),
      wanted,
      minutesFrom:
        minutesFrom ??
        (note.minutes !== null && settled ? 'yours' : ways.length === 1 && known ? 'learned' : 'usual'),
      left,
      isDone: isDone || note.doneAt !== null,
      isOrdered,
      note,
    })
  }

  for (const axis of job.axes)
    addAxis(axis, context.get(axis.id) as EvaluationContext, { job, hasTeardown, teardowns, add })
  const parcels = parcelsOf(job, catalogue, now)
  for (const parcel of parcels) {
    add(null, 'parcel', {
      part: `parcel:${parcel.id}`,
      title: parcel.isLate ? `${parcel.title}, late` : parcel.title,
      isOrdered: parcel.isOrdered,
      ways: [
        way(
          'comes',
          parcel.isGuess ? 'nobody has said how long it takes: reckoned with a week' : 'comes by itself',
          parcel.waitMinutes,
          { waits: true },
        ),
      ],
      after: parcel.isOrdered ? [] : parcel.axisIds.map(id => keyOf(id, 'measure')),
      minutesFrom: 'order',
    })
    for (const task of tasks) if (waitsForParcel(task, parcel)) task.after.push(`all.parcel:${parcel.id}`)
  }
  for (const own of job.plan.ownTasks) {
    add(null, 'own', {
      part: own.id,
      title: own.title,
      ways: [
        way('own', own.kind, own.minutes, { waits: own.kind === 'waiting', oneGo: own.kind === 'one go' }),
      ],
      after: own.afterKey ? [own.afterKey] : [],
      minutesFrom: 'yours',
    })
    const before = tasks.find(({ key }) => key === own.beforeKey)
    if (before) before.after.push(`own.${own.id}`)
  }
  settleDone(tasks)
  return {
    tasks,
    gaps: job.axes.flatMap(axis => {
      const open = neededParts(axis).filter(kind => !catalogue[kind].has(axis.parts[kind] ?? ''))
      if (turnsNut(axis.drive))
        return [
          `Axis ${axis.name}: its nut turns, and the steps for that are not listed, so its build is not in the plan.`,
        ]
      return open.length > 0
        ? [
            `Axis ${axis.name}: ${open.join(', ')} not chosen yet, so what has to come for it is not in the plan.`,
          ]
        : []
    }),
  }
}

interface Added {
  part?: string
  title: string
  ways: Way[]
  after?: string[]
  left?: number
  isDone?: boolean
  isOrdered?: boolean
  minutesFrom?: Task['minutesFrom']
}

interface Building {
  job: Job
  hasTeardown: boolean
  teardowns: readonly string[]
  add: (axis: Axis, kind: TaskKind, added: Added) => void
}

function addAxis(
  axis: Axis,
  context: EvaluationContext,
  { job, hasTeardown, teardowns, add }: Building,
): void {
  const key = (kind: TaskKind, part?: string) => keyOf(axis.id, kind, part)
  const steps = knownSteps(context)
  /** The share of the steps of a task that is not ticked yet. */
  const leftOf = (kind: TaskKind): number => {
    const own = steps.filter(({ part }) => KINDS[kind].parts?.includes(part))
    return own.length === 0 ? 1 : own.filter(({ id }) => !axis.ticks[id]).length / own.length
  }
  const plain = (kind: TaskKind, after: string[], more: Partial<Added> = {}) => {
    const left = more.left ?? leftOf(kind)
    const { title, minutes } = KINDS[kind]
    add(axis, kind, {
      title,
      ways: [way('hands', 'by hand', minutes)],
      after,
      ...more,
      left,
      isDone: left === 0,
    })
  }
  const under = job.axes.find(({ name }) => name === STANDS_ON[job.machineKind][axis.name])
  const onTop = job.axes.filter(({ name }) => STANDS_ON[job.machineKind][name] === axis.name)

  plain('measure', [], { left: stillToMeasure(axis).length === 0 ? 0 : 1 })
  if (hasTeardown) plain('teardown', [key('measure'), ...onTop.map(({ id }) => keyOf(id, 'teardown'))])
  const apart = hasTeardown ? [key('teardown')] : []
  const cuts = attempt(() => cutList(context)).value
  if (!cuts || cuts.length > 0) {
    const byHand = cuts ? cutMinutes(cuts, 'hand tools') : UNKNOWN_CUTS_MINUTES
    const onMill = cuts ? cutMinutes(cuts, 'mill') : UNKNOWN_CUTS_MINUTES / 2
    add(axis, 'cut', {
      title: cuts ? `Cuts (${cuts.length})` : 'Cuts, not known yet',
      ways: [
        way('handTools', 'with hand tools', byHand),
        ...(job.plan.otherMill ? [way('otherMill', 'on another mill', onMill)] : []),
      ],
      after: [key('measure'), ...apart],
    })
  }
  const cut = !cuts || cuts.length > 0 ? [key('cut')] : []
  const made = madeFor(axis)
  const madeInto = (kind: TaskKind) =>
    made.filter(({ into }) => into === kind).map(({ id }) => key('make', id))
  for (const { id, title } of made)
    add(axis, 'make', {
      part: id,
      title,
      ways: waysToMake(axis, job, teardowns),
      after: [key('measure')],
    })
  plain('block', [...madeInto('block')])
  plain('assembly', [
    key('block'),
    ...madeInto('assembly'),
    ...cut,
    ...apart,
    ...(under ? [keyOf(under.id, 'assembly')] : []),
  ])
  plain('align1', [key('assembly')], { left: axis.rounds.length > 0 ? 0 : 1 })
  plain('align2', [key('align1')])
  plain('motor', [key('align1'), ...madeInto('motor')])
  plain('cables', [key('motor')])
  plain('moves', [key('align2'), key('motor'), key('cables')])
  plain('proof', [key('moves')])
  plain('final', [key('proof')])
}

/** How a bracket or block can be made: the machine itself is one of the ways, before it is apart or once it runs. */
function waysToMake(axis: Axis, job: Job, teardowns: readonly string[]): Way[] {
  const { minutes } = KINDS.make
  const isWhole = job.axes.every(({ ticks }) => Object.keys(ticks).length === 0)
  const others = job.axes.filter(({ id }) => id !== axis.id).slice(0, 2)
  return [
    ...(job.machineKind === 'router' || !isWhole
      ? []
      : [
          way('handWheels', 'on this machine by its hand wheels, before it is taken apart', minutes, {
            before: [...teardowns],
          }),
        ]),
    ...(job.machineKind !== 'lathe' && others.length === 2
      ? [
          way(
            'power',
            `on this machine under power, once ${others.map(({ name }) => name).join(' and ')} run`,
            minutes * 0.75,
            { after: others.map(({ id }) => keyOf(id, 'proof')) },
          ),
        ]
      : []),
    ...(job.plan.otherMill ? [way('otherMill', 'on another mill', minutes)] : []),
    way('drill', 'with drill and grinder', minutes * SLOWER_BY_DRILL),
    ...(job.plan.elsewhere
      ? [way('elsewhere', 'made by someone else', ELSEWHERE_DAYS * DAY_MINUTES, { waits: true })]
      : []),
  ]
}

/** What is taken up with what comes in a parcel. */
function waitsForParcel(task: Task, { axisIds, into }: Parcel): boolean {
  return task.axisId !== null && axisIds.includes(task.axisId) && task.kind === into
}

/**
 * What rests on something is not done before it: what comes before a task that is done, or begun, is done too. A parcel
 * for several tasks is here when all of them have it.
 */
function settleDone(tasks: Task[]): void {
  const byKey = new Map(tasks.map(task => [task.key, task]))
  const settle = (task: Task) => {
    for (const key of task.after) {
      const before = byKey.get(key)
      // Which axis comes first is the order of a plan: what another axis has done says nothing of this one.
      const isOfAnother = before?.axisId && task.axisId && before.axisId !== task.axisId
      if (!before || before.isDone || before.kind === 'parcel' || isOfAnother) continue
      before.isDone = true
      settle(before)
    }
  }
  // A bracket that is made says nothing of the rest: it may have been made from a drawing.
  const tells = ({ kind, isDone, left }: Task) => kind !== 'own' && kind !== 'make' && (isDone || left < 1)
  for (const task of tasks.filter(tells)) settle(task)
  for (const parcel of tasks.filter(({ kind }) => kind === 'parcel')) {
    const takers = tasks.filter(({ after }) => after.includes(parcel.key))
    parcel.isDone ||= takers.length > 0 && takers.every(({ isDone, left }) => isDone || left < 1)
  }
}

/** The tasks that are still to be done, as the engine plans them: none begins before a minute. */
export function planTasks(tasks: readonly Task[], fromMinute: number): PlanTask[] {
  const open = new Set(tasks.filter(({ isDone }) => !isDone).map(({ key }) => key))
  const onlyOpen = (keys: readonly string[]) => [...new Set(keys)].filter(key => open.has(key))
  return tasks
    .filter(({ isDone }) => !isDone)
    .map(({ key, after, ways, wanted }) => ({
      id: key,
      releaseMinute: fromMinute,
      after: onlyOpen(after),
      modes: ways
        .filter(({ id }) => wanted === null || id === wanted)
        .map(({ words: _, ...one }) => ({
          ...one,
          after: onlyOpen(one.after),
          before: onlyOpen(one.before),
        })),
    }))
}
