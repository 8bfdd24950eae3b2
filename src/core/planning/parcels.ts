import type { Job } from '../document/job'
import type { PartKind } from '../document/kinds'
import type { Catalogue } from '../document/parts/types'
import { type OrderLine, orderList } from '../orders/orders'
import { DAY_MINUTES, daysBetween, type Now } from './days'
import type { TaskKind } from './taskKinds'

/** Something that has to come before work can go on. */
export interface Parcel {
  id: string
  title: string
  axisIds: string[]
  /** The task that takes it up. */
  into: TaskKind
  waitMinutes: number
  isOrdered: boolean
  /** Whether the day on which it was to come is over. */
  isLate: boolean
  /** Whether nobody has said how long it takes. */
  isGuess: boolean
}

/** What a parcel usually takes while nobody has said it. */
export const USUAL_LEAD_DAYS = 7
/** The post comes about then. */
const POST_MINUTE = 12 * 60

const INTO: Partial<Record<PartKind, TaskKind>> = {
  screw: 'assembly',
  bearing: 'block',
  coupler: 'motor',
  belt: 'motor',
  motor: 'motor',
  brake: 'motor',
}

/** From now until something is here. */
function waitOf({ state, leadDays, dueDay }: OrderLine, now: Now) {
  const fromLead = (leadDays ?? USUAL_LEAD_DAYS) * DAY_MINUTES
  const isOrdered = state === 'ordered'
  if (!isOrdered || dueDay === null)
    return { waitMinutes: Math.max(1, fromLead), isLate: false, isGuess: leadDays === null, isOrdered }
  const days = daysBetween(now.day, dueDay)
  const untilPost = days * DAY_MINUTES + POST_MINUTE - now.minute
  // What should have been here comes tomorrow at the earliest.
  return {
    waitMinutes: untilPost > 0 ? untilPost : DAY_MINUTES + POST_MINUTE - now.minute,
    isLate: days < 0,
    isGuess: false,
    isOrdered,
  }
}

/**
 * What still has to come: a parcel for each part, and one for all small things that making room or the build waits for.
 * What has arrived is none.
 */
export function parcelsOf(job: Job, catalogue: Catalogue, now: Now): Parcel[] {
  const idOf = new Map(job.axes.map(({ id, name }) => [name, id]))
  const open = orderList(job, catalogue).filter(({ state }) => state !== 'arrived')
  const axisIdsOf = ({ axes }: OrderLine) => axes.flatMap(name => idOf.get(name) ?? [])
  const isPart = ({ key }: OrderLine) => key.startsWith('part:')
  const parts = open.filter(isPart).flatMap(line => {
    const partId = line.key.slice('part:'.length)
    const kind = (Object.keys(INTO) as PartKind[]).find(one => catalogue[one].has(partId))
    if (!kind) return []
    const axisIds = axisIdsOf(line)
    return [
      {
        id: line.key,
        title: line.what,
        axisIds,
        into: INTO[kind] as TaskKind,
        ...waitOf(line, now),
      },
    ]
  })
  const small = (['room', 'build'] as const).flatMap(neededBy => {
    const lines = open.filter(line => !isPart(line) && line.neededBy === neededBy)
    if (lines.length === 0) return []
    const waits = lines.map(line => waitOf(line, now))
    const last = waits.reduce((a, b) => (b.waitMinutes > a.waitMinutes ? b : a))
    const axisIds = [...new Set(lines.flatMap(axisIdsOf))]
    return [
      {
        id: neededBy,
        title:
          neededBy === 'room'
            ? `Cutters, taps and the like (${lines.length})`
            : `Screws and the like (${lines.length})`,
        axisIds: axisIds.length > 0 ? axisIds : job.axes.map(({ id }) => id),
        into: (neededBy === 'room' ? 'cut' : 'assembly') as TaskKind,
        ...last,
        isOrdered: waits.every(({ isOrdered }) => isOrdered),
        isLate: waits.some(({ isLate }) => isLate),
        isGuess: waits.some(({ isGuess }) => isGuess),
      },
    ]
  })
  return [...parts, ...small]
}
