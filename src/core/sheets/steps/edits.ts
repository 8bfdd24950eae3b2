import type { Axis } from '../../document/axis'
import type { Edit } from '../../document/edit'
import { onAxis } from '../../document/edits'
import { newId } from '../../document/id'
import { touch } from '../../document/touched'
import { mayFall } from '../shared/steps/lifting'
import { endOfSupport, lastEndOfSupport, supportsOf, supportsOutOf } from '../shared/steps/load'
import { mendedAt } from '../shared/steps/mishaps'
import { MISHAPS, type Mishap, type StepNote } from '../shared/steps/model'
import { setsDrive } from '../shared/steps/redo'
import type { Step } from '../shared/steps/step'
import { afterDoubt } from '../shared/steps/supports'

type Named = Pick<Step, 'id' | 'title'>
type Done = Named & Pick<Step, 'aidsIn' | 'aidsOut' | 'load' | 'onBench'>

const OUTCOME_WORDS: Record<StepNote['how'], string> = {
  done: 'Done',
  otherwise: 'Done otherwise',
  skipped: 'Skipped',
}

/** Steps that put something of the new drive onto the machine; those that take the old one off are called otherwise. */
const NEW_DRIVE = /^(?!td-)/

/**
 * Ticks a step of the build, with how it was done.
 *
 * A step that supports the load, or takes the support away, says so from then on; where every support was out, the last proof and
 * taking-out are opened for it.
 *
 * @param note what is known of it beside when; nothing but a plain tick leaves none
 * @param steps all of the axis, where they are known
 */
export function tickStep(
  axis: Axis,
  step: Done,
  at: string,
  note: Partial<StepNote> = {},
  steps: readonly Step[] = [],
): Edit {
  const { how = 'done', why = '', who = '', tookMinutes = null } = note
  const isPlain = how === 'done' && why === '' && who === '' && tookMinutes === null
  const more = [why, who && `by ${who}`, tookMinutes && `${tookMinutes} min`].filter(Boolean).join(', ')
  return onAxis(
    axis,
    `${step.title}: ${OUTCOME_WORDS[how].toLowerCase()}`,
    draft => {
      const supports = how === 'skipped' ? [] : supportsOf(step)
      if (supports.length > 0)
        for (const { id } of lastEndOfSupport(steps, draft)) {
          delete draft.ticks[id]
          delete draft.stepNotes[id]
        }
      for (const aid of supports) draft.supports[aid] = afterDoubt(draft, at)
      if (how !== 'skipped') for (const aid of supportsOutOf(step)) delete draft.supports[aid]
      if (step.load && step.onBench === undefined && NEW_DRIVE.test(step.id)) draft.driveMountedAt ??= at
      draft.ticks[step.id] = afterDoubt(draft, at)
      if (how !== 'skipped' && setsDrive(step.id)) touch(draft, at, step.title)
      if (isPlain) delete draft.stepNotes[step.id]
      else draft.stepNotes[step.id] = { how, why, who, tookMinutes }
    },
    {
      entry: {
        axisId: axis.id,
        kind: 'step',
        text: `${OUTCOME_WORDS[how]}: ${step.title}${more ? ` (${more})` : ''}.`,
      },
    },
  )
}

/** Takes the ticks off steps: one, and those that are opened with it. What was taken out does not come back by that. */
export const openSteps = (axis: Axis, steps: readonly Done[]): Edit =>
  onAxis(
    axis,
    steps.length === 1 ? `${steps[0]?.title}: open again` : `${steps.length} steps open again`,
    draft => {
      for (const step of steps) {
        delete draft.ticks[step.id]
        delete draft.stepNotes[step.id]
        // Whoever opens it does not say that it stands.
        for (const aid of supportsOf(step)) delete draft.supports[aid]
      }
    },
    {
      entry: {
        axisId: axis.id,
        kind: 'step',
        text: `Open again: ${steps.map(({ title }) => title).join('; ')}.`.slice(0, 1000),
      },
    },
  )

/** Notes that something went wrong at a step: it gets steps and order lines of its own. */
export const addMishap = (
  axis: Axis,
  step: Named,
  at: string,
  { what, jointId, count }: Pick<Mishap, 'what' | 'jointId' | 'count'>,
  steps: readonly Step[] = [],
): Edit => {
  // Where the load may hang on what went wrong, that it holds is proved again after the mending.
  const proofs = mayFall(axis) ? endOfSupport(steps, mendedAt(steps, step.id) - 1) : []
  const words = MISHAPS.of.what.words?.[what] ?? what
  const joint = axis.joints.find(({ id }) => id === jointId)
  return onAxis(
    axis,
    words,
    draft => {
      if (draft.mishaps.length < MISHAPS.most)
        draft.mishaps.push({ id: newId(), what, at, stepId: step.id, jointId, count })
      for (const { id } of proofs) {
        delete draft.ticks[id]
        delete draft.stepNotes[id]
      }
    },
    {
      entry: {
        axisId: axis.id,
        kind: 'step',
        text: `${words}${joint ? `, ${joint.label}` : ''}: at “${step.title}”.`,
      },
    },
  )
}

/** Takes a mishap back that was none, with the ticks of its steps. */
export const removeMishap = (axis: Axis, mishap: Mishap): Edit =>
  onAxis(axis, `${MISHAPS.of.what.words?.[mishap.what]}: taken back`, draft => {
    draft.mishaps = draft.mishaps.filter(({ id }) => id !== mishap.id)
    const own = `mishap.${mishap.id.toLowerCase()}.`
    for (const key of Object.keys(draft.ticks)) if (key.startsWith(own)) delete draft.ticks[key]
  })
