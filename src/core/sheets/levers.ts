import { GRAVITY_M_PER_S2 } from '../calculation/constants'
import { DIMENSIONS, DRIVE_SIZES, type DriveSizeKey, GOALS, type GoalKey } from '../document/dimensions'
import type { PartKind } from '../document/job'
import { SCREW_ENDS } from '../machine/sizing/screw'
import { failing, type Lever, mends, solve } from './lever'
import { fitting, room, screws, section, spacer } from './roomLevers'

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
