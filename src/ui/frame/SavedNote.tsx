import { chakra } from '@chakra-ui/react'
import { memo, useEffect, useState } from 'react'

/** Saving is worth a word only when it takes this long. */
const SLOW_MS = 800

/** When and where the job was last saved. */
export function SavedNote({ savedAt, saving }: { savedAt: string | null; saving: boolean }) {
  const [slow, setSlow] = useState(false)
  useEffect(() => {
    if (!saving) return setSlow(false)
    const timer = setTimeout(() => setSlow(true), SLOW_MS)
    return () => clearTimeout(timer)
  }, [saving])
  return (
    <span role="status" data-saved={saving ? 'no' : 'yes'}>
      <Note text={slow || !savedAt ? 'Saving…' : `Saved ${when(new Date(savedAt))}, in this browser`} />
    </span>
  )
}

// The browser's own words for dates: a package for this one note would weigh on every first screen.
const TIME = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', second: '2-digit' })
const DAY = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
})
const when = (at: Date) =>
  at.toDateString() === new Date().toDateString() ? TIME.format(at) : DAY.format(at)

const Note = memo(function Note({ text }: { text: string }) {
  return (
    <chakra.span color="quiet" fontSize="13px" whiteSpace="nowrap">
      {text}
    </chakra.span>
  )
})
