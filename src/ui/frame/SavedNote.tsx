import { chakra } from '@chakra-ui/react'
import { memo, useEffect, useState } from 'react'
import { momentWords, timeWords } from '@/core/units/dateWords'

/** Saving is worth a word only when it takes this long. */
const SLOW_MS = 800

/** When and where the job was last saved, or that it is not. */
export function SavedNote({
  savedAt,
  saving,
  failed,
}: {
  savedAt: string | null
  saving: boolean
  failed: boolean
}) {
  const [slow, setSlow] = useState(false)
  useEffect(() => {
    if (!saving) return setSlow(false)
    const timer = setTimeout(() => setSlow(true), SLOW_MS)
    return () => clearTimeout(timer)
  }, [saving])
  return (
    <span role="status" data-saved={saving ? 'no' : 'yes'}>
      <Note
        text={
          failed
            ? 'Not saved: see above'
            : slow || !savedAt
              ? 'Saving…'
              : `Saved ${when(new Date(savedAt))}, in this browser`
        }
      />
    </span>
  )
}

const when = (at: Date) =>
  (at.toDateString() === new Date().toDateString() ? timeWords : momentWords)(at.toISOString())

const Note = memo(function Note({ text }: { text: string }) {
  return (
    <chakra.span color="quiet" fontSize="13px" whiteSpace="nowrap">
      {text}
    </chakra.span>
  )
})
