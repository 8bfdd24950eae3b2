import { chakra } from '@chakra-ui/react'
import { Button } from '@/ui/controls'
import { Modal } from '@/ui/Modal'

interface Props {
  names: readonly string[]
  onClose: () => void
  onDelete: () => void
}

/** Asks before jobs go for good. */
export function ForGoodDialog({ names, onClose, onDelete }: Props) {
  const isOne = names.length === 1
  return (
    <Modal
      title={`Delete ${isOne ? names[0] : `${names.length} jobs`} for good?`}
      open
      onClose={onClose}
      closeLabel={isOne ? 'Keep it' : 'Keep them'}
      actions={
        <Button variant="danger" onClick={onDelete}>
          Delete {isOne ? 'it' : 'them'} for good
        </Button>
      }
    >
      {!isOne && (
        <chakra.p mb="2" overflowWrap="anywhere">
          {names.join(', ')}.
        </chakra.p>
      )}
      {isOne ? 'Its' : 'Their'} measurements, log and history go too, and cannot be put back.
    </Modal>
  )
}
