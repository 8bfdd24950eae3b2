import { chakra } from '@chakra-ui/react'
import { isEqual } from 'es-toolkit'
import { useMemo, useRef, useState } from 'react'
import type { RowsField } from '@/core/field/field'
import { closingNotes } from '@/core/sheets/shared/rounds/closing'
import type { Round } from '@/core/sheets/shared/rounds/model'
import { ODD_WORDS, oddReadings } from '@/core/sheets/shared/rounds/odd'
import {
  type ColumnMove,
  moveColumn,
  movedColumn,
  readingKeys,
  stationsOf,
  turnSigns,
} from '@/core/sheets/shared/rounds/rounds'
import { readingUnit } from '@/core/units/readingUnit'
import { Button } from '@/ui/controls'
import { Fold } from '@/ui/Fold'
import { SelectField } from '@/ui/fields/SelectField'
import { Note } from '@/ui/Note'
import { RowsTable } from '@/ui/table/RowsTable'
import { useReadingUnit } from '../GaugeFields'
import { useEdit, useUnits } from '../JobContext'
import { ReadingAsk } from '../ReadingAsk'
import { useAxisNow } from '../useAxis'
import { useSettledEvaluation } from '../useEvaluation'
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
  const context = useSettledEvaluation()
  const first = useMemo(() => readingKeys(of), [of])
  const notes = useSame(
    round && !isClosed
      ? {
          ...closingNotes(context, rounds, round),
          ...Object.fromEntries(
            oddReadings(rounds, round).map(({ rowId, key, why }) => [`${rowId} ${key}`, ODD_WORDS[why]]),
          ),
        }
      : {},
  )
  if (!round || Object.keys(of.of).length === 0) return null
  return (
    <chakra.div minW="0" data-hand>
      <RowsTable
        of={of}
        rows={round.stations}
        {...actions}
        units={units}
        typedIn={readingUnit(unit)}
        first={first}
        across={rounds.across}
        disabled={isClosed}
        notes={notes}
        addLabel={addLabel}
      />
      {!isClosed && rounds.signed?.(round) && 'tipLifted' in round && round.tipLifted === 'less' && (
        <TurnSigns rounds={rounds} />
      )}
      {!isClosed && <MoveColumn rounds={rounds} round={round} of={of} />}
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

/** A dial that showed less as its tip was pushed in: every sign is the other way. */
function TurnSigns<R extends Round>({ rounds }: Pick<RoundPanelProps<R>, 'rounds'>) {
  const edit = useEdit()
  const axisNow = useAxisNow()
  return (
    <Button variant="lamp" mt="2" onClick={() => edit(turnSigns(rounds, axisNow()))}>
      Turn every sign over
    </Button>
  )
}

/** Readings that slipped by a row are moved, not typed again. */
function MoveColumn<R extends Round>({
  rounds,
  round,
  of,
}: {
  rounds: RoundPanelProps<R>['rounds']
  round: R
  of: RowsField
}) {
  const edit = useEdit()
  const axisNow = useAxisNow()
  const keys = readingKeys(of)
  const [key, setKey] = useState(keys[0] ?? '')
  const [from, setFrom] = useState(0)
  const stations = round.stations as { id: string; [key: string]: unknown }[]
  if (keys.length === 0 || stations.length < FEWEST_TO_MOVE) return null
  const values = stations.map(station => station[key] as number | null)
  return (
    <Fold name="A reading was left out, or typed twice" later>
      <chakra.div display="flex" gap="2" flexWrap="wrap" alignItems="flex-end" data-move-column>
        {keys.length > 1 && (
          <SelectField
            label="Column"
            value={key}
            options={keys.map(value => ({ value, label: of.of[value]?.label ?? value }))}
            onChange={setKey}
          />
        )}
        <SelectField
          label={`From ${of.label.toLowerCase()}`}
          value={String(from)}
          options={stations.map((_, index) => ({ value: String(index), label: String(index + 1) }))}
          onChange={next => setFrom(Number(next))}
        />
        {MOVES.map(({ move, label }) => (
          <Button
            key={move}
            variant="outline"
            disabled={movedColumn(values, from, move) === null}
            onClick={() => edit(moveColumn(rounds, axisNow(), key, from, move))}
          >
            {label}
          </Button>
        ))}
      </chakra.div>
      <Note mt="1">
        One place on needs the last row empty; one back needs the row empty that it is to move into.
      </Note>
    </Fold>
  )
}
const FEWEST_TO_MOVE = 3
const MOVES: readonly { move: ColumnMove; label: string }[] = [
  { move: 'on', label: 'Move on by one place' },
  { move: 'back', label: 'Move back by one place' },
]

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
