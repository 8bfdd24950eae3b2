import { chakra } from '@chakra-ui/react'
import { STATE_WORDS } from '@/core/evaluation/finding'
import { Button } from '@/ui/controls'
import { sheetId } from '@/ui/Panel'
import { StateShape } from '@/ui/verdicts/StateMark'
import { evaluationOf, useCatalogue, useSettledAxis, useUnits } from '../bench'

/** The sheets of the stage in their order, with the check that each of them answers to. */
const SHEETS: [title: string, checkId: string | null][] = [
  ['Travel budget', 'room.travel'],
  ['Room around the nut', 'room.section'],
  ['Holes to enlarge', 'room.holes'],
  ['Cut list', null],
  ['Bearing block', 'room.block'],
  ['Ends of the screw', null],
  ['Drilling template', null],
  ['Screws', 'room.joints'],
  ['Chain of dimensions', 'room.chain'],
  ['Order list', null],
]

/** Where everything on this long stage is, and how each sheet stands. */
export function SheetList() {
  const { findings } = evaluationOf(useSettledAxis(), useCatalogue(), useUnits())
  return (
    <chakra.nav aria-label="Sheets of this stage" display="flex" flexWrap="wrap" gap="1.5">
      {SHEETS.map(([title, checkId]) => {
        const state = findings.find(one => one.checkId === checkId)?.state
        return (
          <Button
            key={title}
            variant="outline"
            px="3"
            onClick={() => document.getElementById(sheetId(title))?.scrollIntoView({ block: 'start' })}
          >
            {title}
            {state && <StateShape state={state} label={STATE_WORDS[state]} />}
          </Button>
        )
      })}
    </chakra.nav>
  )
}
