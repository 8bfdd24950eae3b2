import type { Axis } from '../document/axis'
import { GOALS, type GoalKey } from '../document/dimensions'
import type { Edit } from '../document/edit'
import { onAxis } from '../document/edits'
import type { Job } from '../document/job'
import type { MachineKind } from '../document/kinds'
import { WORK_WORDS, WORKS, type Work } from '../document/work'
import { spoken } from '../units/spoken'
import { milling, turning } from './sizing/cutting'
import { MATERIALS } from './sizing/materials'

/** A cut of an ordinary tool, such as a small shop takes: force and feed are reckoned from it. */
type UsualCut =
  | {
      material: string
      toolDiameterMm: number
      teeth: number
      spindleRpm: number
      feedPerToothMm: number
      depthMm: number
      widthMm: number
    }
  | { material: string; turnRpm: number; feedPerRevMm: number; depthMm: number }

const mill = (
  material: string,
  [toolDiameterMm, teeth, spindleRpm]: [number, number, number],
  [feedPerToothMm, depthMm, widthMm]: [number, number, number],
): UsualCut => ({ material, toolDiameterMm, teeth, spindleRpm, feedPerToothMm, depthMm, widthMm })
const turn = (material: string, turnRpm: number, feedPerRevMm: number, depthMm: number): UsualCut => ({
  material,
  turnRpm,
  feedPerRevMm,
  depthMm,
})

/** The cut by which each machine mostly does each kind of work; what a machine is not used for has none. */
const CUTS: Record<MachineKind, Partial<Record<Work, UsualCut>>> = {
  mill: {
    engraving: mill('brass', [3, 2, 10_000], [0.02, 0.3, 1]),
    plastic: mill('plastic', [8, 2, 4000], [0.08, 4, 6]),
    aluminium: mill('aluminium', [10, 3, 3000], [0.05, 4, 6]),
    steel: mill('mild-steel', [10, 4, 1000], [0.04, 3, 6]),
  },
  lathe: {
    aluminium: turn('aluminium', 1200, 0.15, 1.5),
    steel: turn('mild-steel', 600, 0.15, 1.5),
    fits: turn('mild-steel', 800, 0.08, 0.5),
  },
  router: {
    engraving: mill('brass', [3, 2, 18_000], [0.02, 0.3, 1]),
    wood: mill('hardwood', [8, 2, 16_000], [0.12, 6, 8]),
    plastic: mill('plastic', [6, 2, 14_000], [0.08, 4, 6]),
    aluminium: mill('aluminium', [6, 1, 16_000], [0.05, 1.5, 4]),
  },
}

/** What is usually accepted of each kind of work, from what it is made for: a sign is not a bearing seat. */
const ACCEPTED: Record<
  Work,
  Pick<Axis['goals'], 'cuttingShare' | 'backlashTargetUm' | 'accuracyTargetUm' | 'wantedLifeHours'>
> = {
  engraving: { cuttingShare: 0.6, backlashTargetUm: 20, accuracyTargetUm: 60, wantedLifeHours: 4000 },
  wood: { cuttingShare: 0.5, backlashTargetUm: 100, accuracyTargetUm: 300, wantedLifeHours: 4000 },
  plastic: { cuttingShare: 0.5, backlashTargetUm: 60, accuracyTargetUm: 200, wantedLifeHours: 4000 },
  aluminium: { cuttingShare: 0.5, backlashTargetUm: 30, accuracyTargetUm: 80, wantedLifeHours: 6000 },
  steel: { cuttingShare: 0.5, backlashTargetUm: 25, accuracyTargetUm: 60, wantedLifeHours: 8000 },
  fits: { cuttingShare: 0.4, backlashTargetUm: 10, accuracyTargetUm: 30, wantedLifeHours: 8000 },
}

/** A tool that has been used for a while pushes half as much again. */
const WORN = 1.5
const rounded = (value: number, to: number) => Math.max(to, Math.round(value / to) * to)

/** Force along the axis and feed of a usual cut, with a tool that is no longer sharp. */
function ofCut(cut: UsualCut): { forceN: number; feedMmPerMin: number } {
  const material = MATERIALS.find(({ id }) => id === cut.material)
  if (!material) throw new Error(`There is no material ${cut.material}.`)
  const { specificForceNPerMm2, chipExponent } = material
  if ('turnRpm' in cut) {
    const { feedPerRevMm, depthMm, turnRpm } = cut
    const { feedForceN } = turning({
      specificForceNPerMm2,
      chipExponent,
      feedPerRevMm,
      depthMm,
      approachAngleDeg: 90,
    })
    return { forceN: feedForceN * WORN, feedMmPerMin: feedPerRevMm * turnRpm }
  }
  const { material: _, ...inputs } = cut
  const { tangentialForceN, feedMmPerMin } = milling({ specificForceNPerMm2, chipExponent, ...inputs })
  return { forceN: tangentialForceN * WORN, feedMmPerMin }
}

/** The kinds of work that a machine is used for. */
export const worksOf = (machineKind: MachineKind): Work[] =>
  WORKS.filter(work => CUTS[machineKind][work] !== undefined)

/**
 * The goals that are usual for a kind of work on a machine: force and feed from a cut of an ordinary tool half worn, what is
 * accepted from what such work is made for. Nothing for work that such a machine is not used for.
 *
 * @example usualGoals('mill', 'steel')?.cuttingForceN // 610
 */
export function usualGoals(machineKind: MachineKind, work: Work): Partial<Record<GoalKey, number>> | null {
  const cut = CUTS[machineKind][work]
  if (!cut) return null
  const { forceN, feedMmPerMin } = ofCut(cut)
  return {
    cuttingForceN: rounded(forceN, 10),
    cuttingFeedMmPerMin: rounded(feedMmPerMin, 10),
    ...ACCEPTED[work],
  }
}

/** Says what an axis will be used for: the goals that follow become what is usual, but for those that the builder has set. */
export const setWork = (
  axis: Axis,
  { machineKind, units }: Pick<Job, 'machineKind' | 'units'>,
  work: Work | null,
): Edit =>
  onAxis(axis, work ? `Used for ${WORK_WORDS[work]}` : 'Used for nothing said', draft => {
    draft.work = work
    const usual = (work && usualGoals(machineKind, work)) ?? {}
    for (const key of Object.keys(GOALS) as GoalKey[]) {
      if (draft.goalsFrom[key] === 'wanted') continue
      const value = usual[key]
      draft.goalsFrom[key] = value === undefined ? 'assumed' : 'usual'
      if (value !== undefined) draft.goals[key] = spoken(value, GOALS[key].quantity, units)
    }
  })
