import { chakra } from '@chakra-ui/react'
import { type FieldErrors, type ResolverResult, useForm } from 'react-hook-form'
import type { PartKind } from '@/core/document/kinds'
import { unitOf } from '@/core/document/parts/checkPart'
import { fieldsOf, type PartField } from '@/core/document/parts/fields'
import { idFor } from '@/core/document/parts/partId'
import { cellsOf, readPart } from '@/core/document/parts/readPart'
import type { PartOf } from '@/core/document/parts/types'
import { MOST_OWN_PARTS } from '@/core/machine/parts'
import { putOwnPart } from '@/core/machine/parts/partEdits'
import { Button } from '@/ui/controls'
import { ChoiceField } from '@/ui/fields/ChoiceField'
import { LongTextField } from '@/ui/fields/LongTextField'
import { TextField } from '@/ui/fields/TextField'
import { Modal } from '@/ui/Modal'
import { Note } from '@/ui/Note'
import { useEdit, useJob, useUnits } from '../JobContext'
import { KIND_WORDS } from '../kindWords'
import { useCatalogue } from '../useEvaluation'

type Cells = Record<string, string>

interface Props<K extends PartKind> {
  kind: K
  /** The part that is changed, or that a new one is made from; null starts with nothing. */
  from: PartOf[K] | null
  isNew: boolean
  onClose: () => void
}

const FORM = 'own-part'

/** Adds a part of one's own, or changes one: everything that its sheet says. */
export function PartDialog<K extends PartKind>({ kind, from, isNew, onClose }: Props<K>) {
  const units = useUnits()
  const edit = useEdit()
  const catalogue = useCatalogue()
  const count = useJob(job => job.ownParts[kind].length)
  const stood = from ? cellsOf(kind, from, units) : {}
  const start: Cells = isNew && from ? { ...stood, name: `${from.name.slice(0, 70)}, changed` } : stood

  /** What is left as it stood keeps its last digit, which the form does not show. */
  const keptOf = (cells: Cells) =>
    Object.fromEntries(
      Object.entries(from ?? {}).filter(([name]) => name in stood && cells[name] === stood[name]),
    )
  const { register, handleSubmit, formState } = useForm<Cells, unknown, { part: PartOf[K] }>({
    defaultValues: start,
    resolver: (cells): ResolverResult<Cells, { part: PartOf[K] }> => {
      const id = isNew || !from ? idFor(cells.name ?? '', new Set(catalogue[kind].keys())) : from.id
      const { part, problems = [] } = readPart(kind, id, cells, units, keptOf(cells))
      if (part) return { values: { part }, errors: {} }
      const errors = problems.map(({ field, got, takes }) => [
        field,
        { type: 'part', message: `Got ${got}. Takes ${takes}.` },
      ])
      return { values: {}, errors: Object.fromEntries(errors) as FieldErrors<Cells> }
    },
  })
  const submit = handleSubmit(({ part }) => {
    edit(putOwnPart(kind, part, isNew))
    onClose()
  })
  const full = isNew && count >= MOST_OWN_PARTS
  const wrong = Object.keys(formState.errors).length
  return (
    <Modal
      wide
      title={isNew ? `${KIND_WORDS[kind]} of your own` : `Change ${from?.name ?? ''}`}
      open
      onClose={onClose}
      closeLabel="Cancel"
      actions={
        <Button type="submit" form={FORM} variant="lamp" disabled={full}>
          {isNew ? 'Add it' : 'Change it'}
        </Button>
      }
    >
      {full ? (
        <p>A job takes up to {MOST_OWN_PARTS} parts of a kind. Take one out first.</p>
      ) : (
        <chakra.form
          id={FORM}
          noValidate
          onSubmit={submit}
          display="grid"
          gap="3"
          alignItems="start"
          gridTemplateColumns={{ base: '1fr', md: 'repeat(3, minmax(0, 1fr))' }}
        >
          <Note gridColumn="1 / -1">
            Read it off the maker’s sheet. A figure may carry its unit; a bare one is in the unit at its end.
          </Note>
          {fieldsOf(kind).map(([name, field]) => (
            <chakra.div key={name} gridColumn={isLong(field) ? '1 / -1' : undefined}>
              <Cell
                field={field}
                unit={field.is === 'number' ? unitOf(field, units) : ''}
                error={formState.errors[name]?.message}
                input={register(name)}
              />
            </chakra.div>
          ))}
          <chakra.p gridColumn="1 / -1" role="status" color="fails" fontWeight={700}>
            {wrong > 0 &&
              `${wrong} ${wrong === 1 ? 'field is' : 'fields are'} not right yet: each says what it takes.`}
          </chakra.p>
        </chakra.form>
      )}
    </Modal>
  )
}

const isLong = (field: PartField) => field.is === 'curve' || (field.is === 'words' && field.most >= 80)

interface CellProps {
  field: PartField
  unit: string
  error: string | undefined
  input: ReturnType<ReturnType<typeof useForm<Cells>>['register']>
}

function Cell({ field, unit, error, input }: CellProps) {
  switch (field.is) {
    case 'choice':
      return <ChoiceField label={field.label} options={field.of.map(String)} error={error} {...input} />
    case 'curve':
      return (
        <LongTextField
          label={field.label}
          hint="One point a line: speed in rpm, a colon or a space, torque in N·m. Left empty, the windings tell."
          error={error}
          rows={4}
          fontFamily="mono"
          {...input}
        />
      )
    default:
      return <TextField label={field.label} error={error} unit={unit || undefined} {...input} />
  }
}
