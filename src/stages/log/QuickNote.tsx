import { Modal } from '@/ui/Modal'
import { NoteForm } from './NoteForm'

/** A log entry from anywhere, by one key. */
export function QuickNote({ axisId, onClose }: { axisId: string; onClose: () => void }) {
  return (
    <Modal title="Quick log entry" open onClose={onClose} closeLabel="Cancel">
      <NoteForm axisId={axisId} onDone={onClose} />
    </Modal>
  )
}
