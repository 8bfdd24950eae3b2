import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import type { Axis } from '@/core/document/axis'
import type { DrivePoint } from '@/core/search/field'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { SelectField } from '@/ui/fields/SelectField'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useCatalogue } from '../../job/useEvaluation'

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
  const catalogue = useCatalogue()
  const [by, setBy] = useState<Order>('priceEur')
  const someHold = points.some(({ margin }) => margin >= 1)
  const [keep, setKeep] = useState<(typeof KEEPS)[number]['value']>(someHold ? 'holds' : 'all')
  const [count, setCount] = useState(FIRST_ROWS)
  const kept = keep === 'all' ? points : points.filter(({ margin }) => margin >= 1)
  const shown = inOrder(kept, by).slice(0, count)
  const columns: TableColumn<DrivePoint>[] = [
    { id: 'drive', head: 'Drive', cell: point => driveWords(point, catalogue) },
    { id: 'price', head: 'Price', figures: true, cell: point => `€${Math.round(point.priceEur)}` },
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

const isTaken = (axis: Axis, point: DrivePoint): boolean =>
  axis.parts.screw === point.screw &&
  axis.ends === point.ends &&
  axis.parts.bearing === point.bearing &&
  axis.drive.transmission === point.transmission &&
  (point.coupler === null || axis.parts.coupler === point.coupler) &&
  (point.belt === null || axis.parts.belt === point.belt) &&
  axis.parts.motor === point.motor
