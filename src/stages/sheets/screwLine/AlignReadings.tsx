import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import type { Axis } from '@/core/document/axis'
import { READING } from '@/core/machine/readings'
import { pasteAlignReadings, setAlignReading } from '@/core/sheets/screwLine/edits'
import { ALIGN_STATIONS, type AlignRound, type AlignStation } from '@/core/sheets/screwLine/model'
import { readPasted } from '@/core/units/pasted'
import { printField } from '@/core/units/print'
import { quantityFacts, type UnitSystem } from '@/core/units/quantity'
import { printReading, type ReadingUnit, readingUnit } from '@/core/units/readingUnit'
import { FieldInput } from '@/ui/fields/FieldInput'
import { CopyTable } from '@/ui/table/CopyTable'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useReadingUnit } from '../../job/GaugeFields'
import { useEdit, useUnits } from '../../job/JobContext'
import { ReadingAsk } from '../../job/ReadingAsk'

const { positionMm, heightUm, sideUm } = ALIGN_STATIONS.of
const PLANES = ['heightUm', 'sideUm'] as const

/** The readings of a round, place by place; Enter goes down the heights first, then down the side. */
export function AlignReadings({ axis, round, spanMm }: { axis: Axis; round: AlignRound; spanMm: number }) {
  const units = useUnits()
  const typedIn = useReadingUnit()
  const edit = useEdit()
  const [problem, setProblem] = useState<string | null>(null)
  const closed = round.finishedAt !== null
  /** A column goes down from its cell; a second one beside it goes to the side. */
  const paste = (plane: (typeof PLANES)[number], from: number, cells: string[][]) => {
    const keys = PLANES.slice(PLANES.indexOf(plane))
    const rows: Partial<AlignStation>[] = cells.map(() => ({}))
    for (const [column, key] of keys.entries()) {
      if (cells.every(line => line[column] === undefined)) break
      const read = readPasted(
        cells.map(line => line[column] ?? ''),
        typedIn,
        READING,
      )
      if (!read.ok) return setProblem(read.message)
      for (const [index, value] of read.valuesUm.entries()) if (rows[index]) rows[index][key] = value
    }
    const beyond = from + rows.length - round.stations.length
    setProblem(
      beyond > 0
        ? `The last ${beyond} of what was pasted have no place: add places first. Those before them were taken.`
        : null,
    )
    edit(pasteAlignReadings(axis, round.id, from, rows))
  }
  // A place of the round lies between the blocks.
  const fields = { positionMm: { ...positionMm, min: 0, max: spanMm }, heightUm, sideUm }
  const change = (station: AlignStation, part: Partial<AlignStation>, mergeKey?: string) =>
    edit(setAlignReading(axis, round.id, station.id, part, mergeKey))
  const cell = (key: keyof typeof fields, label: string) => (station: AlignStation, index: number) => {
    // Places stand as they were spread; they are typed last, if at all.
    const turn = key === 'positionMm' ? PLANES.length + 1 : 1 + PLANES.indexOf(key)
    return (
      <div data-turn={turn}>
        <FieldInput
          field={fields[key]}
          label={`Place ${index + 1}, ${label}`}
          hideLabel
          value={station[key]}
          units={units}
          disabled={closed}
          onValue={(value, mergeKey) => change(station, { [key]: value }, mergeKey)}
          {...(key !== 'positionMm' && {
            typedIn: readingUnit(typedIn),
            echoes: !closed,
            onPasteTable: cells => paste(key, index, cells),
          })}
        />
      </div>
    )
  }
  const columns: TableColumn<AlignStation>[] = [
    { id: 'place', head: 'Place', cell: (_, index) => <strong>{index + 1}</strong> },
    { id: 'along', head: positionMm.label, cell: cell('positionMm', 'along the screw') },
    { id: 'height', head: heightUm.label, cell: cell('heightUm', 'height') },
    { id: 'side', head: sideUm.label, cell: cell('sideUm', 'side') },
  ]
  return (
    <div>
      <DataTable columns={columns} rows={round.stations} rowId={({ id }) => id} leastPx={440} />
      {problem && (
        <chakra.p role="alert" color="fails" fontWeight={700} fontSize="14px">
          {problem}
        </chakra.p>
      )}
      {!closed && (
        <ReadingAsk
          stepUm={round.gaugeStepUm}
          typedIn={typedIn}
          readings={round.stations.flatMap((station, index) =>
            PLANES.flatMap(key => {
              const valueUm = station[key]
              return valueUm === null
                ? []
                : [
                    {
                      label: `Place ${index + 1}, ${key === 'heightUm' ? 'height' : 'side'}`,
                      valueUm,
                      // A screw out of line reads otherwise at every place: none of them says what is usual.
                      besideUm: [],
                      onChange: (next: number) => change(station, { [key]: next }),
                    },
                  ]
            }),
          )}
        />
      )}
      <CopyTable
        label={`round of ${round.stations.length} places`}
        cells={() => tableOf(round, units, typedIn)}
      />
    </div>
  )
}

function tableOf(round: AlignRound, units: UnitSystem, typedIn: ReadingUnit): string[][] {
  const unit = readingUnit(typedIn)
  const reading = (um: number | null) => (um === null ? '' : printReading(um, typedIn))
  return [
    [
      `${positionMm.label}, ${quantityFacts('length')[units].unit}`,
      ...[heightUm, sideUm].map(({ label }) => `${label}, ${unit.unit}`),
    ],
    ...round.stations.map(station => [
      printField(station.positionMm, 'length', units),
      reading(station.heightUm),
      reading(station.sideUm),
    ]),
  ]
}
