import { chakra } from '@chakra-ui/react'
import { isEqual } from 'es-toolkit'
import { useMemo, useRef } from 'react'
import type { RowsField } from '@/core/field/field'
import { ODD_WORDS, oddReadings } from '@/core/sheets/shared/rounds/odd'
import { type Round, readingKeys, stationsOf } from '@/core/sheets/shared/rounds/rounds'
import { readingUnit } from '@/core/units/readingUnit'
import { RowsTable } from '@/ui/table/RowsTable'
import { useReadingUnit } from '../GaugeFields'
import { useUnits } from '../JobContext'
import { ReadingAsk } from '../ReadingAsk'
import type { RoundPanelProps } from './RoundPanel'
import { useRounds } from './useRounds'
/** The table of readings; what cannot have been meant so is asked about beneath it. */
export function Readings<R extends Round>({
  rounds,
  stations,
  addLabel = 'Another reading',
}: RoundPanelProps<R>) {
  const { actions, round, isClosed } = useRounds(rounds)
  const units = useUnits()
  const unit = useReadingUnit()
  const of = (round && stations?.(round)) ?? stationsOf(rounds)
  const first = useMemo(() => readingKeys(of), [of])
  const notes = useSame(
    round && !isClosed
      ? Object.fromEntries(
          oddReadings(rounds, round).map(({ rowId, key, why }) => [`${rowId} ${key}`, ODD_WORDS[why]]),
        )
      : {},
  )
  if (!round || Object.keys(of.of).length === 0) return null
  return (
    <chakra.div minW="0">
      <RowsTable
        of={of}
        rows={round.stations}
        {...actions}
        units={units}
        typedIn={readingUnit(unit)}
        first={first}
        disabled={isClosed}
        notes={notes}
        addLabel={addLabel}
      />
      {!isClosed && 'gaugeStepUm' in round && (
        <ReadingAsk
          stepUm={round.gaugeStepUm as number | null}
          typedIn={unit}
          readings={askable(of, round, (id, part) => actions.onChange(id, part as never))}
        />
      )}
    </chakra.div>
  )
}

/** The last value as long as the new one says the same. */
function useSame<T>(value: T): T {
  const last = useRef(value)
  if (!isEqual(last.current, value)) last.current = value
  return last.current
}

/** The gauge's readings of a round, each by what it is called. */
const askable = (of: RowsField, round: Round, put: (id: string, part: object) => void) =>
  (round.stations as { id: string; [key: string]: unknown }[]).flatMap((station, index) =>
    Object.entries(of.of).flatMap(([key, field]) => {
      const valueUm = station[key]
      return field.is === 'number' && field.quantity === 'smallLength' && typeof valueUm === 'number'
        ? [
            {
              label: `${field.label}, ${of.label.toLowerCase()} ${index + 1}`,
              valueUm,
              besideUm: [],
              onChange: (next: number) => put(station.id, { [key]: next }),
            },
          ]
        : []
    }),
  )
