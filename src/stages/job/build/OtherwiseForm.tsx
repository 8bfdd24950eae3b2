import { chakra } from '@chakra-ui/react'
import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { object, string } from 'yup'
import { STEP_NOTES } from '@/core/sheets/shared/steps/model'
import { Button } from '@/ui/controls'
import { LongTextField } from '@/ui/fields/LongTextField'

const { most } = STEP_NOTES.of.of.why
const schema = object({
  why: string()
    .trim()
    .required(`Say it in a few words: got nothing, takes 1 to ${most} characters.`)
    .max(most, `Takes up to ${most} characters.`),
})

/** How a step was done otherwise, or why it is skipped. */
export function OtherwiseForm({
  how,
  onReason,
  onCancel,
}: {
  how: 'otherwise' | 'skipped'
  onReason: (why: string) => void
  onCancel: () => void
}) {
  const { register, handleSubmit, formState } = useForm({
    resolver: yupResolver(schema),
    defaultValues: { why: '' },
  })
  return (
    <chakra.form
      onSubmit={handleSubmit(({ why }) => onReason(why))}
      display="grid"
      gap="2"
      mt="3"
      maxW="640px"
    >
      <LongTextField
        label={how === 'skipped' ? 'Why it is skipped' : 'How it was done'}
        error={formState.errors.why?.message}
        autoFocus
        {...register('why')}
      />
      <chakra.div display="flex" gap="2">
        <Button type="submit" variant="lamp">
          {how === 'skipped' ? 'Skip it' : 'Done so'}
        </Button>
        <Button variant="quiet" onClick={onCancel}>
          Leave it
        </Button>
      </chakra.div>
    </chakra.form>
  )
}
