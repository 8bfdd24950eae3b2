import { isEqual } from 'es-toolkit'

/**
 * One value that a change replaces. A step of the path is a key, or the id of a row where it stands in a list of rows,
 * so that a patch finds its row wherever it has moved to, and finds none where another has taken its place.
 */
export interface Patch {
  path: string[]
  /** What stood there; left out where nothing did. */
  was?: unknown
  /** What stands there after; left out where it is taken away. */
  now?: unknown
  /** Of a row that comes or goes: the id of the row before which it stands, or null at the end. */
  before?: string | null
  /** Of a list whose rows change places: their ids in order, instead of `was` and `now`. */
  order?: { was: string[]; now: string[] }
  /** Of a list of plain values, such as repeated readings: what is put in place of what, from where; null at the end. */
  splice?: { at: number | null; was: unknown[]; now: unknown[] }
}

/** What a patch would replace is not what stands there any more. */
export class StaleError extends Error {
  override name = 'StaleError'
  constructor(readonly path: readonly string[]) {
    super(`${path.join('.')}: got another value than the change was made on`)
  }
}

type Plain = Record<string, unknown>
type Row = Plain & { id: string }

const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
/** A list in which every member has an id, or an empty one. */
export const isRows = (value: unknown): value is Row[] =>
  Array.isArray(value) && value.every(one => isPlain(one) && typeof one.id === 'string')

/**
 * What turns one document into another, field by field and row by row.
 *
 * @example diff({ a: 1, rows: [{ id: 'x', mm: 2 }] }, { a: 1, rows: [{ id: 'x', mm: 3 }] })
 *   // [{ path: ['rows', 'x', 'mm'], was: 2, now: 3 }]
 */
export function diff(before: unknown, after: unknown, path: string[] = []): Patch[] {
  if (Object.is(before, after)) return []
  if (isPlain(before) && isPlain(after))
    return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap(key =>
      diff(before[key], after[key], [...path, key]),
    )
  if (isRows(before) && isRows(after) && before.length + after.length > 0)
    return diffRows(before, after, path)
  if (isPlainList(before) && isPlainList(after)) return diffLists(before, after, path)
  if (isEqual(before, after)) return []
  return [{ path, ...(before !== undefined && { was: before }), ...(after !== undefined && { now: after }) }]
}

const isPlainList = (value: unknown): value is unknown[] =>
  Array.isArray(value) && value.every(one => typeof one !== 'object' || one === null)

function diffLists(before: unknown[], after: unknown[], path: string[]): Patch[] {
  const most = Math.min(before.length, after.length)
  let start = 0
  while (start < most && Object.is(before[start], after[start])) start++
  let end = 0
  while (end < most - start && Object.is(before.at(-1 - end), after.at(-1 - end))) end++
  const was = before.slice(start, before.length - end)
  const now = after.slice(start, after.length - end)
  if (was.length + now.length === 0) return []
  return [{ path, splice: { at: was.length === 0 && start === before.length ? null : start, was, now } }]
}

function diffRows(before: readonly Row[], after: readonly Row[], path: string[]): Patch[] {
  const wanted = new Map(after.map(row => [row.id, row]))
  const standing = new Map(before.map(row => [row.id, row]))
  const patches: Patch[] = []
  for (const [index, row] of before.entries())
    if (!wanted.has(row.id))
      // From the front, so that the row before which it stood is there still when it is put back.
      patches.push({ path: [...path, row.id], was: row, before: before[index + 1]?.id ?? null })
  for (const row of after) {
    const stood = standing.get(row.id)
    if (stood) patches.push(...diff(stood, row, [...path, row.id]))
  }
  // From the end, so that the row before which one goes in is there already.
  for (let index = after.length - 1; index >= 0; index--) {
    const row = after[index] as Row
    if (!standing.has(row.id))
      patches.push({ path: [...path, row.id], now: row, before: after[index + 1]?.id ?? null })
  }
  const kept = before.filter(({ id }) => wanted.has(id)).map(({ id }) => id)
  const keptNow = after.filter(({ id }) => standing.has(id)).map(({ id }) => id)
  if (!isEqual(kept, keptNow))
    patches.push({ path, order: { was: before.map(({ id }) => id), now: after.map(({ id }) => id) } })
  return patches
}

/** What takes a list of patches back, last first. */
export const inverse = (patches: readonly Patch[]): Patch[] =>
  patches.toReversed().map(({ path, was, now, before, order, splice }) => ({
    path,
    ...(now !== undefined && { was: now }),
    ...(was !== undefined && { now: was }),
    ...(before !== undefined && { before }),
    ...(order && { order: { was: order.now, now: order.was } }),
    ...(splice && { splice: { at: splice.at, was: splice.now, now: splice.was } }),
  }))

