import type { Axis } from '../../document/axis'
import type { Edit } from '../../document/edit'
import { onAxis } from '../../document/edits'
import { newId } from '../../document/id'
import { MISHAPS, type Mishap, type StepNote } from '../../machine/build/model'
import type { Step } from '../../machine/build/step'

type Named = Pick<Step, 'id' | 'title'>

const OUTCOME_WORDS: Record<StepNote['how'], string> = {
  done: 'Done',
  otherwise: 'Done otherwise',
  skipped: 'Skipped',
}

/**
 * Ticks a step of the build, with how it was done.
 *
 * @param note what is known of it beside when; nothing but a plain tick leaves none
 */
export function tickStep(axis: Axis, step: Named, at: string, note: Partial<StepNote> = {}): Edit {
  const { how = 'done', why = '', who = '', tookMinutes = null } = note
  const isPlain = how === 'done' && why === '' && who === '' && tookMinutes === null
  const more = [why, who && `by ${who}`, tookMinutes && `${tookMinutes} min`].filter(Boolean).join(', ')
  return onAxis(
    axis,
    `${step.title}: ${OUTCOME_WORDS[how].toLowerCase()}`,
    draft => {
      draft.ticks[step.id] = at
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

/** Takes the ticks off steps: one, and those that lean on it. */
export const openSteps = (axis: Axis, steps: readonly Named[]): Edit =>
  onAxis(
    axis,
    steps.length === 1 ? `${steps[0]?.title}: open again` : `${steps.length} steps open again`,
    draft => {
      for (const { id } of steps) {
        delete draft.ticks[id]
        delete draft.stepNotes[id]
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
): Edit => {
  const words = MISHAPS.of.what.words?.[what] ?? what
  const joint = axis.joints.find(({ id }) => id === jointId)
  return onAxis(
    axis,
    words,
    draft => {
      if (draft.mishaps.length < MISHAPS.most)
        draft.mishaps.push({ id: newId(), what, at, stepId: step.id, jointId, count })
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
