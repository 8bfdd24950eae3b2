import { GRAVITY_M_PER_S2 } from '../constants'
import {
  DIMENSIONS,
  DRIVE_SIZES,
  type DriveSizeKey,
  GOALS,
  type GoalKey,
  ROOM,
  type RoomKey,
} from '../job/dimensions'
import { SECTION_FIELDS, type SectionField } from '../job/making'
import type { Axis, PartKind } from '../job/types'
import { bearingStack } from '../room/bearingStack'
import { blockInputs } from '../room/making'
import { SECTION_SIDES } from '../room/section'
import type { Catalogue } from '../sizing/parts'
import { SCREW_ENDS } from '../sizing/screw'
import { say } from '../units/print'
import { type QuantityKind, quantityFacts, type UnitSystem } from '../units/quantity'
import type { Choice } from './choice'
import type { Finding } from './finding'
import { SIDE_WORDS } from './roomChecks'

/** The free choices that can mend each check, in the order in which they are offered. */
export const LEVERS: Record<string, Lever[]> = {
  'motor.torqueMargin': [
    part('motor'),
    part('belt'),
    part('screw'),
    goal('topSpeedMmPerMin'),
    goal('accelerationMmPerS2'),
    goal('cuttingForceN'),
  ],
  'screw.criticalSpeed': [ends(), part('screw'), goal('topSpeedMmPerMin')],
  'screw.buckling': [ends(), part('screw'), goal('cuttingForceN')],
  'nut.speedValue': [part('screw'), goal('topSpeedMmPerMin')],
  'screw.life': [part('screw'), goal('cuttingForceN'), goal('wantedLifeHours')],
  'nut.staticSafety': [part('screw'), goal('cuttingForceN')],
  'nut.preload': [preload(), part('screw'), goal('cuttingForceN')],
  'bearing.preload': [part('bearing'), goal('cuttingForceN')],
  'coupler.torque': [part('coupler'), part('motor')],
  'coupler.bores': [part('coupler'), part('bearing'), part('motor')],
  'axis.lostMotion': [
    part('coupler'),
    part('screw'),
    part('bearing'),
    part('belt'),
    part('motor'),
    goal('backlashTargetUm'),
  ],
  'axis.unpoweredDrop': [counterbalance(), part('screw'), part('motor')],
  'axis.stallThrust': [part('motor'), part('screw'), part('bearing'), ends()],
  'axis.handwheel': [driveSize('handwheelRadiusMm'), part('motor'), part('belt'), part('screw')],
  'motor.inertiaRatio': [part('motor'), part('belt'), part('screw')],
  'motor.step': [part('belt'), part('motor'), part('screw'), goal('accuracyTargetUm')],
  'screw.leadAccuracy': [part('screw'), goal('accuracyTargetUm')],
  'screw.warmth': [ends(), goal('temperatureRiseK'), goal('accuracyTargetUm')],
  'bearing.life': [part('bearing'), goal('cuttingForceN'), goal('wantedLifeHours')],
  'bearing.seat': [part('bearing'), part('screw')],
  'coupler.misalignment': [part('coupler')],
  'belt.pull': [part('belt'), part('motor')],
  'belt.mesh': [driveSize('beltCentresMm'), part('belt')],
  'belt.bores': [part('belt'), part('motor'), part('bearing')],
  'room.section': [
    fitting(),
    section('bracketHeightMm'),
    section('bracketWidthMm'),
    section('spacersMm'),
    part('screw'),
  ],
  'room.block': [spacer()],
  'room.joints': [screws()],
  'room.travel': [room('recessFarMm'), room('recessFixedMm'), part('screw'), goal('wantedTravelMm')],
  'align.height': [goal('alignmentTargetUm')],
  'align.side': [goal('alignmentTargetUm')],
  'prove.reversal': [goal('backlashTargetUm')],
}

/** An axis on which levers are tried. */
export interface Bench {
  axis: Axis
  catalogue: Catalogue
  units: UnitSystem
  checkId: string
  /** The finding of the check once a choice is made. */
  after: (choice: Choice) => { finding: Finding | undefined; findings: Finding[] }
}
/** Offers one way out, or none. */
export type Lever = (bench: Bench) => {
  choice: Choice
  label: string
  /** What is given up for it, where that is no figure. */
  cost?: string
}[]

