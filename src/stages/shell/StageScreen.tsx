import { chakra } from '@chakra-ui/react'
import { memo } from 'react'
import type { Stage } from '@/core/document/stages'
import { SHEETS, type SheetId } from '@/core/sheets'
import { sheetPlace } from '../job/place'
import { PANELS } from '../sheets'
import { SheetList } from './SheetList'

/** Sheets that stand beside others where there is room; the rest take the whole width. */
const BESIDE: Partial<Record<SheetId, { gridColumn: { xl: string }; gridRow: { xl: string } }>> = {
  geometry: { gridColumn: { xl: '1' }, gridRow: { xl: '2' } },
  loads: { gridColumn: { xl: '1' }, gridRow: { xl: '3' } },
  goals: { gridColumn: { xl: '2' }, gridRow: { xl: '2 / span 2' } },
}
const WHOLE = { gridColumn: '1 / -1' }
/** From so many sheets on, a list of them stands on top to go to each. */
const MANY = 9

/** Every sheet of a stage, in the order of the list of sheets. */
export const StageScreen = memo(function StageScreen({ stage }: { stage: Stage }) {
  const sheets = SHEETS.filter(sheet => sheet.stage === stage)
  return (
    <chakra.div
      display="grid"
      gap="3"
      alignItems="start"
      gridTemplateColumns={{ base: 'minmax(0, 1fr)', xl: 'minmax(0, 1.25fr) minmax(0, 1fr)' }}
    >
      {sheets.length >= MANY && (
        <chakra.div {...WHOLE}>
          <SheetList sheets={sheets} />
        </chakra.div>
      )}
      {sheets.map(({ id }) => {
        const Panel = PANELS[id]
        return (
          <chakra.div
            key={id}
            id={sheetPlace(id)}
            data-sheet={id}
            display="grid"
            gap="3"
            minW="0"
            gridTemplateColumns="minmax(0, 1fr)"
            scrollMarginTop={{ base: '180px', xl: '70px' }}
            {...(BESIDE[id] ?? WHOLE)}
          >
            <Panel />
          </chakra.div>
        )
      })}
    </chakra.div>
  )
})
