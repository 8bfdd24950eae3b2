import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import type { Axis } from '@/core/document/axis'
import { READING } from '@/core/readings/model'
import { type Approach, pasteTestReadings, setTestPlace, setTestReading } from '@/core/sheets/reversal/edits'
import { judgeReversal, oddReadings, readingsIn, readingsPerSide } from '@/core/sheets/reversal/judgeReversal'
import { REVERSAL_STATIONS, type ReversalStation, type ReversalTest } from '@/core/sheets/reversal/model'
import { stationReversal } from '@/core/sheets/shared/proofs/compare'
import { FEWEST_OF_A_TEST } from '@/core/sheets/shared/proofs/fewReadings'
import { reversalWithAll } from '@/core/sheets/shared/proofs/uncertainty'
import { readPasted } from '@/core/units/pasted'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { type ReadingUnit, readingUnit } from '@/core/units/readingUnit'
import { QuantityField } from '@/ui/fields/QuantityField'
import { Stated } from '@/ui/Note'
import { StateMark } from '@/ui/verdicts/StateMark'
import { useReadingUnit } from '../../job/GaugeFields'
import { useEdit } from '../../job/JobContext'
import { ReadingAsk } from '../../job/ReadingAsk'
import { useEvaluation } from '../../job/useEvaluation'

interface Props {
  axis: Axis
  test: ReversalTest
  station: ReversalStation
  index: number
  units: UnitSystem
  closed: boolean
}

const within = ({ min, max }: { min: number; max: number }) => ({ min, max })

const SIDES: { approach: Approach; label: string }[] = [
  { approach: 'approachPositiveUm', label: 'Coming up to it' },
  { approach: 'approachNegativeUm', label: 'Coming down to it' },
]

/** One place of a test: its readings from either side, and what they come to. */
export function ReversalStationCard({ axis, test, station, index, units, closed }: Props) {
  const edit = useEdit()
  const context = useEvaluation()
  const stepUm = test.gaugeStepUm
  const figures = stepUm === null ? null : stationReversal(station, stepUm)
  const verdict =
    figures &&
    judgeReversal(
      figures,
      readingsPerSide(station),
      axis.goals.backlashTargetUm,
      stepUm ?? 0,
      reversalWithAll(context, `station.${station.id}`, figures, stepUm ?? 0).expandedUm,
    )
  const odd = stepUm === null ? [] : oddReadings(station, stepUm, readingsIn(test))
  const typedIn = useReadingUnit()
  const [problem, setProblem] = useState<string | null>(null)
  /** A column goes to the side it is pasted into; of two or more, the second one to the other side. */
  const paste = (side: number, from: number, cells: string[][]) => {
    const columns: Partial<Record<Approach, number[]>> = {}
    // A single line is a row of readings.
    const isRow = cells.length === 1
    for (const [offset, { approach }] of SIDES.slice(side).entries()) {
      const texts = isRow ? (offset === 0 ? (cells[0] ?? []) : []) : cells.map(line => line[offset] ?? '')
      const read = readPasted(texts, typedIn, READING)
      if (!read.ok) return setProblem(read.message)
      const values = read.valuesUm.filter(value => value !== null)
      if (values.length > 0) columns[approach] = values
    }
    setProblem(null)
    edit(pasteTestReadings(axis, test.id, station.id, from, columns))
  }
  const small = (um: number) => say(um, 'smallLength', units)
  return (
    <chakra.section aria-label={`Station ${index + 1}`} data-hand borderWidth="1px" borderRadius="6px" p="3">
      <chakra.div display="flex" flexWrap="wrap" gap="4" alignItems="flex-end" mb="2">
        <QuantityField
          label={`Station ${index + 1} at`}
          kind="length"
          units={units}
          {...within(REVERSAL_STATIONS.of.positionMm)}
          value={station.positionMm}
          disabled={closed}
          onValue={(value, key) =>
            value !== null && edit(setTestPlace(axis, test.id, station.id, value, key))
          }
        />
        {figures && verdict && (
          <Stated data-station-result>
            <StateMark state={verdict.state} />{' '}
            <chakra.span fontFamily="mono">
              {small(verdict.reversalUm)} ± {small(verdict.expandedUm)}
            </chakra.span>
            <chakra.span color="quiet">
              {' '}
              repeats within {small(figures.repeatabilityPositiveUm)} up,{' '}
              {small(figures.repeatabilityNegativeUm)} down
              {verdict.moreReadings > 0 && `; take ${verdict.moreReadings} more from each side`}
            </chakra.span>
          </Stated>
        )}
      </chakra.div>
      <div data-readings data-enough={SIDES.length * FEWEST_OF_A_TEST}>
        {SIDES.map(({ approach, label }, side) => (
          <Readings
            key={approach}
            label={label}
            readings={station[approach]}
            odd={odd.filter(one => one.side === approach).map(({ index: at }) => at)}
            place={index + 1}
            side={side}
            units={units}
            typedIn={typedIn}
            stepUm={stepUm}
            closed={closed}
            onReading={(reading, value, mergeKey) =>
              edit(
                setTestReading(
                  axis,
                  test.id,
                  { stationId: station.id, approach, index: reading },
                  value,
                  mergeKey,
                ),
              )
            }
            onPaste={(from, cells) => paste(side, from, cells)}
          />
        ))}
      </div>
      {problem && (
        <Stated role="alert" color="fails" fontWeight={700} mt="1">
          {problem}
        </Stated>
      )}
    </chakra.section>
  )
}

