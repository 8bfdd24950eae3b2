import type { Stage } from '../document/stages'
import type { SheetId } from '../evaluation/ids'
import { dayAfter } from '../planning/days'
import { dayWords } from '../units/dateWords'
import { sentenceCase } from '../units/sentenceCase'

/** Something that a machine asks for on a day. */
export interface Due {
  /** The same as long as it is the same thing: the id of a line, of a row, or of an axis with what is asked of it. */
  key: string
  kind: 'fix' | 'grease' | 'upkeep' | 'proof'
  /** None where it is about the whole machine. */
  axisId: string | null
  /** What is to be done, with the axis that it is on: "X: grease it". */
  title: string
  /** None while it is not known, or not asked for on a day. */
  day: string | null
  /** Why on that day, or why on none. */
  because: string
  /** What belongs to it, such as the points that are greased. */
  details: string
  /** Whether nobody should run the machine, or take it over, until it is mended. */
  isSafety: boolean
  stage: Stage
  sheet: SheetId
}

/** Days before it is due that something is named beforehand. */
const SOON_DAYS = 7

/** What is asked for, in words: with since when, or from when on. */
export interface Asked {
  due: Due
  words: string
  when: 'safety' | 'now' | 'soon'
}

/**
 * What is due by a day or concerns safety, and what is due within a week after, in the order given.
 *
 * @param today as `2026-12-02`
 * @example askedOn([{ ...due, title: 'X: grease it', day: '2026-12-01' }], '2026-12-02')[0]?.words // 'X: grease it; due since 1 Dec 2026'
 */
export const askedOn = (dues: readonly Due[], today: string): Asked[] =>
  dues.flatMap((due): Asked[] => {
    const { day, isSafety, title } = due
    const isDue = day !== null && day <= today
    const isSoon = day !== null && !isDue && day <= dayAfter(today, SOON_DAYS)
    if (!isSafety && !isDue && !isSoon) return []
    const when = day === null ? '' : `due ${isDue ? 'since' : 'on'} ${dayWords(day)}`
    return [
      {
        due,
        words: [sentenceCase(title), isSafety && 'it concerns safety', when].filter(Boolean).join('; '),
        when: isSafety ? 'safety' : isDue ? 'now' : 'soon',
      },
    ]
  })
