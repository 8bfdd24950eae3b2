import { chakra } from '@chakra-ui/react'
import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { object, string } from 'yup'
import { addAxis, renameAxis } from '@/core/document/edits'
import { asSpoken, newAxis } from '@/core/sheets/newJob'
import { Button } from '@/ui/controls'
import { TextField } from '@/ui/fields/TextField'
import { Modal } from '@/ui/Modal'
import { useEdit, useJob, useUnits, whole } from '../job/JobContext'
import { useAxis } from '../job/useAxis'

const MOST_AXES = 12
const schema = object({
  name: string()
    .trim()
    .required('Got nothing. Takes a short name such as X or A.')
    .max(12, 'Takes up to 12 characters.'),
  title: string()
    .trim()
    .required('Got nothing. Takes what it moves, such as Table.')
    .max(80, 'Takes up to 80 characters.'),
})

/** Adds an axis, or renames the one at work. */
export function AxisDialog({
  editing,
  onClose,
  onAxis,
}: {
  editing: boolean
  onClose: () => void
  onAxis: (axisId: string) => void
}) {
  const axis = useAxis(whole)
  const count = useJob(job => job.axes.length)
  const edit = useEdit()
  const units = useUnits()
  const { register, handleSubmit, formState } = useForm({
    resolver: yupResolver(schema),
    defaultValues: editing ? { name: axis.name, title: axis.title } : { name: '', title: '' },
  })
  const submit = handleSubmit(values => {
    if (editing) edit(renameAxis(axis, values.name, values.title))
    else {
      const added = asSpoken(newAxis(values), units)
      edit(addAxis(added))
      onAxis(added.id)
    }
    onClose()
  })
  const full = !editing && count >= MOST_AXES
  return (
    <Modal
      title={editing ? `Rename axis ${axis.name}` : 'Add an axis'}
      open
      onClose={onClose}
      closeLabel="Cancel"
      actions={
        <Button type="submit" form="axis-form" variant="lamp" disabled={full}>
          {editing ? 'Rename' : 'Add it'}
        </Button>
      }
    >
      {full ? (
        <p>A job takes up to {MOST_AXES} axes.</p>
      ) : (
        <chakra.form id="axis-form" onSubmit={submit} display="grid" gap="3">
          <TextField label="Name" error={formState.errors.name?.message} {...register('name')} />
          <TextField label="What it moves" error={formState.errors.title?.message} {...register('title')} />
          {!editing && (
            <chakra.p color="quiet">
              It starts level, with assumed values to be measured under Survey.
            </chakra.p>
          )}
        </chakra.form>
      )}
    </Modal>
  )
}
