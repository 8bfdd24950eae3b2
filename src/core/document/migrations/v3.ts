import { isEqual } from 'es-toolkit'
import { applyPatches, enablePatches, type Patch as PlacePatch } from 'immer'
import { diff, type Patch } from '../patch'
import { isPlain, onEachAxis, type Plain } from './plain'

enablePatches()

// Version 3 to 4: every row of a table has an id, and so has every change of one; what is made to fit stands on the axis
// itself. Documents of version 3 were written in two shapes, of which the first had no slot nuts, and one grease fitting
// in place of a list of what stands out. Changes of version 3 found their row by its place in the list.

interface OldChange extends Plain {
  patches: PlacePatch[]
  inverse: PlacePatch[]
  undone: boolean
}
type Row = Plain & { id?: unknown }

/** Where the tables of an axis of version 3 are; `*` stands for each row of a table. */
const TABLES = [
  ['duty'],
  ['making', 'section', 'stations'],
  ['making', 'section', 'protrusions'],
  ['making', 'holes'],
  ['making', 'block', 'bearings'],
  ['making', 'joints'],
  ['making', 'bracketHoles'],
  ['making', 'chain', 'links'],
  ['rounds', '*', 'stations'],
  ['tests', '*', 'stations'],
]

const isRow = (value: unknown): value is Row => isPlain(value)

/** The list at a path below a value, made anew by `change`, which is given its like in `other` too. */
function onTable(
  value: unknown,
  path: string[],
  other: unknown,
  change: (rows: Row[], others: Row[]) => Row[],
): unknown {
  const [step, ...rest] = path
  if (step === undefined)
    return Array.isArray(value) && value.every(isRow)
      ? change(value, Array.isArray(other) ? other : [])
      : value
  if (step === '*') {
    if (!Array.isArray(value)) return value
    return value.map(row => onTable(row, rest, isRow(row) ? rowWithId(other, row.id) : undefined, change))
  }
  if (!isPlain(value) || !(step in value)) return value
  return { ...value, [step]: onTable(value[step], rest, isPlain(other) ? other[step] : undefined, change) }
}
const rowWithId = (list: unknown, id: unknown) =>
  Array.isArray(list) ? list.find(one => isRow(one) && one.id === id) : undefined

/** Gives every row without an id the one of its like in a later state of the document, or a new one. */
const withIds = (axis: Plain, later: Plain | undefined, fresh: () => string): Plain =>
  TABLES.reduce<unknown>(
    (value, path) => onTable(value, path, later, (rows, others) => identified(rows, others, fresh)),
    axis,
  ) as Plain

function identified(rows: Row[], others: Row[], fresh: () => string): Row[] {
  const taken = new Set(rows.map(({ id }) => id))
  const free = (one: Row | undefined): one is Row => one?.id !== undefined && !taken.has(one.id)
  const give = (row: Row, like: Row | undefined): Row => {
    if (row.id !== undefined || !free(like)) return row
    taken.add(like.id)
    return { ...row, id: like.id }
  }
  const isLike = (row: Row) => (one: Row) => free(one) && isEqual({ ...one, id: null }, { ...row, id: null })
  // Those that are the same all through first, then those that stand in the same place.
  return rows
    .map(row => give(row, others.find(isLike(row))))
    .map((row, index) => give(row, others[index]))
    .map(row => (row.id === undefined ? { ...row, id: fresh() } : row))
}

/** An axis of either shape of version 3 in the one that was written last. */
function asLastWritten(axis: Plain): Plain {
  const { making } = axis
  if (!isPlain(making)) return axis
  const joints = Array.isArray(making.joints)
    ? making.joints.map(joint =>
        isRow(joint) && !('slotNuts' in joint) ? { ...joint, slotNuts: false } : joint,
      )
    : making.joints
  return { ...axis, making: { ...making, joints, section: oneFittingAsList(making.section) } }
}

function oneFittingAsList(section: unknown): unknown {
  if (!isPlain(section) || (!('fittingMm' in section) && !('fittingSide' in section))) return section
  const { fittingMm, fittingSide, protrusions, ...rest } = section
  const [stood] = Array.isArray(protrusions) ? protrusions.filter(isRow) : []
  const standsOutMm = fittingMm ?? stood?.standsOutMm ?? 0
  const side = fittingSide ?? stood?.side ?? 'ceiling'
  const fitting = { what: 'grease fitting', standsOutMm, side }
  return { ...rest, protrusions: typeof standsOutMm === 'number' && standsOutMm < 0.1 ? [] : [fitting] }
}

/** What is made to fit, from its own place onto the axis. */
function lifted(axis: Plain): Plain {
  const { making, room, ...rest } = axis
  return { ...rest, ...(isPlain(making) ? making : {}), recesses: room }
}
/** The way back, for a change that was made on version 3 and not saved before the app was newer. */
function lowered(axis: Plain): Plain {
  const { section, holes, block, joints, bracketHoles, chain, recesses, ...rest } = axis
  return { ...rest, room: recesses, making: { section, holes, block, joints, bracketHoles, chain } }
}

const axesOf = (job: Plain): Plain[] => (Array.isArray(job.axes) ? job.axes.filter(isPlain) : [])
const bringUp = (job: Plain, later: Plain | null, fresh: () => string): Plain =>
  onEachAxis(axis =>
    withIds(asLastWritten(axis), later ? axesOf(later).find(({ id }) => id === axis.id) : undefined, fresh),
  )(job)
const lift = onEachAxis(lifted)

function counter(): () => string {
  let count = 0
  return () => `row-${++count}`
}

/** Changes by the ids of rows, out of those by their places: each is made again on the document as it stood. */
function changesById(job: Plain, changes: OldChange[], fresh: () => string): Plain[] {
  const made = (change: OldChange, before: Plain, after: Plain): Plain => {
    const { inverse: _, ...rest } = change
    return { ...rest, patches: diff(lift(before), lift(after)) satisfies Patch[] }
  }
  const done: Plain[] = []
  let state = job
  // A history that does not fit its job cannot be gone through: what lies beyond that point is let go.
  for (const change of changes.filter(({ undone }) => !undone).toReversed()) {
    const before = attempt(() => bringUp(applyPatches(state, change.inverse), state, fresh))
    if (!before) break
    done.unshift(made(change, before, state))
    state = before
  }
  state = job
  for (const change of changes.filter(({ undone }) => undone)) {
    const after = attempt(() => bringUp(applyPatches(state, change.patches), state, fresh))
    if (!after) break
    done.push(made(change, state, after))
    state = after
  }
  return done
}

function attempt(work: () => Plain): Plain | null {
  try {
    return work()
  } catch {
    return null
  }
}

/** A job of version 3 with its history. */
export function fromV3(job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } {
  const fresh = counter()
  const withRows = bringUp(job, null, fresh)
  return { job: lift(withRows), history: changesById(withRows, history as OldChange[], fresh) }
}

/** A change that was made on version 3, for the job as it stands in version 4. */
export function changeFromV3(job: Plain, change: Plain, newId: () => string): Plain {
  const before = onEachAxis(lowered)(job)
  const { inverse: _, ...rest } = change
  const after = bringUp(applyPatches(before, (change as OldChange).patches), before, newId)
  return { ...rest, patches: diff(lift(before), lift(after)) }
}
