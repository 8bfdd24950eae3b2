import { chakra } from '@chakra-ui/react'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import { readingOf } from '@/core/practice/sheets'
import type { SheetId } from '@/core/sheets'
import { Button } from '@/ui/controls'
import { useAxis } from '../job/useAxis'

const RehearsalBand = dynamic(() => import('./RehearsalBand').then(module => module.RehearsalBand), {
  ssr: false,
})

/** On a sheet that is read: what would be read there, on the virtual axis of this job. */
export function Rehearsal({ sheet }: { sheet: SheetId }) {
  const name = useAxis(axis => readingOf(sheet, axis))
  const [isOpen, setOpen] = useState(false)
  if (!name) return null
  return (
    <chakra.div data-frame mt="3" display="grid" gap="3" gridTemplateColumns="minmax(0, 1fr)">
      <chakra.div>
        <Button variant="outline" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
          {isOpen ? 'Put the rehearsal away' : 'What would I read if …'}
        </Button>
      </chakra.div>
      {isOpen && <RehearsalBand sheet={sheet} />}
    </chakra.div>
  )
}
