import type { Edit } from '../document/edit'
import { newId } from '../document/id'
import type { Job } from '../document/job'
import { LONGEST_LINE } from '../document/job'
import type { Catalogue } from '../document/parts/types'
import { type Plan, SITTINGS, type Sitting } from '../document/plan'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { leftLoose } from '../sheets/shared/steps/left'
import { knownSteps } from '../sheets/shared/steps/procedure'

/** The time at the machine that goes on; none when work is stopped. */
export const sittingNow = ({ sittings }: Pick<Plan, 'sittings'>): Sitting | null =>
  sittings.findLast(({ stoppedAt }) => stoppedAt === null) ?? null

/** The last time that was stopped. */
export const lastSitting = ({ sittings }: Pick<Plan, 'sittings'>): Sitting | null =>
  sittings.findLast(({ stoppedAt }) => stoppedAt !== null) ?? null

/** An axis on which something is loose or still in. */
export interface LeftOn {
  axisId: string
  axisName: string
  left: string[]
}

/** What is loose, and what is still in, on each axis that has any of it. */
export const leftOn = (job: Job, catalogue: Catalogue): LeftOn[] =>
  job.axes.flatMap(axis => {
    const context = evaluateAxis(axis, catalogue, job.units)
    const left = leftLoose(knownSteps(context), axis)
    return left.length > 0 ? [{ axisId: axis.id, axisName: axis.name, left }] : []
  })

/** @example leftWords([{ axisId: 'y', axisName: 'Y', left: ['nut to its bracket: loose'] }]) // 'Left: Y: nut to its bracket: loose.' */
export const leftWords = (left: readonly LeftOn[]): string =>
  `Left: ${left.map(({ axisName, left: all }) => `${axisName}: ${all.join(', ')}`).join('; ')}.`

/** Notes that somebody is at the machine from now on. */
export const startSitting = (who: string, at: string): Edit => ({
  label: 'Work started',
  run: job => {
    for (const one of job.plan.sittings) one.stoppedAt ??= at
    job.plan.sittings = [
      ...job.plan.sittings.slice(1 - SITTINGS.most),
      { id: newId(), startedAt: at, stoppedAt: null, who },
    ]
  },
})

/** Ends the time at the machine, with what was left loose in the log. */
export const stopSitting = (sitting: Sitting, at: string, left: readonly LeftOn[]): Edit => ({
  label: 'Work stopped',
  run: job => {
    for (const one of job.plan.sittings) if (one.id === sitting.id) one.stoppedAt = at
  },
  entry: {
    axisId: null,
    kind: 'step',
    text: `Work stopped${sitting.who ? ` by ${sitting.who}` : ''}. ${
      left.length === 0 ? 'Nothing was left loose.' : leftWords(left)
    }`.slice(0, LONGEST_LINE),
  },
})
