import { chakra } from '@chakra-ui/react'
import { memo, useEffect, useRef } from 'react'
import { type SheetId, sheetOf } from '@/core/sheets'
import { WordsHere } from '@/ui/terms/WordsHere'
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
        <Panel />
      </chakra.div>
      <div data-frame>
        <WordsHere of={box} />
      </div>
      {(stage === 'align' || stage === 'prove') && <Rehearsal sheet={sheet} />}
    </>
  )
})
