import type { Axis } from './axis'

// When something that readings of an axis rest on was last changed: what was read before says nothing of it as it is.

/** What a line of the log is about, where it is about the drive or the ways. */
const TOUCHES =
  /\b(bearings?|blocks?|nuts?|locknuts?|couplers?|couplings?|hubs?|belts?|pulleys?|gibs?|motors?|ways|rails?|screws?|shims?|bolts?|spacers?|preload)\b/i

/** What stands over a part of the drive is none of it: "guard of the belt", "belt cover". */
const GUARDS =
  /\b(?:guards?|covers?|shields?|lids?)\s+(?:of|on|over|for)\s+(?:the\s+)?\w+|\b\w+\s+(?:guards?|covers?|shields?|lids?)\b/gi

/** What was changed, in a few words. */
const LONGEST = 200

/** Whether anything was read on an axis that a change could make old. */
const isRead = (axis: Axis): boolean =>
  Object.values(axis).some(
    value =>
      Array.isArray(value) &&
      value.some(row => typeof row === 'object' && row !== null && 'startedAt' in row),
  )

/** Notes that something of an axis was changed; what is older than what stands there, or before anything was read, changes nothing. */
export function touch(axis: Axis, at: string, what: string): void {
  if ((axis.touched && axis.touched.at > at) || !isRead(axis)) return
  axis.touched = { at, what: what.trim().replace(/\.$/, '').slice(0, LONGEST) || 'changed' }
}

/**
 * Whether a line that somebody writes into the log is about what readings of an axis rest on.
 *
 * @example isAboutDrive('Foil under the far block') // true
 * @example isAboutDrive('Guard of the belt is taped on') // false
 */
export const isAboutDrive = (text: string): boolean => TOUCHES.test(text.replace(GUARDS, ''))
