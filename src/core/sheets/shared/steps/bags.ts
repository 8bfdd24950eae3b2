import type { Axis } from '../../../document/axis'
import { hasCounterbalance } from './counterbalance'
import type { Slide } from './model'

/** What comes off an axis and is kept in a bag. */
export interface Thing {
  id: string
  /** The bag of its axis: bag 3 of axis X is called X3. */
  bag: number
  what: string
  from: string
  /** The step that takes it out of its bag again; none where the conversion has no use for it. */
  backAt: string | null
}

const thing = (bag: number, id: string, what: string, from: string, backAt: string | null = null): Thing => ({
  id,
  bag,
  what,
  from,
  backAt,
})

const WHEEL = (kept: boolean): Thing[] => [
  thing(1, 'wheel', 'Handwheel and its dial', 'end of the screw', kept ? 'wheel-back' : null),
  thing(1, 'key', 'Key of the shaft', 'end of the screw', kept ? 'wheel-back' : null),
]

/** What comes off, by what the axis moves. */
const THINGS: Record<Slide, (kept: boolean, balanced: boolean) => Thing[]> = {
  table: kept => [
    ...WHEEL(kept),
    thing(2, 'race', 'Bearing race', 'end bracket'),
    thing(2, 'bracket-screws', 'Screws of the end bracket', 'end of the table'),
    thing(2, 'dowels', 'Dowels of the end bracket', 'end of the table'),
    thing(3, 'gib', 'Gib', 'side of the table', 'gib-in'),
    thing(3, 'gib-screws', 'Gib screws', 'both ends of the gib', 'gib-in'),
    thing(4, 'old-nut', 'Old nut and its screws', 'saddle'),
  ],
  saddle: kept => [
    thing(1, 'guards', 'Chip guards and their screws', 'front and back of the saddle', 'greased'),
    thing(2, 'nut-screws', 'Screws of the nut', 'behind, in the base'),
    thing(3, 'gib', 'Gib', 'side of the saddle', 'gib-in'),
    thing(3, 'gib-screws', 'Gib screws of both ends', 'both ends of the gib', 'gib-in'),
    thing(4, 'old-screw', 'Old screw and nut', 'base'),
    ...WHEEL(kept).map(one => ({ ...one, bag: 5 })),
  ],
  head: (kept, balanced) => [
    ...WHEEL(kept),
    thing(2, 'springs', 'Counterbalance, its pins and ends', 'column', balanced ? 'balance-loaded' : null),
    thing(4, 'old-screw', 'Old screw, nut and its bracket', 'column'),
  ],
  quill: kept => [...WHEEL(kept), thing(4, 'old-screw', 'Pinion, old screw and nut', 'head')],
  knee: kept => [...WHEEL(kept), thing(4, 'old-screw', 'Old screw with its nut and bevel gears', 'base')],
  carriage: kept => [
    thing(1, 'half-nut', 'Half nut, its lever and pins', 'apron'),
    thing(2, 'apron-screws', 'Screws of the apron', 'under the saddle', 'apron-back'),
    thing(2, 'apron-dowels', 'Dowels of the apron', 'under the saddle', 'apron-back'),
    thing(3, 'lead-screw', 'Lead screw with its bracket and screws', 'bed'),
    thing(4, 'keep-plates', 'Keep plates and their screws', 'under the bed', 'gib-in'),
    ...WHEEL(kept).map(one => ({ ...one, bag: 5 })),
  ],
  'cross-slide': kept => [
    ...WHEEL(kept),
    thing(2, 'nut-screws', 'Screws of the nut, and the nut', 'top of the slide'),
    thing(3, 'gib', 'Gib', 'side of the slide', 'gib-in'),
    thing(3, 'gib-screws', 'Gib screws and their locknuts', 'side of the slide', 'gib-in'),
    thing(4, 'old-screw', 'Old screw with its bush', 'front of the saddle'),
  ],
  'rail-carriage': () => [],
}

/**
 * What comes off an axis and goes into bags; nothing of a kit, or while nobody has said what the axis moves.
 *
 * @example thingsOf(table).filter(({ bag }) => bag === 3).map(({ id }) => id) // ['gib', 'gib-screws']
 */
export const thingsOf = (axis: Pick<Axis, 'slide' | 'drive' | 'counterbalance' | 'dimensions'>): Thing[] =>
  axis.slide ? THINGS[axis.slide](axis.drive.handwheelKept, hasCounterbalance(axis)) : []

/** What a bag is called: the name of its axis, and its number. */
export const bagName = (axis: Pick<Axis, 'name'>, bag: number): string => `${axis.name}${bag}`
