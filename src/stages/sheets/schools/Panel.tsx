import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import type { Axis } from '@/core/document/axis'
import { newId } from '@/core/document/id'
import type { Catalogue } from '@/core/document/parts/types'
import type { State } from '@/core/evaluation/finding'
import { compareDrives } from '@/core/sheets/schools/compareDrives'
import { dropVariant, keepVariant, takeVariant } from '@/core/sheets/schools/edits'
import { VARIANTS, type Variant } from '@/core/sheets/schools/model'
import { Button } from '@/ui/controls'
import { TextField } from '@/ui/fields/TextField'
import { Modal } from '@/ui/Modal'
import { Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { StateShape } from '@/ui/verdicts/StateMark'
import { useEdit } from '../../job/JobContext'
import { useAxisNow } from '../../job/useAxis'
import { useCatalogue, useSettledEvaluation } from '../../job/useEvaluation'

/** What the drive in use is called in the comparison: its screw, and what turns it. */
function nameOf(axis: Axis, catalogue: Catalogue): string {
  const screw = catalogue.screw.get(axis.parts.screw ?? '')?.name ?? 'No screw yet'
  return { direct: screw, belt: `${screw}, by a belt`, nut: `${screw}, standing, its nut turned by a belt` }[
    axis.drive.transmission
  ]
}

/** Up to four drives in columns; what differs is marked, and one is taken with its reason. */
export function SchoolsPanel() {
  const context = useSettledEvaluation()
  const { axis } = context
  const edit = useEdit()
  const axisNow = useAxisNow()
  const [taking, setTaking] = useState<Variant | null>(null)
  const catalogue = useCatalogue()
  const { states, rows } = compareDrives(context)
  const full = axis.variants.length >= VARIANTS.most
  const columns: TableColumn<(typeof rows)[number]>[] = [
    {
      id: 'label',
      head: <chakra.span srOnly>What is compared</chakra.span>,
      widthPx: 150,
      cell: ({ label, differs }) => (
        <chakra.span color="quiet">
          {label}
          {differs && <chakra.span srOnly> (differs)</chakra.span>}
        </chakra.span>
      ),
    },
    ...[nameOf(axis, catalogue), ...axis.variants.map(({ name }) => name)].map(
      (name, index): TableColumn<(typeof rows)[number]> => ({
        id: axis.variants[index - 1]?.id ?? 'now',
        head: <DriveHead name={name} state={states[index] ?? 'unknown'} inUse={index === 0} />,
        cell: ({ values, differs }) => (
          <chakra.span
            display="block"
            fontWeight={differs ? 700 : 400}
            borderLeftWidth={differs ? '3px' : '1px'}
            borderLeftColor={differs ? 'lamp' : 'line'}
            pl="2"
          >
            {values[index]}
          </chakra.span>
        ),
      }),
    ),
  ]
  return (
    <Panel
      title="Schools side by side"
      note="Keep the drive as it stands, change it, and see both. What differs is marked with a bar; taking one puts the one in use in its place."
      action={
        <Button
          variant="outline"
          disabled={full}
          onClick={() => edit(keepVariant(axisNow(), newId(), nameOf(axisNow(), catalogue)))}
        >
          {full ? 'Four is the most' : 'Keep this one'}
        </Button>
      }
    >
      <DataTable
        label="Drives side by side"
        columns={columns}
        rows={rows}
        rowId={({ label }) => label}
        leastPx={150 + 180 * states.length}
      />
      {axis.variants.length > 0 && (
        <chakra.ul display="flex" flexWrap="wrap" gap="3" mt="2" justifyContent="flex-end">
          {axis.variants.map(variant => (
            <Stated as="li" key={variant.id} display="inline-flex" gap="1" alignItems="center">
              {variant.name}
              <Button
                variant="outline"
                aria-label={`Take instead: ${variant.name}`}
                onClick={() => setTaking(variant)}
              >
                Take
              </Button>
              <Button
                variant="quiet"
                aria-label={`Drop ${variant.name}`}
                onClick={() => edit(dropVariant(axisNow(), variant))}
              >
                Drop
              </Button>
            </Stated>
          ))}
        </chakra.ul>
      )}
      {taking && <TakeDialog variant={taking} onClose={() => setTaking(null)} />}
    </Panel>
  )
}

function DriveHead({ name, state, inUse }: { name: string; state: State; inUse: boolean }) {
  return (
    <Stated as="span" display="block" color="ink">
      <chakra.span display="flex" gap="1.5" alignItems="center">
        <StateShape state={state} />
        {name}
      </chakra.span>
      {inUse && (
        <chakra.span display="block" color="quiet" fontSize="13px">
          in use
        </chakra.span>
      )}
    </Stated>
  )
}

const FORM = 'take-variant'

function TakeDialog({ variant, onClose }: { variant: Variant; onClose: () => void }) {
  const edit = useEdit()
  const catalogue = useCatalogue()
  const axisNow = useAxisNow()
  const { register, handleSubmit } = useForm({ defaultValues: { reason: '' } })
  const submit = handleSubmit(({ reason }) => {
    const now = axisNow()
    edit(takeVariant(now, variant, nameOf(now, catalogue), reason))
    onClose()
  })
  return (
    <Modal
      title={`Take: ${variant.name}`}
      open
      onClose={onClose}
      closeLabel="Cancel"
      actions={
        <Button type="submit" form={FORM} variant="lamp">
          Take it
        </Button>
      }
    >
      <form id={FORM} onSubmit={submit}>
        <TextField label="Why? It goes into the log" maxLength={400} {...register('reason')} />
      </form>
    </Modal>
  )
}
