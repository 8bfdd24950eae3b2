import { chakra } from '@chakra-ui/react'
import { format, isSameDay } from 'date-fns'

/** When and where the job was last saved. */
export function SavedNote({ savedAt, saving }: { savedAt: string | null; saving: boolean }) {
  const at = savedAt ? new Date(savedAt) : null
  const when = at && (isSameDay(at, new Date()) ? format(at, 'HH:mm:ss') : format(at, 'd MMM HH:mm'))
  return (
    <chakra.span
      role="status"
      color="quiet"
      fontSize="13px"
      whiteSpace="nowrap"
      data-saved={saving ? 'no' : 'yes'}
    >
      {saving || !when ? 'Saving…' : `Saved ${when}, in this browser`}
    </chakra.span>
  )
}
