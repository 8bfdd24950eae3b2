import { groupBy } from 'es-toolkit'
import type { Axis } from '../document/axis'
import { hasBelt } from '../document/axis'
import { GOALS } from '../document/dimensions'
import { SCREW_ENDS, SCREW_ENDS_WORDS } from '../document/kinds'
import type { Catalogue } from '../document/parts/types'
import { attempt } from '../evaluation/attempt'
import type { EvaluationContext } from '../evaluation/context'
import { shareUsed } from '../evaluation/finding'
import type { CheckId } from '../evaluation/ids'
import { type LimitFacts, limitsOf } from '../evaluation/limits'
import { breaks, MORE_USE, type Recipe, type Remedy, type Trial } from '../evaluation/remedy'
import { MOST_PRELOAD_SHARE } from '../machine/commonRemedies'
import { priceEur } from '../machine/costs'
import { currentAsSetA } from '../machine/drive/motorTorque'
import { putInDrive } from '../machine/driveEdits'
import { LIMITS } from '../sheets'
import { CALM_MICROSTEPS } from '../sheets/parts/motorChecks'
import { optionsFor, remedyOf, trialOf } from '../sheets/remediesFor'
import { say } from '../units/print'
import type { UnitSystem } from '../units/quantity'
import { changesFrom, keptSlots } from './changes'
import { type DrivePoint, fieldOf } from './field'
import type { DriveSlot } from './slots'
import { type Supply, takenParts, type Within, withinOf } from './within'

/** One of the changes of a way out. */
interface Move {
  /** What it moves: no way out moves the same thing twice. */
  of: string
  words: string
  change: Recipe
}

const both =
  (a: Move, b: Move): Recipe =>
  draft => {
    a.change(draft)
    b.change(draft)
  }

/** Settings are tried at these shares of what they are. */
const CURRENT_SHARES = [0.9, 0.8, 0.7, 0.6, 0.5]
const ACCELERATION_SHARES = [0.75, 0.5]
const PRELOAD_SHARES = [0.3, 0.5, 0.8, 1]

const tenth = (value: number) => Math.round(value * 10) / 10

/** What can be set otherwise on an axis without buying anything. */
function settings({ context }: Trial): Move[] {
  const { wholeAxis: axis, catalogue, units } = context
  const motor = catalogue.motor.get(axis.parts.motor ?? '')
  const screw = catalogue.screw.get(axis.parts.screw ?? '')
  const currentA = motor && currentAsSetA(axis.drive, motor)
  const currents =
    motor && currentA ? [...CURRENT_SHARES.map(share => tenth(share * currentA)), motor.ratedCurrentA] : []
  const acceleration = axis.goals.accelerationMmPerS2
  const accelerations = ACCELERATION_SHARES.map(share => Math.round(share * acceleration)).filter(
    value => value >= GOALS.accelerationMmPerS2.min,
  )
  const mostN = MOST_PRELOAD_SHARE * (screw?.dynamicCapacityN ?? 0)
  const preloads = screw && screw.preloadN > 0 ? PRELOAD_SHARES.map(share => Math.round(share * mostN)) : []
  return [
    ...currents
      .filter(value => value !== currentA)
      .map(value => ({
        of: 'current',
        words: `driver to ${value} A of ${motor?.ratedCurrentA} A`,
        change: (draft: Axis) => {
          draft.drive.currentA = value
        },
      })),
    ...accelerations.map(value => ({
      of: 'acceleration',
      words: `acceleration down to ${say(value, 'acceleration', units)}`,
      change: (draft: Axis) => {
        draft.goals.accelerationMmPerS2 = value
      },
    })),
    ...preloads.map(value => ({
      of: 'preload',
      words: `preload of the nut ${say(value, 'force', units)}`,
      change: (draft: Axis) => {
        draft.preloadN = value
      },
    })),
    ...(axis.drive.leadTable
      ? []
      : [
          {
            of: 'leadTable',
            words: 'the lead measured and corrected from a table in the controller',
            change: (draft: Axis) => {
              draft.drive.leadTable = true
            },
          },
        ]),
    ...(axis.drive.microsteps < CALM_MICROSTEPS
      ? [
          {
            of: 'microsteps',
            words: `${CALM_MICROSTEPS} microsteps to a step`,
            change: (draft: Axis) => {
              draft.drive.microsteps = CALM_MICROSTEPS
            },
          },
        ]
      : []),
  ]
}

