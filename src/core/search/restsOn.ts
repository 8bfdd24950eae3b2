import type { Axis } from '../document/axis'
import type { ScrewEnds } from '../document/kinds'
import type { Catalogue } from '../document/parts/types'
import type { Stage } from '../document/stages'
import type { EvaluationContext } from '../evaluation/context'
import type { Finding } from '../evaluation/finding'
import { FAR_END_SHARE } from '../machine/drive/price'
import { whip } from '../machine/drive/strength'
import { efficiency } from '../machine/drive/torque'
import { isBelted } from '../machine/drive/transmission'
import { screwSag } from '../machine/sizing/screw'
import { freeLengthMm } from '../machine/travel/placement'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { HELD_BY_BELT } from '../sheets/parts/driveChecks'
import { money, say } from '../units/print'
import type { UnitSystem } from '../units/quantity'
import type { DrivePoint } from './field'
import { axisWith } from './levels'

/** Something that a drive rests on and that is not so yet, or that was given up for it. */
export interface RestsOn {
  title: string
  sentence: string
}

/** Whether something holds the end of a screw that the motor does not turn. */
export const holdsFarEnd = (ends: ScrewEnds): boolean => ends !== 'fixed-free'

/** Where a drive that is not bought yet can stand worse: what was aligned and proved belongs to the one before. */
const PLANNED = new Set<Stage>(['survey', 'size', 'room'])
const isPlanned = ({ stage, checkId }: Finding) => PLANNED.has(stage) || checkId === 'controller.pulses'

const WORSE = ['holds', 'unknown', 'close', 'fails']
const isWorse = (after: Finding, before: Finding | null) =>
  WORSE.indexOf(after.state) > WORSE.indexOf(before?.state ?? 'holds')

/** A table of the lead that nobody has made, where the place over the travel rests on one. */
function onLeadTable(t: EvaluationContext): RestsOn[] {
  const { drive, controller } = t.wholeAxis
  const asIs = t.finding('axis.positionBudget')
  const made = drive.leadTable && controller.leadTableIn
  if (!asIs || made) return []
  const without = drive.leadTable
    ? t.next({ ...t.wholeAxis, drive: { ...drive, leadTable: false } }).finding('axis.positionBudget')
    : asIs
  if (!without || without.state === 'holds') return []
  return [
    {
      title: 'A table of the lead, which nobody has made yet',
      sentence: `Its lead measured and corrected in the controller, a place is right; without that: ${without.sentence}`,
    },
  ]
}

/** A belt that a load hangs on, where it would turn the screw once the belt is gone. */
const onBelt = (t: EvaluationContext): RestsOn[] =>
  isBelted(t) && t.dimension('inclineDeg') !== 0 && efficiency(t).backward > 0
    ? [{ title: 'A belt that holds the load', sentence: HELD_BY_BELT }]
    : []

/** Limits that were set for this axis, where the usual ones would not hold. */
function onOwnLimits(t: EvaluationContext): RestsOn[] {
  const axis = t.wholeAxis
  if (Object.keys(axis.limits).length === 0) return []
  const usual = t.next({ ...axis, limits: {} })
  return t.findings.flatMap(({ checkId, title, ofDrive, state, ownLimits }) =>
    ofDrive && ownLimits && state === 'holds' && usual.finding(checkId)?.state !== 'holds'
      ? [{ title: `Another limit than usual: ${title.toLowerCase()}`, sentence: ownLimits.because }]
      : [],
  )
}

/**
 * What a drive rests on: what is close on it although its figures hold, what it makes worse elsewhere, a table of the lead
 * that nobody has made, and limits that were given up.
 */
export function restsOn(axis: Axis, catalogue: Catalogue, point: DrivePoint, units: UnitSystem): RestsOn[] {
  const today = evaluateAxis(axis, catalogue, units)
  const taken = today.next(axisWith(axis, point))
  const table = onLeadTable(taken)
  const open = taken.findings.filter(
    finding =>
      (finding.state === 'close' || finding.state === 'fails') &&
      !(finding.checkId === 'axis.positionBudget' && table.length > 0) &&
      (finding.ofDrive || (isPlanned(finding) && isWorse(finding, today.finding(finding.checkId)))),
  )
  return [
    ...table,
    ...onBelt(taken),
    ...onOwnLimits(taken),
    ...open.map(({ title, sentence }) => ({ title, sentence })),
  ]
}

/** How far a level screw hangs at its worst, between its holds or beyond the one that it has. */
function sagUm(t: EvaluationContext): number {
  const { ends } = t.axis
  const lengthMm = freeLengthMm(t)
  return screwSag({
    rootDiameterMm: t.part('screw').rootDiameterMm,
    lengthMm,
    ends,
    positionMm: ends === 'fixed-free' ? lengthMm : lengthMm / 2,
  }).sagUm
}

/** What the support of the far end buys against a free one of the same drive, and what it costs. */
export function supportWords(axis: Axis, catalogue: Catalogue, point: DrivePoint, units: UnitSystem): string {
  const held = evaluateAxis(axisWith(axis, point), catalogue, units)
  const free = held.next(axisWith(axis, { ...point, ends: 'fixed-free' }))
  const rpm = (t: EvaluationContext) => say(whip(t).allowableSpeedRpm, 'rotation', units)
  const level = held.dimension('inclineDeg') === 0
  const hangs = level
    ? ` and hangs ${say(sagUm(held), 'smallLength', units)} instead of ${say(sagUm(free), 'smallLength', units)}`
    : ''
  const bearings = held.part('bearing').priceEur * FAR_END_SHARE[point.ends] * axis.drive.screws
  return `With its far end held the screw may turn at ${rpm(held)} before it whips, not ${rpm(free)} as with a free one${hangs}; its line is set by two blocks and stays. That is ${money(bearings)} of its price, and a block to make and align.`
}
