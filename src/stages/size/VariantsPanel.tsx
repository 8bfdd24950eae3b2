import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { newId } from '@/core/document/id'
import { type Axis, MOST_VARIANTS, type Variant } from '@/core/document/job'
import { dropVariant, keepVariant, takeVariant } from '@/core/machine/driveEdits'
import type { Catalogue } from '@/core/machine/parts'
import { compareDrives } from '@/core/sheets/compareDrives'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { TextField } from '@/ui/fields/TextField'
import { Modal } from '@/ui/Modal'
import { Cell, HeadCell, Panel, SideScroll } from '@/ui/Panel'
import { StateShape } from '@/ui/verdicts/StateMark'
import { useAxisNow, useCatalogue, useEdit } from '../bench'

/** What the drive in use is called in the comparison: its screw, and what turns it. */
function nameOf(axis: Axis, catalogue: Catalogue): string {
  const screw = catalogue.screw.get(axis.parts.screw ?? '')?.name ?? 'No screw yet'
  return axis.drive.transmission === 'belt' ? `${screw}, by a belt` : screw
}

/** Up to four drives in columns; what differs is marked, and one is taken with its reason. */
export function VariantsPanel({ axis, units }: { axis: Axis; units: UnitSystem }) {
  const edit = useEdit()
  const axisNow = useAxisNow()
  const [taking, setTaking] = useState<Variant | null>(null)
  const catalogue = useCatalogue()
  const { states, rows } = compareDrives(axis, catalogue, units)
  const full = axis.variants.length >= MOST_VARIANTS
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
      <SideScroll>
        <chakra.table width="100%" fontSize="14px" minW={`${180 + 190 * states.length}px`}>
          <thead>
            <tr>
              <HeadCell width="150px">
                <chakra.span srOnly>What is compared</chakra.span>
              </HeadCell>
              {[nameOf(axis, catalogue), ...axis.variants.map(({ name }) => name)].map((name, index) => (
                <HeadCell key={axis.variants[index - 1]?.id ?? 'now'} color="ink" fontSize="14px">
                  <chakra.span display="flex" gap="1.5" alignItems="center">
                    <StateShape state={states[index] ?? 'unknown'} />
                    {name}
                  </chakra.span>
                  {index === 0 && (
                    <chakra.span display="block" color="quiet" fontSize="13px">
                      in use
                    </chakra.span>
                  )}
                </HeadCell>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(row => (
              <tr key={row.label}>
                <Cell color="quiet">
                  {row.label}
                  {row.differs && <chakra.span srOnly> (differs)</chakra.span>}
                </Cell>
                {row.values.map((value, index) => (
                  <Cell
                    key={axis.variants[index - 1]?.id ?? 'now'}
                    fontWeight={row.differs ? 700 : 400}
                    borderLeftWidth={row.differs ? '3px' : '1px'}
                    borderLeftColor={row.differs ? 'lamp' : 'line'}
                  >
                    {value}
                  </Cell>
                ))}
              </tr>
            ))}
            {axis.variants.length > 0 && (
              <tr>
                <Cell />
                <Cell />
                {axis.variants.map(variant => (
                  <Cell key={variant.id}>
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
                  </Cell>
                ))}
              </tr>
            )}
          </tbody>
        </chakra.table>
      </SideScroll>
      {taking && <TakeDialog variant={taking} onClose={() => setTaking(null)} />}
    </Panel>
  )
}

const FORM = 'take-variant'

function TakeDialog({ variant, onClose }: { variant: Variant; onClose: () => void }) {
  const edit = useEdit()
  const catalogue = useCatalogue()
  const axisNow = useAxisNow()
  const [reason, setReason] = useState('')
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
      <form
        id={FORM}
        onSubmit={event => {
          event.preventDefault()
          const now = axisNow()
          edit(takeVariant(now, variant, nameOf(now, catalogue), reason))
          onClose()
        }}
      >
        <TextField
          label="Why? It goes into the log"
          value={reason}
          maxLength={400}
          onChange={event => setReason(event.currentTarget.value)}
        />
      </form>
    </Modal>
  )
}
