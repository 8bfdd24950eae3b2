import { mixed, type Schema, type TestContext } from 'yup'
import { ACCEPTANCE } from '../document/acceptance'
import { AXIS_FIELDS, OWN_LIMITS } from '../document/axis'
import { LONGEST_LABEL, MOST_LINES } from '../document/edit'
import { FIXES } from '../document/fixes'
import { LOG_ENTRY, ORDERS } from '../document/job'
import { MACHINE_KINDS, PART_KINDS, type PartKind } from '../document/kinds'
import { LESSONS } from '../document/lessons'
import { checkPart } from '../document/parts/checkPart'
import { PLAN } from '../document/plan'
import { SHOP } from '../document/shop'
import { UPKEEP } from '../document/upkeep'
import { SCHEMA_VERSION } from '../document/version.generated'
import { limitsProblem } from '../evaluation/limits'
import { choice, flag, moment, words, wordsOrNone } from '../field/field'
import { fits, fitsAll } from '../field/fits'
import { gotAndTakes, listOf, mapOf, oneOf, schemaOf, schemasOf, shape, text } from '../field/schema'
import { MOST_OWN_PARTS } from '../machine/parts'
import { LIMITS, SHEETS } from '.'

/** Limits that were changed, by their keys, each in its right order. */
const limits = mapOf(key => {
  const facts = Object.hasOwn(LIMITS, key) ? LIMITS[key as keyof typeof LIMITS] : null
  return facts
    ? schemaOf(OWN_LIMITS).test('order', function (this: TestContext, value: unknown) {
        const { holds, close } = (value ?? {}) as { holds: number; close: number }
        const wrong = limitsProblem(facts, holds, close)
        return (
          !wrong ||
          this.createError({
            message: gotAndTakes(wrong.takes)({ path: `${this.path}.${wrong.field}`, value: close }),
          })
        )
      })
    : null
})

/** Parts of the builder's own, each checked as a row of a parts file is. */
const ownPartsOf = (kind: PartKind) =>
  listOf(mixed(), MOST_OWN_PARTS).test('parts', function (this: TestContext, value: unknown) {
    const ids = new Set<unknown>()
    for (const [index, part] of (Array.isArray(value) ? value : []).entries()) {
      const [wrong] = checkPart(kind, part)
      const place = `${this.path}[${index}]`
      if (wrong)
        return this.createError({
          message: `${place}.${wrong.field}: got ${wrong.got}, takes ${wrong.takes}`,
        })
      if (ids.has(part.id)) return this.createError({ message: `${place}.id: got ${part.id} a second time` })
      ids.add(part.id)
    }
    return true
  })

/** An axis: what every one has, and what each sheet keeps on it. */
const axis = shape({
  id: text(40),
  name: text(12),
  title: text(80),
  ...schemasOf(AXIS_FIELDS),
  ...Object.assign({}, ...SHEETS.map(({ fields = {} }) => schemasOf(fields))),
  limits,
})

/** What a job is, beside its axes and its parts. */
export const JOB_FIELDS = {
  id: words('Id', 40),
  name: words('Name', 80),
  machineKind: choice('Kind of machine', MACHINE_KINDS),
  units: choice('Units', ['mm', 'inch']),
  createdAt: moment('Made'),
  archived: flag('Put away'),
  orders: ORDERS,
  plan: PLAN,
  acceptance: ACCEPTANCE,
  fixes: FIXES,
  upkeep: UPKEEP,
  lessons: LESSONS,
  shop: SHOP,
}
export const MOST_AXES = 12

/** A job document of the present version. */
export const jobSchema = shape({
  schemaVersion: oneOf([SCHEMA_VERSION]),
  ...schemasOf(JOB_FIELDS),
  ownParts: shape(Object.fromEntries(PART_KINDS.map(kind => [kind, ownPartsOf(kind)]))),
  axes: listOf(axis, MOST_AXES, 1).test('ids', 'job.axes: two axes have the same id', axes => {
    const ids = (axes ?? []).map(one => (one as { id: string }).id)
    return new Set(ids).size === ids.length
  }),
})

/** What rows of a file are checked by: the schema says what is wrong, `fits` in next to no time that nothing is. */
export interface RowRules {
  schema: Schema
  fits: (value: unknown) => boolean
}

/** A line of the log. */
export const ENTRY_RULES: RowRules = {
  schema: schemaOf(LOG_ENTRY),
  fits: value => fits(LOG_ENTRY, value),
}

/** A change can take a whole file of parts, some fields of each. */
export const MOST_PATCHES = 25_000

const list = (takes: string, most: number) => listOf(mixed().test('one', gotAndTakes(takes), isPatch), most)

/** Names that mean something else to the language. */
const NO_STEPS = new Set(['__proto__', 'constructor', 'prototype'])

/** A patch as it is stored: a path of keys and ids, and what it replaces by what. */
function isPatch(value: unknown): boolean {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false
  const { path, was: _, now: __, before, order, splice, ...more } = value as Record<string, unknown>
  const isStrings = (list: unknown) => Array.isArray(list) && list.every(one => typeof one === 'string')
  return (
    isStrings(path) &&
    (path as string[]).length <= 12 &&
    !(path as string[]).some(step => NO_STEPS.has(step)) &&
    (before === undefined || before === null || typeof before === 'string') &&
    (order === undefined || isOrder(order, isStrings)) &&
    (splice === undefined || isOrder(splice, Array.isArray)) &&
    Object.keys(more).length === 0
  )
}
const isOrder = (value: unknown, isList: (one: unknown) => boolean): boolean => {
  const { was, now } = (value ?? {}) as Record<string, unknown>
  return isList(was) && isList(now)
}

/** A change, beside what it changes. */
export const CHANGE = {
  id: words('Id', 40),
  jobId: words('Job', 40),
  at: moment('When'),
  label: words('What', LONGEST_LABEL),
  mergeKey: wordsOrNone('Act of typing', 200),
  undone: flag('Undone'),
}
const LINE_ID = words('Line', 41)
const areLines = (value: unknown) =>
  Array.isArray(value) && value.length <= MOST_LINES && value.every(one => fits(LINE_ID, one))

/** One change of the history, with what takes it back. */
export const CHANGE_RULES: RowRules = {
  schema: shape({
    ...schemasOf(CHANGE),
    patches: list('a patch with path, was and now', MOST_PATCHES),
    shows: listOf(text(41), MOST_LINES),
    hides: listOf(text(41), MOST_LINES),
  }),
  fits(value) {
    if (typeof value !== 'object' || value === null) return false
    const { patches, shows, hides, ...rest } = value as Record<string, unknown>
    return (
      fitsAll(CHANGE, rest) &&
      Array.isArray(patches) &&
      patches.length <= MOST_PATCHES &&
      patches.every(isPatch) &&
      areLines(shows) &&
      areLines(hides)
    )
  },
}
