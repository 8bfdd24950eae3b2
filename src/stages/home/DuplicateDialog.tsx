import { chakra } from '@chakra-ui/react'
import { Controller, useForm } from 'react-hook-form'
import { TAKE_OVER_WORDS, type TakeOver } from '@/core/sheets/sisterJob'
import { Button } from '@/ui/controls'
import { Modal } from '@/ui/Modal'

interface Props {
  name: string
  onClose: () => void
  onCopy: (take: TakeOver) => void
}

/** Asks what the job of the next machine takes over; what was measured, built and tested stays with this one. */
export function DuplicateDialog({ name, onClose, onCopy }: Props) {
  const { control, handleSubmit } = useForm<TakeOver>({
    defaultValues: { choices: true, limits: true, plans: true },
  })
  return (
    <Modal
      title={`The next machine like ${name}`}
      open
      onClose={onClose}
      closeLabel="Cancel"
      actions={
        <Button variant="lamp" onClick={handleSubmit(onCopy)}>
          Make the copy
        </Button>
      }
    >
      <chakra.p mb="3">
        It starts unmeasured, unbuilt and untested, with nothing ordered: castings of one model differ. What
        was read on {name} stands beside the empty fields, one key takes it; minutes that were timed, prices,
        days of delivery and the faults that it had come along. What else shall it take over?
      </chakra.p>
      <chakra.div display="grid" gap="1">
        {(Object.keys(TAKE_OVER_WORDS) as (keyof TakeOver)[]).map(key => (
          <Controller
            key={key}
            control={control}
            name={key}
            render={({ field }) => (
              <chakra.label display="flex" gap="3" alignItems="center" minH="44px" cursor="pointer">
                <chakra.input
                  type="checkbox"
                  checked={field.value}
                  onChange={event => field.onChange(event.currentTarget.checked)}
                  width="24px"
                  height="24px"
                  flexShrink={0}
                  accentColor="var(--dusk-colors-lamp-fill)"
                />
                {TAKE_OVER_WORDS[key]}
              </chakra.label>
            )}
          />
        ))}
      </chakra.div>
    </Modal>
  )
}
