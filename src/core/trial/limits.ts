import { type Outcome, SHEETS_TRIED, type Tried } from './builder'
import type { SummaryTable } from './summary'

// What the product is held to on axes of known truth: a run that breaks one of these fails.

/** A limit, and what came of it. */
export interface Held {
  what: string
  /** How many of how many. */
  part: number
  of: number
  limit: number
  /** Whether the share must not be less than the limit; else it must not be more. */
  least: boolean
  /** What comes to how many, where that is no share of them: minutes of searches. */
  unit?: 'min'
}

/** A trial on one sheet with, where the hand slipped, what the sheet says first of the same readings without the slip. */
export type Told = Outcome & { straightFirst: Outcome['first'] | undefined }

/** Slips that are to be asked about; a gauge read the other way and kilograms are told by what they are held against. */
const ASKED_ABOUT = ['lost-minus', 'wrong-unit', 'slipped-digit', 'creeping-base', 'knock'] as const
/** Sheets that cannot tell by what is read alone, and say what is to be done instead: that is their word, not a stop. */
const ASK_BY_DESIGN: readonly Tried[] = ['preload', 'circle']

const sum = (all: readonly Outcome[], figure: (one: Outcome) => number) =>
  all.reduce((so, one) => so + figure(one), 0)
const count = <T>(all: readonly T[], is: (one: T) => boolean) => all.filter(is).length
const ordersOf = ({ better, same, worse }: Outcome) => better + same + worse

/** Whether a slip makes the sheet say something else than it would, and whether it asks then. */
const decides = ({ straightFirst, first }: Told) => straightFirst !== undefined && straightFirst !== first
const asks = ({ first }: Told) => first === 'unknown' || first === null

/**
 * What trials came to against what the product is held to.
 *
 * @param outcomes of axes with one fault at most
 */
export function heldTo(outcomes: readonly Told[]): Held[] {
  const straight = outcomes.filter(({ slip }) => slip === null)
  const sound = straight.filter(({ isSound }) => isSound)
  const lost = straight.filter(
    ({ sheet, faults, wasRight }) => sheet === 'lostSteps' && faults.includes('lost-steps') && !wasRight,
  )
  const ordered = straight.filter(({ isAbout, named }) => isAbout && named !== null)
  const holds = outcomes.filter(({ last }) => last === 'holds')
  return [
    {
      what: 'Orders that make the axis worse',
      part: sum(outcomes, ({ worse }) => worse),
      of: sum(outcomes, ordersOf),
      limit: 0.005,
      least: false,
    },
    {
      what: 'Said to hold in the end while it does not',
      part: count(holds, ({ falseProof }) => falseProof),
      of: holds.length,
      limit: 0.01,
      least: false,
    },
    {
      what: 'Cause named by the first order',
      part: count(ordered, ({ named }) => named === true),
      of: ordered.length,
      limit: 0.95,
      least: true,
    },
    {
      what: 'Exact lost cycles told',
      part: count(lost, ({ first, named }) => first === 'fails' && named === true),
      of: lost.length,
      limit: 0.98,
      least: true,
    },
    ...ASKED_ABOUT.map(slip => {
      const decided = outcomes.filter(one => one.slip === slip && decides(one))
      return {
        what: `Asked about where it decides: ${slip.replace('-', ' ')}`,
        part: count(decided, asks),
        of: decided.length,
        limit: 0.95,
        least: true,
      }
    }),
    ...(Object.keys(SHEETS_TRIED) as Tried[])
      .filter(sheet => !ASK_BY_DESIGN.includes(sheet))
      .map(sheet => {
        const those = sound.filter(one => one.sheet === sheet)
        return {
          what: `Sound axes stopped or advised wrongly: ${sheet}`,
          part: count(those, ({ first, touchedSound }) => first !== 'holds' || touchedSound),
          of: those.length,
          limit: 0.02,
          least: false,
        }
      }),
  ]
}

/** Whether a limit is kept; what was never tried keeps it. */
export const isKept = ({ part, of, limit, least }: Held): boolean =>
  of === 0 || (least ? part / of >= limit : part / of <= limit)

/** The limits as a table. */
export const limitsTable = (all: readonly Held[]): SummaryTable => ({
  title: 'What it is held to',
  heads: ['What', 'Measured', 'Limit', 'Kept'],
  rows: all.map(held => {
    const { what, part, of, limit, least, unit } = held
    const said = (value: number) => (unit ? `${value.toFixed(1)} ${unit}` : `${(100 * value).toFixed(1)} %`)
    return [
      what,
      of === 0 ? '–' : unit ? `${said(part / of)}, of ${of}` : `${part} of ${of} (${said(part / of)})`,
      `${least ? 'at least' : 'at most'} ${said(limit)}`,
      isKept(held) ? 'yes' : 'NO',
    ]
  }),
})
