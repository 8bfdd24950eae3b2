import { lazy, mixed, type Schema, type TestContext } from 'yup'
import { DIMENSIONS } from '../document/dimensions'
import type { PartKind } from '../document/job'
import { checkPart } from '../document/parts/checkPart'
import { LEAST_LIMIT, LIMITS, type LimitKey, limitsProblem, MOST_LIMIT } from '../evaluation/limits'
import {
  gotAndTakes,
  listOf,
  numeric,
  oneOf,
  orNull,
  shape,
  text,
  wholeNumber,
  yesNo,
} from '../field/schemaKit'
import { PROPERTY_CLASSES, TAPPED_MATERIALS } from '../machine/joints/fastener'
import { THREAD_NAMES } from '../machine/joints/thread'
import { MOST_OWN_PARTS } from '../machine/parts'
import {
  BEARING_FIELDS,
  BLOCK_FIELDS,
  BRACKET_HOLE_FIELDS,
  HOLE_FIELDS,
  JOINT_FIELDS,
  LINK_FIELDS,
  MOST_BEARINGS,
  MOST_PROTRUSIONS,
  MOST_ROWS,
  ORDER_STATES,
  PROTRUSION_FIELDS,
  PROTRUSION_KINDS,
  SECTION_FIELDS,
  STATION_FIELDS,
} from './making'
import { SECTION_SIDES } from './nutRoom/calculation'

// What a builder adds to a job: limits, parts, and everything that is made to fit.

/** Limits that were changed, by the check they belong to. */
export const limits = lazy((value: unknown) =>
  shape(
    Object.fromEntries(
      Object.keys(typeof value === 'object' && value ? value : {})
        .filter(key => key in LIMITS)
        .map(key => [key, ownLimits(key as LimitKey)]),
    ),
  ),
)
const ownLimits = (key: LimitKey) =>
  shape({
    holds: numeric(LEAST_LIMIT, MOST_LIMIT),
    close: numeric(LEAST_LIMIT, MOST_LIMIT),
    because: text(300),
  }).test('order', function (this: TestContext, value: unknown) {
    const { holds, close } = (value ?? {}) as { holds: number; close: number }
    const wrong = limitsProblem(key, holds, close)
    return (
      !wrong ||
      this.createError({
        message: gotAndTakes(wrong.takes)({ path: `${this.path}.${wrong.field}`, value: close }),
      })
    )
  })

/** Parts of the builder's own, each checked as a row of a parts file is. */
export const ownPartsOf = (kind: PartKind) =>
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

const numbers = <T extends object>(facts: T) =>
  Object.fromEntries(
    Object.entries(facts as Record<string, { min: number; max: number }>).map(([key, { min, max }]) => [
      key,
      numeric(min, max),
    ]),
  )
export const making = shape({
  section: shape({
    stations: listOf(shape(numbers(STATION_FIELDS)), MOST_ROWS),
    ...numbers(SECTION_FIELDS),
    protrusions: listOf(
      shape({
        what: oneOf(PROTRUSION_KINDS),
        ...numbers(PROTRUSION_FIELDS),
        side: oneOf(SECTION_SIDES),
      }),
      MOST_PROTRUSIONS,
    ),
  }),
  holes: listOf(shape({ label: text(80), ...numbers(HOLE_FIELDS) }), MOST_ROWS),
  block: lazy(value =>
    value === null
      ? mixed().nullable()
      : shape({
          ...numbers(BLOCK_FIELDS),
          bearings: listOf(
            shape({
              widthMm: numeric(BEARING_FIELDS.widthMm.min, BEARING_FIELDS.widthMm.max),
              landMarkedMm: orNull(0, BEARING_FIELDS.landMarkedMm.max),
              landOtherMm: orNull(0, BEARING_FIELDS.landOtherMm.max),
            }),
            MOST_BEARINGS,
          ),
        }),
  ) as unknown as Schema,
  joints: listOf(
    shape({
      label: text(80),
      thread: oneOf(THREAD_NAMES),
      material: oneOf(TAPPED_MATERIALS),
      propertyClass: oneOf(PROPERTY_CLASSES),
      ...numbers(JOINT_FIELDS),
      blind: yesNo(),
      slotNuts: yesNo(),
      count: wholeNumber(1, 200),
      suppliedMm: orNull(1, 500),
    }),
    MOST_ROWS,
  ),
  bracketHoles: listOf(shape({ label: text(40), ...numbers(BRACKET_HOLE_FIELDS) }), MOST_ROWS),
  chain: shape({
    links: listOf(
      shape({
        label: text(80),
        dimension: mixed()
          .nullable()
          .oneOf([null, ...Object.keys(DIMENSIONS)], gotAndTakes('a dimension, or null')),
        ...numbers(LINK_FIELDS),
        direction: oneOf([1, -1]),
        distribution: oneOf(['normal', 'uniform']),
      }),
      MOST_ROWS,
    ),
    lowerLimitMm: numeric(-20_000, 20_000),
    upperLimitMm: numeric(-20_000, 20_000),
  }),
})

/** What is known of orders, by the key of what is ordered. */
export const orders = lazy((value: unknown) =>
  shape(
    Object.fromEntries(
      Object.keys(typeof value === 'object' && value ? value : {})
        .filter(key => /^[a-z]+:[\p{L}\p{N} ._-]{1,100}$/u.test(key))
        .map(key => [
          key,
          shape({ state: oneOf(ORDER_STATES), priceEur: orNull(0, 1e6), leadDays: orNull(0, 1000) }),
        ]),
    ),
  ),
)

export const shop = shape({
  cutterSizesMm: listOf(numeric(0.5, 500), MOST_ROWS),
  shimStockMm: listOf(numeric(0.001, 10), MOST_ROWS),
})
