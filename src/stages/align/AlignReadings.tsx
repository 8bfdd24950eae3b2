import { chakra } from '@chakra-ui/react'
import type { AlignRound, AlignStation, Axis } from '@/core/document/job'
import { setAlignReading } from '@/core/sheets/readingCommands'
import { QuantityField } from '@/ui/fields/QuantityField'
import { Cell, HeadCell, SideScroll } from '@/ui/Panel'
import { useEdit, useUnits } from '../bench'

const READING = { min: -5000, max: 5000 }

/** The readings of a round, place by place; Enter goes to the next one. */
export function AlignReadings({ axis, round, spanMm }: { axis: Axis; round: AlignRound; spanMm: number }) {
  const units = useUnits()
  const edit = useEdit()
  const closed = round.finishedAt !== null
  const set = (index: number, reading: Partial<AlignStation>, mergeKey: string) =>
    edit(setAlignReading(axis, round.id, index, reading, mergeKey))
  return (
    <SideScroll>
      <chakra.table minW="440px">
        <thead>
          <tr>
            <HeadCell>Place</HeadCell>
            <HeadCell>Along the screw</HeadCell>
            <HeadCell>Height</HeadCell>
            <HeadCell>Side</HeadCell>
          </tr>
        </thead>
        <tbody>
          {round.stations.map((station, index) => (
            <tr
              // biome-ignore lint/suspicious/noArrayIndexKey: a place is known by its number in the round
              key={index}
            >
              <Cell fontWeight={700}>{index + 1}</Cell>
              <Cell>
                <QuantityField
                  label={`Place ${index + 1}, along the screw`}
                  hideLabel
                  kind="length"
                  units={units}
                  min={0}
                  max={spanMm}
                  value={station.positionMm}
                  disabled={closed}
                  onValue={(value, key) => value !== null && set(index, { positionMm: value }, key)}
                />
              </Cell>
              <Cell>
                <QuantityField
                  label={`Place ${index + 1}, height`}
                  hideLabel
                  kind="smallLength"
                  units={units}
                  {...READING}
                  optional
                  value={station.heightUm}
                  disabled={closed}
                  onValue={(heightUm, key) => set(index, { heightUm }, key)}
                />
              </Cell>
              <Cell>
                <QuantityField
                  label={`Place ${index + 1}, side`}
                  hideLabel
                  kind="smallLength"
                  units={units}
                  {...READING}
                  optional
                  value={station.sideUm}
                  disabled={closed}
                  onValue={(sideUm, key) => set(index, { sideUm }, key)}
                />
              </Cell>
            </tr>
          ))}
        </tbody>
      </chakra.table>
    </SideScroll>
  )
}
