import { chakra } from '@chakra-ui/react'
import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { object, string } from 'yup'
import { Button } from '@/ui/controls'
import { TextField } from '@/ui/fields/TextField'

const LONGEST_NAME = 80

const nameSchema = object({
  name: string()
    .trim()
    .test(
      'length',
      ({ value = '' }) => `Got ${value.trim().length} characters. Takes 1 to ${LONGEST_NAME}.`,
      isName,
    )
    .defined(),
})
function isName(value: string | undefined): boolean {
  const { length } = (value ?? '').trim()
  return length >= 1 && length <= LONGEST_NAME
}

/** Another name for a job; what checks it comes when one is asked for. */
export function RenameForm({ name, onDone }: { name: string; onDone: (name: string | null) => void }) {
  const { register, handleSubmit, formState } = useForm({
    resolver: yupResolver(nameSchema),
    defaultValues: { name },
  })
  return (
    <chakra.form
      onSubmit={handleSubmit(typed => onDone(typed.name))}
      display="flex"
      gap="2"
      alignItems="flex-end"
      flexWrap="wrap"
    >
      <TextField
        label="Name of the job"
        error={formState.errors.name?.message}
        autoFocus
        {...register('name')}
      />
      <Button type="submit" variant="lamp">
        Rename
      </Button>
      <Button variant="quiet" onClick={() => onDone(null)}>
        Cancel
      </Button>
    </chakra.form>
  )
}
