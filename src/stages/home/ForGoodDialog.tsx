import { Button } from '@/ui/controls'
import { Modal } from '@/ui/Modal'

interface Props {
  name: string
  onClose: () => void
  onDelete: () => void
}

/** Asks before a job goes for good. */
export function ForGoodDialog({ name, onClose, onDelete }: Props) {
  return (
    <Modal
      title={`Delete ${name} for good?`}
      open
      onClose={onClose}
      closeLabel="Keep it"
      actions={
        <Button variant="danger" onClick={onDelete}>
          Delete it for good
        </Button>
      }
    >
      Its measurements, its log and its history go with it, and cannot be put back.
    </Modal>
  )
}
