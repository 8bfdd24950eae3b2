import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import type { Axis } from '@/core/document/axis'
import type { DrivePoint } from '@/core/search/field'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { SelectField } from '@/ui/fields/SelectField'
import { DataTable } from '@/ui/table/DataTable'
import { useWholeCatalogue } from '../../job/useEvaluation'
import { driveColumns, isTaken } from './driveColumns'
import { driveWords } from './driveWords'

const ORDERS = [
  { value: 'priceEur', label: 'cheapest' },
  { value: 'margin', label: 'most in hand' },
  { value: 'lostMotionUm', label: 'least lost motion' },
  { value: 'heightMm', label: 'lowest under the slide' },
] as const
type Order = (typeof ORDERS)[number]['value']
const FIRST_ROWS = 8
const KEEPS = [
  { value: 'holds', label: 'only where everything holds' },
  { value: 'all', label: 'also where something is close' },
] as const

/** The best first by one merit; among equals the cheaper first. */
const inOrder = (points: readonly DrivePoint[], by: Order): DrivePoint[] =>
  points.toSorted(
    (a, b) => (by === 'margin' ? b.margin - a.margin : a[by] - b[by]) || a.priceEur - b.priceEur,
  )

interface Props {
  points: DrivePoint[]
  axis: Axis
  units: UnitSystem
  onTake: (point: DrivePoint) => void
}

/** The drives that nothing beats, the best first by what the builder asks for. */
export function SearchTable({ points, axis, units, onTake }: Props) {
  const catalogue = useWholeCatalogue()
  const [by, setBy] = useState<Order>('priceEur')
  const someHold = points.some(({ margin }) => margin >= 1)
  const [keep, setKeep] = useState<(typeof KEEPS)[number]['value']>(someHold ? 'holds' : 'all')
  const [count, setCount] = useState(FIRST_ROWS)
  const kept = keep === 'all' ? points : points.filter(({ margin }) => margin >= 1)
  const shown = inOrder(kept, by).slice(0, count)
  const columns = driveColumns({ catalogue, axis, units, onTake })
  return (
    <>
      <chakra.div display="flex" flexWrap="wrap" gap="3">
        <SelectField label="First" value={by} options={ORDERS} onChange={setBy} />
        <SelectField label="Show" value={keep} options={KEEPS} onChange={setKeep} />
      </chakra.div>
      <chakra.p fontSize="13px" color="quiet" mt="1">
        The worst margin is that of the tightest check: from 1 on everything holds.
      </chakra.p>
      {kept.length === 0 && (
        <chakra.p mt="2">None of these holds in everything. Show also those that are close.</chakra.p>
      )}
      <chakra.div mt="2">
        <DataTable
          label="Drives that nothing beats"
          columns={columns}
          rows={shown}
          rowId={point => driveWords(point, catalogue)}
          isMarked={point => isTaken(axis, point)}
          leastPx={560}
        />
      </chakra.div>
      {count < kept.length && (
        <Button variant="quiet" mt="2" onClick={() => setCount(before => before + 20)}>
          Show 20 more of {kept.length}
        </Button>
      )}
    </>
  )
}