interface ReadingsProps {
  label: string
  readings: number[]
  /** Those that are marked: finer than the gauge, or apart from the rest. */
  odd: number[]
  place: number
  /** 0 for the side that is read first. */
  side: number
  units: UnitSystem
  typedIn: ReadingUnit
  stepUm: number | null
  closed: boolean
  onReading: (index: number, value: number | null, mergeKey?: string) => void
  onPaste: (from: number, cells: string[][]) => void
}

/** A row of readings with one empty field at its end; clearing a field takes its reading out. */
function Readings(props: ReadingsProps) {
  const { label, readings, odd, place, side, units, typedIn, stepUm, closed, onReading, onPaste } = props
  const fields = closed ? readings : [...readings, null]
  return (
    <chakra.div mt="1.5">
      <chakra.div display="flex" gap="2" alignItems="flex-start" flexWrap="wrap">
        <Stated as="span" width="122px" flexShrink={0} pt="2">
          {label}
        </Stated>
        {fields.map((value, index) => (
          <chakra.div
            // biome-ignore lint/suspicious/noArrayIndexKey: a reading is known by its number in the row
            key={index}
            width="86px"
            outline={odd.includes(index) ? '2px solid' : undefined}
            outlineColor="close"
            outlineOffset="2px"
            borderRadius="4px"
            data-odd={odd.includes(index) || undefined}
            // The slide comes up to the place, then down to it, then up again: so the fields follow each other.
            data-turn={2 * index + side}
          >
            <QuantityField
              label={`Station ${place}, ${label.toLowerCase()}, reading ${index + 1}`}
              hideLabel
              echoes={!closed}
              kind="smallLength"
              units={units}
              typedIn={readingUnit(typedIn)}
              {...within(READING)}
              optional
              clearOnLeave
              value={value}
              disabled={closed}
              onValue={(next, mergeKey) => onReading(index, next, mergeKey)}
              onPasteTable={cells => onPaste(index, cells)}
            />
          </chakra.div>
        ))}
        {odd.length > 0 && (
          <chakra.span fontSize="13px" color="close" fontWeight={700} pt="2">
            {odd.length === 1 ? 'The marked one is odd' : 'The marked ones are odd'}: read again.
          </chakra.span>
        )}
      </chakra.div>
      {!closed && (
        <ReadingAsk
          stepUm={stepUm}
          typedIn={typedIn}
          readings={readings.map((valueUm, index) => ({
            label: `Reading ${index + 1}`,
            valueUm,
            besideUm: readings.filter((_, other) => other !== index),
            onChange: next => onReading(index, next),
          }))}
        />
      )}
    </chakra.div>
  )
}
