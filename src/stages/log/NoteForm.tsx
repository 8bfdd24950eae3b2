import { chakra } from '@chakra-ui/react'
import { yupResolver } from '@hookform/resolvers/yup'
import { useEffect } from 'react'
import { useForm } from 'react-hook-form'
import { string } from 'yup'
import { isAboutSafety, NO_TERMS } from '@/core/document/fixes'
import { LONGEST_LINE } from '@/core/document/job'
import { addNote } from '@/core/document/logEdits'
import { Button } from '@/ui/controls'
import { LongTextField } from '@/ui/fields/LongTextField'
import { useEdit } from '../job/JobContext'
import { FixTermsFields, termsSchema, termsTyped, typedTerms } from './FixTerms'

const noteSchema = termsSchema.shape({
  text: string()
    .trim()
    .required(`Type what happened: got nothing, takes 1 to ${LONGEST_LINE} characters.`)
    .max(LONGEST_LINE, `Takes up to ${LONGEST_LINE} characters.`),
  kind: string<'note' | 'fix'>().oneOf(['note', 'fix']).required(),
})

/** A note of one's own, or a temporary fix that must not be forgotten: it asks. */
export function NoteForm({ axisId, onDone }: { axisId: string; onDone?: () => void }) {
  const edit = useEdit()
  const { register, handleSubmit, reset, watch, setValue, formState } = useForm({
    resolver: yupResolver(noteSchema),
    defaultValues: { text: '', kind: 'note' as const, ...typedTerms(NO_TERMS) },
  })
  const isFix = watch('kind') === 'fix'
  const soundsLikeSafety = isAboutSafety(watch('text'))
  const isSaid = formState.dirtyFields.isSafety === true
  useEffect(() => {
    // Ticked beforehand where the words say so; whoever unticks it has the last word.
    if (!isSaid) setValue('isSafety', soundsLikeSafety)
  }, [soundsLikeSafety, isSaid, setValue])
  const submit = handleSubmit(({ text, kind, ...terms }) => {
    edit(addNote(axisId, text, kind, termsTyped(terms)))
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
        {!isFix && (
          <Button type="submit" variant="lamp">
            Enter it
          </Button>
        )}
      </chakra.div>
      {isFix && (
        <>
          <FixTermsFields register={register} errors={formState.errors} />
          <chakra.div>
            <Button type="submit" variant="lamp">
              Enter it
            </Button>
          </chakra.div>
        </>
      )}
    </chakra.form>
  )
}
