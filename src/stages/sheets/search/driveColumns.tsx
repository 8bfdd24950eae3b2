import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/axis'
import type { Catalogue } from '@/core/document/parts/types'
import type { DrivePoint } from '@/core/search/field'
import { changedSlots } from '@/core/search/slots'
import { money, say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import type { TableColumn } from '@/ui/table/DataTable'
import { driveWords } from './driveWords'

interface Of {
  catalogue: Catalogue
  axis: Axis
  units: UnitSystem
  onTake: (point: DrivePoint) => void
}

/** What is told of a drive that the search has found, and the button that takes it. */
export function driveColumns({ catalogue, axis, units, onTake }: Of): TableColumn<DrivePoint>[] {
  return [
    { id: 'drive', head: 'Drive', cell: point => driveWords(point, catalogue) },
    { id: 'price', head: 'Price', figures: true, cell: point => money(point.priceEur) },
    {
      id: 'margin',
      head: 'Worst margin',
      figures: true,
      cell: point => say(point.margin, 'ratio', units, 2),
    },
    {
      id: 'lost',
      head: 'Lost motion',
      figures: true,
      cell: point => say(point.lostMotionUm, 'smallLength', units),
    },
    { id: 'height', head: 'Height', figures: true, cell: point => say(point.heightMm, 'length', units) },
    {
      id: 'take',
      head: <chakra.span srOnly>Take</chakra.span>,
      cell: point => {
        const taken = isTaken(axis, point)
        return (
          <Button
            variant="outline"
            disabled={taken}
            aria-label={`Take the drive: ${driveWords(point, catalogue)}`}
            onClick={() => onTake(point)}
          >
            {taken ? 'Taken' : 'Take'}
          </Button>
        )
      },
    },
  ]
}

/** Whether the axis has this very drive. */
export const isTaken = (axis: Axis, point: DrivePoint): boolean => changedSlots(axis, point).length === 0
