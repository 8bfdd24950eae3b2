import type { Axis } from '../document/axis'
import { hasBelt } from '../document/axis'
import type { Orders } from '../document/job'
import { type PartKind, SCREW_ENDS, SCREW_ENDS_WORDS, type ScrewEnds } from '../document/kinds'
import type { Catalogue, OwnParts, PartOf } from '../document/parts/types'
import type { SearchWithin } from '../sheets/search/model'
import { money, say, saySold } from '../units/print'
import type { UnitSystem } from '../units/quantity'

/** What there is of parts: one's own, what is ordered, and the day of today. */
export interface Supply {
  ownParts: OwnParts
  /** The shop's own list, where there is one. */
  shopParts?: OwnParts
  orders: Orders
  /** As `2026-12-01`. */
  today: string
}

/** What a search keeps to. */
export interface Within {
  /** Whether a part may go into a drive. */
  takes: <K extends PartKind>(kind: K, part: PartOf[K]) => boolean
  endsOf: (screw: PartOf['screw']) => readonly ScrewEnds[]
  mostPriceEur: number
  mostHeightMm: number
  mostMassKg: number
  /** In how many days a part is there; null where nobody knows. */
  daysOf: (part: AnyPart) => number | null
}
type AnyPart = PartOf[PartKind]

const DAY_MS = 86_400_000
const daysFrom = (today: string, day: string) =>
  Math.max(0, Math.round((Date.parse(day) - Date.parse(today)) / DAY_MS))

const orderOf = ({ orders }: Supply, { id }: AnyPart) => orders[`part:${id}`]

/** Whether a part lies on the shelf, has come, or is on its way. */
export const isHere = (supply: Supply, part: AnyPart): boolean => {
  const state = orderOf(supply, part)?.state
  return (part.stock ?? 0) > 0 || state === 'arrived' || state === 'ordered'
}

/**
 * In how many days a part is there: none where it lies on the shelf, until its day where it is ordered, else what a supplier
 * said, or its sheet.
 *
 * @returns null where nobody has said
 * @example daysUntil({ ownParts, orders: {}, today: '2026-12-01' }, { ...part, stock: null, leadDays: 5 }) // 5
 */
export function daysUntil(supply: Supply, part: AnyPart): number | null {
  const order = orderOf(supply, part)
  if ((part.stock ?? 0) > 0 || order?.state === 'arrived') return 0
  if (order?.state === 'ordered' && order.dueDay) return daysFrom(supply.today, order.dueDay)
  return order?.leadDays ?? part.leadDays
}

/** What makes two screws the same thread: a nut of one runs on the other. */
const THREAD = ['kind', 'maker', 'nominalDiameterMm', 'rootDiameterMm', 'leadMm', 'pitchDiameterMm'] as const
const sameThread = (a: PartOf['screw'], b: PartOf['screw']) => THREAD.every(key => a[key] === b[key])

/** The parts that a search keeps, by their kinds; none where the axis has none to keep. */
export function keptParts({ searchWithin, parts, drive }: Axis, catalogue: Catalogue) {
  const { keepScrew, keepNut, keepBearing, keepLink, keepMotor } = searchWithin
  const link = hasBelt(drive) ? 'belt' : 'coupler'
  const chosen = <K extends PartKind>(keeps: boolean, kind: K): PartOf[K] | null =>
    (keeps && (catalogue[kind] as ReadonlyMap<string, PartOf[K]>).get(parts[kind] ?? '')) || null
  return {
    screw: chosen(keepScrew || keepNut, 'screw'),
    bearing: chosen(keepBearing, 'bearing'),
    coupler: chosen(keepLink && link === 'coupler', 'coupler'),
    belt: chosen(keepLink && link === 'belt', 'belt'),
    motor: chosen(keepMotor, 'motor'),
  }
}

/** What a search of an axis keeps to, as it is set on its sheet. */
export function withinOf(axis: Axis, catalogue: Catalogue, supply: Supply): Within {
  const { searchWithin: given } = axis
  const kept = keptParts(axis, catalogue)
  const own = new Set(
    [supply.ownParts, supply.shopParts ?? {}]
      .flatMap(Object.values<OwnParts[PartKind]>)
      .flatMap(parts => parts.map(({ id }) => id)),
  )
  const most = (limit: number | null) => limit ?? Number.POSITIVE_INFINITY
  const isKept = <K extends PartKind>(kind: K, part: PartOf[K]): boolean => {
    if (kind === 'screw' && kept.screw)
      return given.keepNut ? part.id === kept.screw.id : sameThread(part as PartOf['screw'], kept.screw)
    if ((kind === 'coupler' && kept.belt) || (kind === 'belt' && kept.coupler)) return false
    const keeps = kept[kind as Exclude<PartKind, 'brake'>]
    return !keeps || keeps.id === part.id
  }
  const isLinkWanted = (kind: PartKind) =>
    given.transmission === 'either' ||
    (kind !== 'coupler' && kind !== 'belt') ||
    (kind === 'belt') === (given.transmission === 'belt')
  const daysOf = (part: AnyPart) => daysUntil(supply, part)
  return {
    takes: (kind, part) =>
      isLinkWanted(kind) &&
      isKept(kind, part) &&
      (!given.onlyOwn || own.has(part.id)) &&
      (!given.onlyHere || isHere(supply, part)) &&
      // What nobody knows to come in time does not.
      (given.mostDays === null || (daysOf(part) ?? Number.POSITIVE_INFINITY) <= given.mostDays),
    endsOf: () => (given.keepEnds ? [axis.ends] : SCREW_ENDS),
    mostPriceEur: most(given.mostPriceEur),
    mostHeightMm: most(given.mostHeightMm),
    mostMassKg: most(given.mostMassKg),
    daysOf,
  }
}

