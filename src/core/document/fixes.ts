import { dayOrNone, flag, map, plain, record, type ValueOf, words, wordsOrNone } from '../field/field'
import { dayWords } from '../units/dateWords'

/** What the log says of a fix is shortened to this where it asks. */
export const LONGEST_FIX = 300

/** When a temporary fix asks to be mended, and whether nobody may take the machine over with it. */
export const FIX_TERMS = record('Temporary fix', {
  /** The axis that it is on; none when it is on the machine. */
  axisId: wordsOrNone('Axis', 40),
  text: words('What holds for now', LONGEST_FIX),
  untilDay: dayOrNone('To be mended by'),
  untilHours: plain('To be mended once the machine has run', [0, 1e6], { orNone: true, unit: 'h' }),
  isSafety: flag('It concerns safety'),
})
export type FixTerms = ValueOf<typeof FIX_TERMS>

/** What is asked of open temporary fixes, by the id of the line of the log that noted each. */
export const FIXES = map('Temporary fixes', FIX_TERMS, /^[\p{L}\p{N} ._-]{1,41}$/u)
export type Fixes = Readonly<ValueOf<typeof FIXES>>

/** Words of what keeps hands, and whoever stands there, whole. */
const SAFETY =
  /\b(guards?|covers?|e-?stops?|emergency|estops?|interlocks?|fuses?|earth(?:ed|ing)?|ground(?:ed|ing) wire|mains|limit switch(?:es)?|brakes?|counterweights?|counterbalances?|chucks?|shields?|doors?|relays?|contactors?)\b/i

/**
 * Whether a line is likely to be about safety; the builder has the last word.
 *
 * @example isAboutSafety('Guard of the belt is taped on') // true
 * @example isAboutSafety('Foil under the nut') // false
 */
export const isAboutSafety = (text: string): boolean => SAFETY.test(text)

/** What a fix is asked by when nobody has said anything. */
export const NO_TERMS: Pick<FixTerms, 'untilDay' | 'untilHours' | 'isSafety'> = {
  untilDay: null,
  untilHours: null,
  isSafety: false,
}
/** Whether anything is asked of a fix at all. */
export const asks = ({ untilDay, untilHours, isSafety }: typeof NO_TERMS): boolean =>
  untilDay !== null || untilHours !== null || isSafety

/**
 * What is asked of a fix, in words; none where nothing is.
 *
 * @example termsWords({ untilDay: '2026-12-20', untilHours: null, isSafety: true }) // 'concerns safety, to be mended by 20 Dec 2026'
 */
export const termsWords = ({ untilDay, untilHours, isSafety }: typeof NO_TERMS): string =>
  [
    isSafety && 'concerns safety',
    untilDay !== null && `to be mended by ${dayWords(untilDay)}`,
    untilHours !== null && `to be mended once the machine has run ${untilHours} h`,
  ]
    .filter(Boolean)
    .join(', ')