/** A check that no longer applies (a plain nut has no preload to lose) no longer stands in the way. */
const mends = (bench: Bench, choice: Choice) => (bench.after(choice).finding?.state ?? 'holds') === 'holds'

/** How many of the other checks fail; a way out should not add to them. */
const failing = (findings: Finding[], checkId: string) =>
  findings.filter(finding => finding.checkId !== checkId && finding.state === 'fails').length

/** Parts of a kind that mend the check: those that break least first, the nearest in price among them. */
function part(kind: PartKind): Lever {
  return bench => {
    const { axis, catalogue } = bench
    const now = catalogue[kind].get(axis.parts[kind] ?? '')
    if (!now) return []
    return [...catalogue[kind].values()]
      .filter(({ id }) => id !== now.id)
      .map(candidate => ({ candidate, choice: { kind: 'part' as const, part: kind, partId: candidate.id } }))
      .map(option => ({ ...option, result: bench.after(option.choice) }))
      .filter(({ result }) => (result.finding?.state ?? 'holds') === 'holds')
      .map(option => ({ ...option, broken: failing(option.result.findings, bench.checkId) }))
      .toSorted((a, b) => a.broken - b.broken || a.candidate.priceEur - b.candidate.priceEur)
      .slice(0, 1)
      .map(({ candidate, choice }) => ({
        choice,
        label: candidate.name,
      }))
  }
}

/** Another way to hold the ends: the first stiffer one that mends the check. */
function ends(): Lever {
  return bench => {
    const stiffer = SCREW_ENDS.slice(SCREW_ENDS.indexOf(bench.axis.ends) + 1)
    const found = stiffer.find(ends => mends(bench, { kind: 'ends', ends }))
    return found
      ? [
          {
            choice: { kind: 'ends', ends: found },
            label: `Hold the ends ${found}`,
            cost: 'another block to make or buy, and to align',
          },
        ]
      : []
  }
}

function goal(key: GoalKey): Lever {
  const raise = key === 'backlashTargetUm' || key === 'alignmentTargetUm' || key === 'accuracyTargetUm'
  return bench =>
    solve(bench, {
      from: bench.axis.goals[key],
      to: raise ? GOALS[key].max : GOALS[key].min,
      quantity: GOALS[key].quantity,
      choice: value => ({ kind: 'goal', goal: key, value }),
      label: GOALS[key].label,
      cost: 'a wish given up',
    })
}

/** The deepest recess worth offering in a casting of this size. */
const DEEPEST_RECESS_MM = 150

function room(key: RoomKey): Lever {
  return bench =>
    solve(bench, {
      from: bench.axis.room[key],
      to: DEEPEST_RECESS_MM,
      quantity: ROOM[key].quantity,
      choice: value => ({ kind: 'room', room: key, value }),
      label: ROOM[key].label,
      cost: 'metal to cut: check the wall that is left',
    })
}

/** A larger handwheel, or centres further apart, up to twice the size. */
function driveSize(key: DriveSizeKey): Lever {
  return bench =>
    solve(bench, {
      from: bench.axis.driveSizes[key],
      to: Math.min(2 * bench.axis.driveSizes[key], DRIVE_SIZES[key].max),
      quantity: DRIVE_SIZES[key].quantity,
      choice: value => ({ kind: 'driveSize', size: key, value }),
      label: DRIVE_SIZES[key].label,
      cost: 'room beside the machine',
    })
}

/** A counterbalance that takes up to the whole weight. */
function counterbalance(): Lever {
  return bench =>
    solve(bench, {
      from: bench.axis.dimensions.counterbalanceN.value ?? 0,
      to: (bench.axis.dimensions.movingMassKg.value ?? 0) * GRAVITY_M_PER_S2,
      quantity: DIMENSIONS.counterbalanceN.quantity,
      choice: counterbalanceN => ({ kind: 'counterbalance', counterbalanceN }),
      label: DIMENSIONS.counterbalanceN.label,
      cost: 'a gas spring or weights to fit, and their own mass to move',
    })
}

