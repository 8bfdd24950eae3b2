import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/axis'
import { READING } from '@/core/machine/readings'
import { type Approach, setTestPlace, setTestReading } from '@/core/sheets/reversal/edits'
import {
  judgeReversal,
  oddReadings,
  readingsPerSide,
  stationReversal,
} from '@/core/sheets/reversal/judgeTest'
import { REVERSAL_STATIONS, type ReversalStation, type ReversalTest } from '@/core/sheets/reversal/model'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { QuantityField } from '@/ui/fields/QuantityField'
import { StateMark } from '@/ui/verdicts/StateMark'
import { useEdit } from '../../job/JobContext'

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
  const stepUm = test.gaugeStepUm
  const figures = stepUm === null ? null : stationReversal(station, stepUm)
  const verdict =
    figures && judgeReversal(figures, readingsPerSide(station), axis.goals.backlashTargetUm, stepUm ?? 0)
  const odd = stepUm === null ? [] : oddReadings(station, stepUm)
  const small = (um: number) => say(um, 'smallLength', units)
  return (
    <chakra.section aria-label={`Station ${index + 1}`} borderWidth="1px" borderRadius="6px" p="3">
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
          <chakra.p fontSize="14px" data-station-result>
            <StateMark state={verdict.state} />{' '}
            <chakra.span fontFamily="mono">
              {small(verdict.reversalUm)} ± {small(figures.expandedUm)}
            </chakra.span>
            <chakra.span color="quiet">
              {' '}
              repeats within {small(figures.repeatabilityPositiveUm)} up,{' '}
              {small(figures.repeatabilityNegativeUm)} down
              {verdict.moreReadings > 0 && `; take ${verdict.moreReadings} more from each side`}
            </chakra.span>
          </chakra.p>
        )}
      </chakra.div>
      {SIDES.map(({ approach, label }) => (
        <Readings
          key={approach}
          label={label}
          readings={station[approach]}
          odd={odd.filter(({ side }) => side === approach).map(({ index: at }) => at)}
          place={index + 1}
          units={units}
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
        />
      ))}
    </chakra.section>
  )
}

interface ReadingsProps {
  label: string
  readings: number[]
  /** Those that are marked: finer than the gauge, or apart from the rest. */
  odd: number[]
  place: number
  units: UnitSystem
  closed: boolean
  onReading: (index: number, value: number | null, mergeKey: string) => void
}

/** A row of readings with one empty field at its end; clearing a field takes its reading out. */
function Readings({ label, readings, odd, place, units, closed, onReading }: ReadingsProps) {
  const fields = closed ? readings : [...readings, null]
  return (
    <chakra.div display="flex" gap="2" alignItems="center" flexWrap="wrap" mt="1.5" data-readings>
      <chakra.span fontSize="14px" width="122px" flexShrink={0}>
        {label}
      </chakra.span>
      {fields.map((value, index) => (
        <chakra.div
          // biome-ignore lint/suspicious/noArrayIndexKey: a reading is known by its number in the row
          key={index}
          width="92px"
          outline={odd.includes(index) ? '2px solid' : undefined}
          outlineColor="close"
          outlineOffset="2px"
          borderRadius="4px"
          data-odd={odd.includes(index) || undefined}
        >
          <QuantityField
            label={`Station ${place}, ${label.toLowerCase()}, reading ${index + 1}`}
            hideLabel
            kind="smallLength"
            units={units}
            {...within(READING)}
            optional
            clearOnLeave
            value={value}
            disabled={closed}
            onValue={(next, mergeKey) => onReading(index, next, mergeKey)}
          />
        </chakra.div>
      ))}
      {odd.length > 0 && (
        <chakra.span fontSize="13px" color="close" fontWeight={700}>
          {odd.length === 1 ? 'The marked one is odd' : 'The marked ones are odd'}: read again.
        </chakra.span>
      )}
    </chakra.div>
  )
}