/** How much of its limit the check uses after a change; without end where that is not known. */
const usedAfter = ({ after, checkId }: Trial, change: Recipe): number => {
  const finding = after(change).finding(checkId)
  return (finding && finding.state !== 'unknown' && shareUsed(finding)) || Number.POSITIVE_INFINITY
}

/** The parts that a search would put in some places of a drive, as a change of the axis that leaves all else as it is. */
const taking =
  (point: DrivePoint, changed: readonly DriveSlot[]): Recipe =>
  draft => {
    for (const slot of changed)
      if (slot === 'ends') draft.ends = point.ends
      else if (slot !== 'link') putInDrive(draft, slot, point[slot])
      else if (point.belt !== null) putInDrive(draft, 'belt', point.belt)
      else if (point.coupler !== null) putInDrive(draft, 'coupler', point.coupler)
  }

const slotWords = (catalogue: Catalogue, point: DrivePoint, slot: DriveSlot): string => {
  switch (slot) {
    case 'ends':
      return `the screw ${SCREW_ENDS_WORDS[point.ends]}`
    case 'link':
      return point.belt === null
        ? (catalogue.coupler.get(point.coupler ?? '')?.name ?? '')
        : `a belt: ${catalogue.belt.get(point.belt)?.name}`
    default:
      return (catalogue[slot] as ReadonlyMap<string, { name: string }>).get(point[slot])?.name ?? ''
  }
}

/** Every part that could stand in a place of the drive by itself, as a move: of each kind the cheapest first. */
function partMoves({ context }: Trial, within: Within): Move[] {
  const { wholeAxis: axis, catalogue } = context
  const idle = hasBelt(axis.drive) ? 'coupler' : 'belt'
  const screw = catalogue.screw.get(axis.parts.screw ?? '')
  const ends = screw ? within.endsOf(screw) : SCREW_ENDS
  return [
    ...(['screw', 'bearing', 'motor', 'coupler', 'belt'] as const).flatMap(kind => {
      // What is chosen for the other kind of drive is another choice too.
      const now = kind === idle ? null : axis.parts[kind]
      return takenParts(catalogue, within, kind)
        .filter(({ id }) => id !== now)
        .toSorted((a, b) => a.priceEur - b.priceEur)
        .map(({ id, name }) => ({
          of: kind === 'coupler' || kind === 'belt' ? 'link' : kind,
          words: name,
          change: (draft: Axis) => putInDrive(draft, kind, id),
        }))
    }),
    ...ends
      .filter(one => one !== axis.ends)
      .map(one => ({
        of: 'ends',
        words: `the screw ${SCREW_ENDS_WORDS[one]}`,
        change: (draft: Axis) => {
          draft.ends = one
        },
      })),
  ]
}

/** So many ways out of two changes are shown. */
const MOST_SHOWN = 3

interface Found {
  words: readonly string[]
  tried: EvaluationContext
  isFree: boolean
}

/** What a change that mends the check and breaks nothing makes of the axis; null where it does not. The check itself is asked first. */
function mended(trial: Trial, change: Recipe): EvaluationContext | null {
  const tried = trial.after(change)
  return tried.finding(trial.checkId)?.state === 'holds' && !breaks(trial, tried) ? tried : null
}

/** The settings that bring a check nearer, of each kind the one that brings it nearest. */
function helping(trial: Trial): Move[] {
  const now = usedAfter(trial, () => {})
  const best = new Map<string, { move: Move; used: number }>()
  for (const move of settings(trial)) {
    const used = usedAfter(trial, move.change)
    if (used < now * (1 - LEAST_HELP) && used < (best.get(move.of)?.used ?? Number.POSITIVE_INFINITY))
      best.set(move.of, { move, used })
  }
  return [...best.values()].map(({ move }) => move)
}
/** A setting that brings a check no nearer than this is no help. */
const LEAST_HELP = 0.01

/** Two moves that mend the check together; none where they do not. */
function pairOf(trial: Trial, a: Move, b: Move, isFree: boolean): Found[] {
  const tried = mended(trial, both(a, b))
  return tried ? [{ words: [a.words, b.words], tried, isFree }] : []
}

/** Two settings that mend the check together. */
const twoSettings = (trial: Trial, free: readonly Move[]): Found[] =>
  free.flatMap((a, index) => free.slice(index + 1).flatMap(b => pairOf(trial, a, b, true)))

