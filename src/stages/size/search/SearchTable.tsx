import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import type { Axis } from '@/core/document/job'
import type { DrivePoint } from '@/core/search/field'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { SelectField } from '@/ui/fields/SelectField'
import { Cell, Figures, HeadCell, SideScroll } from '@/ui/Panel'
import { useCatalogue } from '../../bench'
import { driveWords } from './driveWords'

const ORDERS = [
  { value: 'priceEur', label: 'cheapest' },
  { value: 'margin', label: 'most in hand' },
  { value: 'lostMotionUm', label: 'least lost motion' },
  { value: 'heightMm', label: 'lowest under the table' },
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
      <SideScroll mt="2">
        <chakra.table width="100%" fontSize="14px" minW="560px">
          <thead>
            <tr>
              <HeadCell>Drive</HeadCell>
              <HeadCell textAlign="right">Price</HeadCell>
              <HeadCell textAlign="right">Worst margin</HeadCell>
              <HeadCell textAlign="right">Lost motion</HeadCell>
              <HeadCell textAlign="right">Height</HeadCell>
              <HeadCell>
                <chakra.span srOnly>Take</chakra.span>
              </HeadCell>
            </tr>
          </thead>
          <tbody>
            {shown.map(point => {
              const words = driveWords(point, catalogue)
              const taken = isTaken(axis, point)
              return (
                <chakra.tr key={words} bg={taken ? 'raised' : undefined}>
                  <Cell>{words}</Cell>
                  <Cell textAlign="right">
                    <Figures>€{Math.round(point.priceEur)}</Figures>
                  </Cell>
                  <Cell textAlign="right">
                    <Figures>{say(point.margin, 'ratio', units, 2)}</Figures>
                  </Cell>
                  <Cell textAlign="right">
                    <Figures>{say(point.lostMotionUm, 'smallLength', units)}</Figures>
                  </Cell>
                  <Cell textAlign="right">
                    <Figures>{say(point.heightMm, 'length', units)}</Figures>
                  </Cell>
                  <Cell textAlign="right">
                    <Button
                      variant="outline"
                      disabled={taken}
                      aria-label={`Take the drive: ${words}`}
                      onClick={() => onTake(point)}
                    >
                      {taken ? 'Taken' : 'Take'}
                    </Button>
                  </Cell>
                </chakra.tr>
              )
            })}
          </tbody>
        </chakra.table>
      </SideScroll>
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
