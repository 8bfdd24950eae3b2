import { chakra } from '@chakra-ui/react'
import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { object, string } from 'yup'
import { LONGEST_LINE } from '@/core/document/job'
import { addNote } from '@/core/document/logEdits'
import { Button } from '@/ui/controls'
import { LongTextField } from '@/ui/fields/LongTextField'
import { useEdit } from '../job/JobContext'

const noteSchema = object({
  text: string()
    .trim()
    .required(`Type what happened: got nothing, takes 1 to ${LONGEST_LINE} characters.`)
    .max(LONGEST_LINE, `Takes up to ${LONGEST_LINE} characters.`),
  kind: string<'note' | 'fix'>().oneOf(['note', 'fix']).required(),
})

/** A note of one's own, or a temporary fix that must not be forgotten. */
export function NoteForm({ axisId, onDone }: { axisId: string; onDone?: () => void }) {
  const edit = useEdit()
  const { register, handleSubmit, reset, formState } = useForm({
    resolver: yupResolver(noteSchema),
    defaultValues: { text: '', kind: 'note' as const },
  })
  const submit = handleSubmit(({ text, kind }) => {
    edit(addNote(axisId, text, kind))
    reset()
    onDone?.()
  })
  return (
    <chakra.form data-frame onSubmit={submit} display="grid" gap="2" maxW="640px">
      <LongTextField label="What happened" error={formState.errors.text?.message} {...register('text')} />
      <chakra.div display="flex" gap="4" alignItems="center" flexWrap="wrap">
        {(['note', 'fix'] as const).map(kind => (
          <chakra.label key={kind} display="inline-flex" gap="2" alignItems="center" minH="44px">
            <chakra.input
              type="radio"
              value={kind}
              {...register('kind')}
              width="20px"
              height="20px"
              accentColor="var(--dusk-colors-lamp-fill)"
            />
            {kind === 'note' ? 'a note' : 'a temporary fix, still open'}
          </chakra.label>
        ))}
        <Button type="submit" variant="lamp">
          Enter it
        </Button>
      </chakra.div>
    </chakra.form>
  )
}
