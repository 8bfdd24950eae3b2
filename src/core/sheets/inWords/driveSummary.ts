import type { Axis } from '../../document/axis'
import { DIMENSIONS } from '../../document/dimensions'

import { askFor } from '../../evaluation/check'
import { type Finding, MOST_MARGIN, shareUsed } from '../../evaluation/finding'
import { stillToMeasure } from '../../machine/stillToMeasure'
import { say } from '../../units/print'
import type { UnitSystem } from '../../units/quantity'

/** From this many times over on, a check is generous. */
const GENEROUS = 3

/** No sentence names more things than these. */
const MOST_NAMED = 3

const list = (names: string[]) =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`

/**
 * The drive of an axis in a few plain sentences: what limits it, what is generous, and what is assumed.
 *
 * @param findings of the whole axis
 * @returns one to four sentences, the weightiest first
 */
export function driveSummary(axis: Axis, findings: Finding[], units: UnitSystem): string[] {
  const drive = findings.filter(({ ofDrive }) => ofDrive)
  const open = drive.find(({ state, missing }) => state === 'unknown' && missing)
  if (open?.missing) return [`The drive cannot be judged as a whole yet. ${askFor(open.missing)}`]
  const unclear = drive.filter(({ state, missing }) => state === 'unknown' && !missing)
  const failing = drive.filter(({ state }) => state === 'fails')
  const close = drive.filter(({ state }) => state === 'close')
  const graded = drive.filter(({ margin }) => margin !== null)
  // What no drive can change, such as the travel of the ways, does not limit the drive.
  const tightest = graded
    .filter(({ rankMargin }) => rankMargin !== null)
    .toSorted((a, b) => (shareUsed(b) ?? 0) - (shareUsed(a) ?? 0))[0]
  const lower = ({ title }: Finding) => title.toLowerCase()
  const said: string[] = []
  if (failing.length)
    said.push(`This drive does not hold: ${list(failing.map(lower))}. Its ways out are in the verdicts.`)
  else if (close.length) said.push(`This drive works, but is close in ${list(close.map(lower))}.`)
  // In the words of its verdict, so that no figure of one thing is said in two ways.
  else if (tightest)
    said.push(
      `Everything holds. What limits this axis is ${lower(tightest)}, which has least in hand: ${say(shareUsed(tightest) ?? 0, 'share', units, 0)} of its limit is used. ${tightest.sentence}`,
    )
  if (unclear.length)
    said.push(`${list(unclear.map(({ title }) => title))} cannot be worked out as it stands.`)
  const generous = graded
    .filter(
      ({ margin, state }) => state === 'holds' && (margin ?? 0) >= GENEROUS && (margin ?? 0) < MOST_MARGIN,
    )
    .toSorted((a, b) => (b.margin ?? 0) - (a.margin ?? 0))
    .slice(0, MOST_NAMED)
  const [most] = generous
  if (most)
    said.push(
      `Generous: ${list(generous.map(lower))}, up to ${say(most.margin ?? 0, 'ratio', units, 0)} times over.`,
    )
  const assumed = stillToMeasure(axis).map(key => DIMENSIONS[key].label.toLowerCase())
  if (assumed.length) {
    const more = assumed.length - MOST_NAMED
    const named =
      more > 0 ? `${assumed.slice(0, MOST_NAMED).join('; ')}; and ${more} more` : assumed.join('; ')
    said.push(`Still assumed: ${named}. Measure before you order.`)
  }
  return said
}
