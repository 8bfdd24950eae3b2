import { chakra } from '@chakra-ui/react'
import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { number, object, string } from 'yup'
import { MISHAP_KINDS, MISHAPS, type MishapKind } from '@/core/sheets/shared/steps/model'
import type { Step } from '@/core/sheets/shared/steps/step'
import { addMishap } from '@/core/sheets/steps/edits'
import { Button } from '@/ui/controls'
import { SelectField } from '@/ui/fields/SelectField'
import { TextField } from '@/ui/fields/TextField'
import { useEdit } from '../JobContext'
import { useAxis, useAxisNow } from '../useAxis'

const { min, max } = MISHAPS.of.count
const takes = `Takes a whole number from ${min} to ${max}.`
const schema = object({
  what: string<MishapKind>().oneOf(MISHAP_KINDS).required(),
  jointId: string().defined(),
  count: number().typeError(takes).integer(takes).min(min, takes).max(max, takes).required(takes),
})
const NONE = ''

/** What went wrong: it gets steps of its own before this one, and what they need goes onto the order list. */
export function MishapForm({
  step,
  steps,
  onDone,
}: {
  step: Step
  /** All of the axis. */
  steps: readonly Step[]
  onDone: () => void
}) {
  const joints = useAxis(axis => axis.joints)
  const axisNow = useAxisNow()
  const edit = useEdit()
  const { register, handleSubmit, watch, setValue, formState } = useForm({
    resolver: yupResolver(schema),
    defaultValues: { what: 'ran-off' as MishapKind, jointId: NONE, count: 1 },
  })
  const what = watch('what')
  const ofScrews = what !== 'ran-off'
  return (
    <chakra.form
      onSubmit={handleSubmit(given => {
        edit(
          addMishap(
            axisNow(),
            step,
            new Date().toISOString(),
            {
              what: given.what,
              jointId: ofScrews && given.jointId !== NONE ? given.jointId : null,
              count: given.count,
            },
            steps,
          ),
        )
        onDone()
      })}
      display="grid"
      gap="2"
      mt="3"
      maxW="640px"
    >
      <SelectField<MishapKind>
        label="What went wrong"
        value={what}
        options={MISHAP_KINDS.map(kind => ({ value: kind, label: MISHAPS.of.what.words?.[kind] ?? kind }))}
        onChange={next => setValue('what', next)}
      />
      {ofScrews && (
        <SelectField
          label="At which joint"
          value={watch('jointId')}
          options={[
            { value: NONE, label: 'none of those under Screws' },
            ...joints.map(({ id, label, thread }) => ({ value: id, label: `${label}, ${thread}` })),
          ]}
          onChange={next => setValue('jointId', next)}
        />
      )}
      {ofScrews && (
        <TextField
          label="How many"
          inputMode="numeric"
          error={formState.errors.count?.message}
          {...register('count')}
        />
      )}
      <chakra.div display="flex" gap="2">
        <Button type="submit" variant="lamp">
          Put its steps in
        </Button>
        <Button variant="quiet" onClick={onDone}>
          Leave it
        </Button>
      </chakra.div>
    </chakra.form>
  )
}
