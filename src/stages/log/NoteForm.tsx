import { chakra } from '@chakra-ui/react'
import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { object, string } from 'yup'
import { addNote } from '@/core/job/commands'
import { LONGEST_LINE } from '@/core/job/types'
import { Button, Textarea } from '@/ui/controls'
import { useEdit } from '../bench'

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
  const error = formState.errors.text?.message
  return (
    <chakra.form onSubmit={submit} display="grid" gap="2" maxW="640px">
      <chakra.label htmlFor="note-text" fontWeight={700} fontSize="14px">
        What happened
      </chakra.label>
      <Textarea
        id="note-text"
        {...register('text')}
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? 'note-error' : undefined}
      />
      {error && (
        <chakra.p id="note-error" role="alert" color="fails" fontWeight={700} fontSize="14px">
          {error}
        </chakra.p>
      )}
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