/**
 * A document with patches put in, one after another; what they do not touch stays the same object.
 *
 * @throws StaleError where what a patch would replace does not stand there any more
 */
export const applyPatches = <T>(document: T, patches: readonly Patch[]): T =>
  patches.reduce((value: unknown, patch) => put(value, patch, 0), document) as T

function put(value: unknown, patch: Patch, depth: number): unknown {
  const step = patch.path[depth]
  if (step === undefined)
    return patch.splice
      ? spliced(value, patch)
      : patch.order
        ? reordered(value, patch)
        : replaced(value, patch)
  if (isRows(value)) return putIntoRow(value, step, patch, depth)
  if (!isPlain(value)) throw new StaleError(patch.path)
  const inside = put(value[step], patch, depth + 1)
  if (inside !== undefined) return { ...value, [step]: inside }
  const { [step]: _, ...rest } = value
  return rest
}

function replaced(value: unknown, { path, was, now }: Patch): unknown {
  if (!isEqual(value, was) && !isEqual(value, now)) throw new StaleError(path)
  return now
}

function putIntoRow(rows: readonly Row[], id: string, patch: Patch, depth: number): unknown {
  const index = rows.findIndex(row => row.id === id)
  const isWhole = depth === patch.path.length - 1
  if (!isWhole) {
    if (index < 0) throw new StaleError(patch.path)
    return rows.with(index, put(rows[index], patch, depth + 1) as Row)
  }
  if (patch.now === undefined) {
    if (index < 0) return rows
    if (!isEqual(rows[index], patch.was)) throw new StaleError(patch.path)
    return rows.toSpliced(index, 1)
  }
  if (index >= 0) return rows.with(index, replaced(rows[index], patch) as Row)
  if (patch.was !== undefined) throw new StaleError(patch.path)
  const place = rows.findIndex(row => row.id === patch.before)
  return rows.toSpliced(place < 0 ? rows.length : place, 0, patch.now as Row)
}

/** Rows in the order wanted; those that came meanwhile stay where they are, at the end. */
function reordered(value: unknown, { path, order }: Patch): unknown {
  if (!isRows(value) || !order) throw new StaleError(path)
  const rank = new Map(order.now.map((id, index) => [id, index]))
  return value.toSorted((a, b) => (rank.get(a.id) ?? order.now.length) - (rank.get(b.id) ?? order.now.length))
}

/** A list of plain values with some of them replaced; what was put in at the end is put in at the end as it is now. */
function spliced(value: unknown, { path, splice }: Patch): unknown {
  if (!isPlainList(value) || !splice) throw new StaleError(path)
  const { was, now } = splice
  const standsAt = (at: number) =>
    at >= 0 && at + was.length <= value.length && isEqual(value.slice(at, at + was.length), was)
  let at = splice.at ?? value.length - was.length
  if (splice.at === null) while (at > 0 && !standsAt(at)) at--
  if (!standsAt(at)) throw new StaleError(path)
  return value.toSpliced(at, was.length, ...now)
}

/** A document with patches put in over whatever stands there; a patch whose place is gone does nothing. */
export const forcePatches = <T>(document: T, patches: readonly Patch[]): T =>
  patches.reduce((value: unknown, patch) => {
    try {
      return put(
        value,
        { ...patch, ...(patch.splice || patch.order ? {} : { was: at(value, patch.path) }) },
        0,
      )
    } catch (error) {
      if (error instanceof StaleError) return value
      throw error
    }
  }, document) as T

/** What stands at a path; nothing where the path leads nowhere. */
const at = (value: unknown, path: readonly string[]): unknown =>
  path.reduce(
    (inside: unknown, step) =>
      isRows(inside) ? inside.find(({ id }) => id === step) : isPlain(inside) ? inside[step] : undefined,
    value,
  )

/** Joins patches of one act of typing: of one field only the first value before and the last value after count. */
export function joinPatches(first: readonly Patch[], then: readonly Patch[]): Patch[] {
  const joined = [...first]
  for (const patch of then) {
    const last = joined.at(-1)
    const isSame = last && isEqual(last.path, patch.path)
    if (
      isSame &&
      last.splice &&
      patch.splice &&
      isEqual(last.splice.now, patch.splice.was) &&
      last.splice.now.length > 0
    )
      joined[joined.length - 1] = { ...last, splice: { ...last.splice, now: patch.splice.now } }
    else if (isSame && !last.order && !patch.order && !last.splice && !patch.splice) {
      const { now: _, ...kept } = last
      joined[joined.length - 1] = patch.now === undefined ? kept : { ...kept, now: patch.now }
    } else joined.push(patch)
  }
  return joined
}
