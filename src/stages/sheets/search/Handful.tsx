import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/axis'
import type { DrivePoint } from '@/core/search/field'
import { handful } from '@/core/search/handful'
import type { UnitSystem } from '@/core/units/quantity'
import { DataTable } from '@/ui/table/DataTable'
import { useCatalogue } from '../../job/useEvaluation'
import { driveColumns, isTaken } from './driveColumns'
import { driveWords } from './driveWords'

interface Props {
  points: DrivePoint[]
  axis: Axis
  units: UnitSystem
  onTake: (point: DrivePoint) => void
}

/** The best drives at what is mostly asked for, one line each. */
export function Handful({ points, axis, units, onTake }: Props) {
  const catalogue = useCatalogue()
  const picked = handful(points)
  const picksOf = new Map(picked.map(({ point, picks }) => [point, picks]))
  const noneHolds = picked.every(({ point }) => point.margin < 1)
  return (
    <>
      {noneHolds && (
        <chakra.p mb="2">
          None of them holds in everything: each is close in something. These are the nearest.
        </chakra.p>
      )}
      <DataTable
        label="A handful of drives"
        columns={[
          {
            id: 'picks',
            head: 'Best at',
            cell: point => <strong>{picksOf.get(point)?.join(', ')}</strong>,
            widthPx: 96,
          },
          ...driveColumns({ catalogue, axis, units, onTake }),
        ]}
        rows={picked.map(({ point }) => point)}
        rowId={point => driveWords(point, catalogue)}
        isMarked={point => isTaken(axis, point)}
        leastPx={620}
      />
    </>
  )
}