/** What a search keeps to, thing by thing: how it is lifted, and how it is said. */
const GIVEN: readonly {
  lift: (given: SearchWithin) => Partial<SearchWithin>
  words: (axis: Axis, catalogue: Catalogue, units: UnitSystem) => string | null
}[] = [
  {
    lift: () => ({ keepScrew: false, keepNut: false }),
    words: (axis, catalogue) => {
      const { screw } = keptParts(axis, catalogue)
      return screw && (axis.searchWithin.keepNut ? `with ${screw.name}` : `with the thread of ${screw.name}`)
    },
  },
  {
    lift: () => ({ keepEnds: false }),
    words: ({ searchWithin, ends }) =>
      searchWithin.keepEnds ? `with its screw ${SCREW_ENDS_WORDS[ends]}` : null,
  },
  ...(['bearing', 'motor'] as const).map(kind => ({
    lift: () => (kind === 'bearing' ? { keepBearing: false } : { keepMotor: false }),
    words: (axis: Axis, catalogue: Catalogue) => {
      const part = keptParts(axis, catalogue)[kind]
      return part && `with the ${kind === 'motor' ? 'motor' : 'bearings'} you have, ${part.name}`
    },
  })),
  {
    lift: () => ({ keepLink: false }),
    words: (axis, catalogue) => {
      const { coupler, belt } = keptParts(axis, catalogue)
      const part = coupler ?? belt
      return part && `with ${part.name}`
    },
  },
  {
    lift: () => ({ transmission: 'either' }),
    words: ({ searchWithin: { transmission } }) =>
      ({ either: null, direct: 'without a belt', belt: 'with a belt' })[transmission],
  },
  {
    lift: () => ({ onlyHere: false }),
    words: ({ searchWithin }) => (searchWithin.onlyHere ? 'of what is on the shelf or ordered' : null),
  },
  {
    lift: () => ({ onlyOwn: false }),
    words: ({ searchWithin }) => (searchWithin.onlyOwn ? 'of our own parts alone' : null),
  },
  {
    lift: () => ({ mostPriceEur: null }),
    words: ({ searchWithin: { mostPriceEur: most } }) =>
      most === null ? null : `for at most ${money(most)}`,
  },
  {
    lift: () => ({ mostHeightMm: null }),
    words: ({ searchWithin: { mostHeightMm: most } }, _, units) =>
      most === null ? null : `at most ${saySold(most, units)} high`,
  },
  {
    lift: () => ({ mostMassKg: null }),
    words: ({ searchWithin: { mostMassKg: most } }, _, units) =>
      most === null ? null : `of at most ${say(most, 'mass', units)}`,
  },
  {
    lift: () => ({ mostDays: null }),
    words: ({ searchWithin: { mostDays: most } }) =>
      most === null ? null : `here within ${most} ${most === 1 ? 'day' : 'days'}`,
  },
]

/** One thing that a search keeps to, in words, and the axis without it. */
export interface GivenThing {
  words: string
  without: Axis
}

/**
 * All that a search keeps to, as it is said with its answer.
 *
 * @example givenThings({ ...axis, searchWithin: { ...none, transmission: 'direct' } }, CATALOGUE, 'mm')[0]?.words // 'without a belt'
 */
export const givenThings = (axis: Axis, catalogue: Catalogue, units: UnitSystem): GivenThing[] =>
  GIVEN.flatMap(({ lift, words }) => {
    const said = words(axis, catalogue, units)
    if (!said) return []
    const searchWithin = { ...axis.searchWithin, ...lift(axis.searchWithin) }
    return [{ words: said, without: { ...axis, searchWithin } }]
  })

/** The parts of a kind that may go into a drive. */
export const takenParts = <K extends PartKind>(
  catalogue: Catalogue,
  { takes }: Within,
  kind: K,
): PartOf[K][] =>
  [...(catalogue[kind] as ReadonlyMap<string, PartOf[K]>).values()].filter(part => takes(kind, part))

/** Nothing given at all: the whole list, as long as anything takes. */
export const ANYTHING: Within = {
  takes: () => true,
  endsOf: () => SCREW_ENDS,
  mostPriceEur: Number.POSITIVE_INFINITY,
  mostHeightMm: Number.POSITIVE_INFINITY,
  mostMassKg: Number.POSITIVE_INFINITY,
  daysOf: ({ leadDays }) => leadDays,
}