/** A setting with the cheapest part of a place that mends the check together with it. */
function settingAndPart(trial: Trial, free: readonly Move[], within: Within): Found[] {
  const places = Object.values(groupBy(partMoves(trial, within), ({ of }) => of))
  return free.flatMap(setting =>
    places.flatMap(moves => {
      for (const move of moves) {
        const found = pairOf(trial, setting, move, false)
        if (found.length > 0) return found
      }
      return []
    }),
  )
}

/**
 * The limits of an axis by which a drive that mends one check and breaks no other holds in everything: of the others close is
 * enough, and what fails may go on failing as it does.
 */
function limitsForOne({ context, checkId }: Trial): Axis['limits'] {
  const failing = new Map(
    context.driveFindings.flatMap(({ state, limitKey, margin }) =>
      state === 'fails' && limitKey && margin ? [[limitKey, margin] as const] : [],
    ),
  )
  const own = context.finding(checkId)?.limitKey
  const { limits } = context.wholeAxis
  return Object.fromEntries(
    Object.values<LimitFacts>(LIMITS).flatMap(facts => {
      const { holds, close, sense } = limitsOf(limits[facts.key], facts)
      const set = limits[facts.key]
      if (facts.key === own) return set ? [[facts.key, set]] : []
      const margin = failing.get(facts.key)
      const asIs = margin && (sense === 'at-most' ? (holds / margin) * MORE_USE : (holds * margin) / MORE_USE)
      const enough = asIs ?? close
      return [[facts.key, { holds: enough, close: enough, because: '' }]]
    }),
  )
}

/** Two other parts of the drive, the cheapest for each two places of it. */
function twoParts(trial: Trial, within: Within): Found[] {
  const { wholeAxis, catalogue } = trial.context
  if (!keptSlots(wholeAxis)) return []
  const axis: Axis = { ...wholeAxis, limits: limitsForOne(trial) }
  const near: Within = {
    ...within,
    // Of another screw with other ends there are too many to be judged while somebody waits.
    endsOf: part => (part.id === axis.parts.screw ? within.endsOf(part) : [axis.ends]),
  }
  const field = attempt(() => fieldOf(axis, catalogue, near)).value
  if (!field) return []
  return (changesFrom(field, axis, 2, { least: 'price', margin: 1 }) ?? []).flatMap(({ point, changed }) => {
    const tried = mended(trial, taking(point, changed))
    const words = changed.map(slot => slotWords(catalogue, point, slot))
    return tried ? [{ words, tried, isFree: false }] : []
  })
}

/** Two changes that mend a check together, as remedies: settings that cost nothing first, then the cheapest. */
function twoChanges(trial: Trial, within: Within): Remedy[] {
  const free = helping(trial)
  const found = [
    ...twoSettings(trial, free),
    ...settingAndPart(trial, free, within),
    ...twoParts(trial, within),
  ].map(one => ({ ...one, eur: priceEur(one.tried) ?? Number.POSITIVE_INFINITY }))
  return found
    .toSorted((a, b) => Number(b.isFree) - Number(a.isFree) || a.eur - b.eur)
    .slice(0, MOST_SHOWN)
    .map(({ words, tried }) => {
      const label = words.join(', and ')
      return remedyOf(
        trial.context,
        trial.checkId,
        { label: `Both: ${label}`, done: { label: `Two changes: ${label}`, entry: `Changed: ${label}.` } },
        tried,
      )
    })
}

/**
 * The ways out of a finding that is close or fails: changes of one thing, and where none of these cures it but a wish given up,
 * of two things of the drive.
 *
 * @param supply what a search of this axis keeps to, pairs of changes keep to as well
 * @returns remedies that mend the check and break no other: settings first, then what is cheapest, wishes last
 */
export function waysOut(
  axis: Axis,
  catalogue: Catalogue,
  supply: Supply,
  units: UnitSystem,
  checkId: CheckId,
): Remedy[] {
  const trial = trialOf(axis, catalogue, units, checkId)
  const options = optionsFor(trial)
  const single = options.map(({ option, tried }) => remedyOf(trial.context, checkId, option, tried))
  const isCured = options.some(({ option }) => option.is !== 'wish')
  if (isCured || !trial.context.finding(checkId)?.ofDrive) return single
  return [...twoChanges(trial, withinOf(axis, catalogue, supply)), ...single]
}
