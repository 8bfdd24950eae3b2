import type { Axis } from '../document/axis'
import type { SheetId } from '../evaluation/ids'
import type { Tried } from '../trial/builder'

// Which sheets can be read on the virtual axis. A screen asks that before it has the axis: nothing else is in here.

/** Sheets that are read in one way, by what the trial calls them: the very same. */
const ALIKE = [
  'waysFriction',
  'gib',
  'rails',
  'flange',
  'screwLine',
  'preload',
  'runOut',
  'overhang',
  'drag',
  'square',
  'pushPull',
  'whereLost',
  'reversal',
  'fullTest',
  'lostSteps',
  'zeroTime',
  'oneTurn',
  'scale',
  'circle',
] as const satisfies readonly (Tried & SheetId)[]

/** What is read on a sheet of this axis: the shafts over their hubs or their pulleys; null where nothing can be. */
export function readingOf(sheet: SheetId, { drive }: Pick<Axis, 'drive'>): Tried | null {
  if (sheet === 'shafts') return drive.transmission === 'belt' ? 'belt' : 'coupler'
  return (ALIKE as readonly SheetId[]).includes(sheet) ? (sheet as (typeof ALIKE)[number]) : null
}
