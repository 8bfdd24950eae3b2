import { chakra } from '@chakra-ui/react'
import { STATE_WORDS, worstState } from '@/core/evaluation/finding'
import type { SheetId } from '@/core/sheets'
import { Button } from '@/ui/controls'
import { StateShape } from '@/ui/verdicts/StateMark'
import { goToSheet } from '../job/place'
import { useSettledEvaluation } from '../job/useEvaluation'

/** Where everything on a long stage is, and how each sheet stands. */
export function SheetList({ sheets }: { sheets: readonly { id: SheetId; title: string }[] }) {
  const { findings } = useSettledEvaluation()
  return (
    <chakra.nav aria-label="Sheets of this stage" display="flex" flexWrap="wrap" gap="1.5">
      {sheets.map(({ id, title }) => {
        const state = worstState(findings.filter(({ sheet }) => sheet === id))
        return (
          <Button key={id} variant="outline" px="3" onClick={() => goToSheet(id)}>
            {title}
            {state && <StateShape state={state} label={STATE_WORDS[state]} />}
          </Button>
        )
      })}
    </chakra.nav>
  )
}
