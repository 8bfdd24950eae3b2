import { chakra } from '@chakra-ui/react'
import { memo, useEffect, useRef } from 'react'
import { lessonsOf } from '@/core/document/lessons'
import { type SheetId, sheetOf } from '@/core/sheets'
import { WordsHere } from '@/ui/terms/WordsHere'
import { useJob } from '../job/JobContext'
import { Lessons } from '../job/lessons/Lessons'
import { focusWanted } from '../job/place'
import { PANELS } from '../sheets/panels.generated'
import { LoadNotice } from './LoadNotice'
import { Rehearsal } from './Rehearsal'

/** Whether a sheet was open before this one: only then does it take the focus. */
let opened = false

/** One sheet. Whoever came here from another one finds the keyboard at its head. */
export const SheetScreen = memo(function SheetScreen({ sheet }: { sheet: SheetId }) {
  const Panel = PANELS[sheet]
  const { stage } = sheetOf(sheet)
  const box = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (opened) {
      window.scrollTo(0, 0)
      if (!box.current || !focusWanted(box.current)) box.current?.focus({ preventScroll: true })
    }
    opened = true
  }, [])
  // What was learned here is read before anything is done; where nothing was, the offer waits at the foot.
  const isTaught = useJob(job => lessonsOf(job.lessons, { on: 'sheet', of: sheet }).length > 0)
  const lessons = <Lessons on="sheet" of={sheet} here="this sheet" />
  return (
    <>
      <chakra.div
        ref={box}
        id="sheet"
        tabIndex={-1}
        data-sheet={sheet}
        role="group"
        aria-label={sheetOf(sheet).title}
        display="grid"
        gap="3"
        minW="0"
        gridTemplateColumns="minmax(0, 1fr)"
        _focusVisible={{ outline: 'none' }}
      >
        {(stage === 'align' || stage === 'prove') && <LoadNotice />}
        {isTaught && lessons}
        <Panel />
      </chakra.div>
      <chakra.div data-frame display="flex" flexWrap="wrap" alignItems="flex-start" gap="2">
        <WordsHere of={box} />
        {!isTaught && lessons}
      </chakra.div>
      {(stage === 'align' || stage === 'prove') && <Rehearsal sheet={sheet} />}
    </>
  )
})