/** The grease fitting turned or moved to another side. */
function fitting(): Lever {
  return bench => {
    const { fittingMm, fittingSide } = bench.axis.making.section
    const side = SECTION_SIDES.find(
      one => one !== fittingSide && mends(bench, { kind: 'fitting', side: one }),
    )
    if (fittingMm === 0 || !side) return []
    return [
      {
        choice: { kind: 'fitting', side },
        label: `Grease fitting ${SIDE_WORDS[side]}`,
        cost: 'turn the nut, or plug the hole and drill another',
      },
    ]
  }
}

const SECTION_COSTS: Partial<Record<SectionField, string>> = {
  bracketHeightMm: 'a lower bracket to make',
  bracketWidthMm: 'a narrower bracket to make',
  spacersMm: 'the table stands higher: its load tips the carriages over a longer lever',
}

/** Higher spacers, or a bracket down to the size of the nut. */
function section(field: SectionField): Lever {
  return bench => {
    const from = bench.axis.making.section[field]
    return solve(bench, {
      from,
      to: field === 'spacersMm' ? SECTION_FIELDS.spacersMm.max : 0,
      quantity: 'length',
      choice: value => ({ kind: 'section', field, value }),
      label: SECTION_FIELDS[field].label,
      cost: SECTION_COSTS[field] ?? '',
    })
  }
}

/** A spacer that lets the cover stand as proud as it should. */
function spacer(): Lever {
  return bench => {
    const { block } = bench.axis.making
    if (!block) return []
    const outerSpacerMm = Math.round(bearingStack(blockInputs(block)).spacerForTargetMm * 1000) / 1000
    const choice: Choice = { kind: 'spacer', outerSpacerMm }
    if (outerSpacerMm < 0 || !mends(bench, choice)) return []
    const label = `Spacer of ${say(outerSpacerMm, 'length', bench.units)} between the outer rings`
    return [{ choice, label, cost: 'to turn and grind, both faces true to each other' }]
  }
}

/** Screws of the right length in every joint. */
function screws(): Lever {
  return bench =>
    mends(bench, { kind: 'screws' })
      ? [{ choice: { kind: 'screws' }, label: 'Take screws of the right length', cost: 'screws to buy' }]
      : []
}

/** More preload, up to a tenth of the nut's capacity. */
function preload(): Lever {
  return bench => {
    const screw = bench.catalogue.screw.get(bench.axis.parts.screw ?? '')
    if (!screw?.dynamicCapacityN || screw.preloadN === 0) return []
    return solve(bench, {
      from: bench.axis.preloadN ?? screw.preloadN,
      to: 0.1 * screw.dynamicCapacityN,
      quantity: 'force',
      choice: preloadN => ({ kind: 'preload', preloadN }),
      label: 'Preload of the nut',
      cost: 'more drag, and less life at light loads',
    })
  }
}

interface Solvable {
  from: number
  to: number
  quantity: QuantityKind
  choice: (value: number) => Choice
  label: string
  cost: string
}

/** Bisects a number for the smallest change that mends the check, then rounds it to what can be set. */
function solve(bench: Bench, { from, to, quantity, choice, label, cost }: Solvable) {
  if (from === to || !mends(bench, choice(to))) return []
  let bad = from
  let good = to
  for (let i = 0; i < 40; i++) {
    const middle = (bad + good) / 2
    if (mends(bench, choice(middle))) good = middle
    else bad = middle
  }
  const value = roundBeyond(good, to > from, quantity, bench.units, to)
  const found = mends(bench, choice(value)) ? value : good
  const verb = to > from ? 'up to' : 'down to'
  return [{ choice: choice(found), label: `${label} ${verb} ${say(found, quantity, bench.units)}`, cost }]
}

/** Rounds to three figures of the unit in use, away from the side where the check does not hold. */
function roundBeyond(
  value: number,
  up: boolean,
  quantity: QuantityKind,
  units: UnitSystem,
  end: number,
): number {
  const { perUnit } = quantityFacts(quantity)[units]
  const shown = value / perUnit
  const step = 10 ** (Math.floor(Math.log10(Math.max(Math.abs(shown), 1e-6))) - 2)
  const rounded = (up ? Math.ceil(shown / step - 1e-9) : Math.floor(shown / step + 1e-9)) * step * perUnit
  return up ? Math.min(rounded, end) : Math.max(rounded, end)
}
