import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { newId } from '@/core/document/id'
import type { Practiser } from '@/core/document/practiser'
import type { UnitSystem } from '@/core/units/quantity'
import { getDatabase } from '@/store/database'
import { addPractiser, forgetPractiser, setPractiserUnits } from '@/store/practisers'
import { Button } from '@/ui/controls'
import { SelectField } from '@/ui/fields/SelectField'
import { TextField } from '@/ui/fields/TextField'
import { Modal } from '@/ui/Modal'

const SOMEBODY_ELSE = 'somebody else'
const UNITS: readonly { value: UnitSystem; label: string }[] = [
  { value: 'mm', label: 'millimetres' },
  { value: 'inch', label: 'inches' },
]

interface Props {
  practisers: readonly Practiser[]
  who: Practiser | null
  onWho: (id: string | null) => void
  attempt: (work: () => Promise<unknown>) => void
}

/** Who is at the bench, and in which units; each has a progress of their own. */
export function WhoPractises({ practisers, who, onWho, attempt }: Props) {
  const [isNew, setIsNew] = useState(false)
  const [name, setName] = useState('')
  const [isForgetting, setIsForgetting] = useState(false)
  const isAdding = isNew || practisers.length === 0
  const add = () => {
    const given = name.trim()
    if (!given) return
    const id = newId()
    attempt(async () => {
      await addPractiser(getDatabase(), id, given.slice(0, 60), who?.units ?? 'mm')
      onWho(id)
      setIsNew(false)
      setName('')
    })
  }
  const forget = () =>
    attempt(async () => {
      setIsForgetting(false)
      if (who) await forgetPractiser(getDatabase(), who.id)
      onWho(null)
    })
  return (
    <chakra.div display="flex" flexWrap="wrap" gap="3" alignItems="end" data-who>
      {practisers.length > 0 && (
        <chakra.div minW="180px">
          <SelectField
            label="At the bench"
            value={isNew ? SOMEBODY_ELSE : (who?.id ?? '')}
            options={[
              ...practisers.map(({ id, name: label }) => ({ value: id, label })),
              { value: SOMEBODY_ELSE, label: 'somebody else …' },
            ]}
            onChange={value => {
              setIsNew(value === SOMEBODY_ELSE)
              if (value !== SOMEBODY_ELSE) onWho(value)
            }}
          />
        </chakra.div>
      )}
      {isAdding && (
        <chakra.form
          display="flex"
          gap="2"
          alignItems="end"
          onSubmit={event => {
            event.preventDefault()
            add()
          }}
        >
          <TextField
            label="Your name"
            value={name}
            maxLength={60}
            onChange={event => setName(event.target.value)}
          />
          <Button type="submit">Keep my progress</Button>
        </chakra.form>
      )}
      {who && !isNew && (
        <>
          <chakra.div minW="130px">
            <SelectField
              label="Reads in"
              value={who.units}
              options={UNITS}
              onChange={units => attempt(() => setPractiserUnits(getDatabase(), who.id, units))}
            />
          </chakra.div>
          <Button variant="quiet" onClick={() => setIsForgetting(true)}>
            Forget {who.name}
          </Button>
          <Modal
            title={`Forget ${who.name}?`}
            open={isForgetting}
            onClose={() => setIsForgetting(false)}
            closeLabel="Keep it"
            actions={<Button onClick={forget}>Forget it for good</Button>}
          >
            What {who.name} practised goes from this browser. A backup that was made before still has it.
          </Modal>
        </>
      )}
    </chakra.div>
  )
}
