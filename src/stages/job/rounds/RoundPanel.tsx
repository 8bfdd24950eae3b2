import { chakra } from '@chakra-ui/react'
import equal from 'fast-deep-equal'
import { memo, type ReactNode, useCallback, useMemo, useRef } from 'react'
import { setReadingUnit } from '@/core/document/shop'
import { attempt } from '@/core/evaluation/attempt'
import { type Finding, STATE_WORDS } from '@/core/evaluation/finding'
import type { Field, RowsField } from '@/core/field/field'
import { finely } from '@/core/machine/align/judging'
import { ODD_WORDS, oddReadings } from '@/core/machine/align/odd'
import {
  finishRound,
  lastRound,
  ROUND,
  type Round,
  type Rounds,
  readingKeys,
  removeRound,
  stationsOf,
} from '@/core/machine/align/rounds'
import type { CheckId } from '@/core/sheets'
import { say } from '@/core/units/print'
import { READING_UNITS, type ReadingUnit, readingUnit } from '@/core/units/readingUnit'
import { Button } from '@/ui/controls'
import { Fold } from '@/ui/Fold'
import { FieldInput } from '@/ui/fields/FieldInput'
import { SelectField } from '@/ui/fields/SelectField'
import { Panel } from '@/ui/Panel'
import { RowsTable } from '@/ui/table/RowsTable'
import { useReadingUnit } from '../GaugeFields'
import { useEdit, useUnits } from '../JobContext'
import { ReadingAsk } from '../ReadingAsk'
import { useAxis, useAxisNow } from '../useAxis'
import { evaluationOf, useCatalogue, useSettledEvaluation } from '../useEvaluation'
import { Advice } from './Advice'
import { RoundsSoFar } from './RoundsSoFar'
import { useLastRound, useRounds } from './useRounds'

interface Props<R extends Round> {
  rounds: Rounds<R>
  /** What is read, in one line, for the head. */
  title: string
  /** How it is read: where the gauge stands, and which way it reads more. */
  how: ReactNode
  /** The checks that say what to do. */
  checks: readonly CheckId[]
  /** Fields of the round that stand above its readings, in this order. */
  fields: (round: R) => readonly (keyof R & string)[]
  /** The readings' description where it is another than the stored one: fewer columns, other units. */
  stations?: (round: R) => RowsField
  /** What is drawn of the readings. */
  picture?: (round: R) => ReactNode
  /** What stands under the advice. */
  after?: (round: R) => ReactNode
  addLabel?: string
  /** What is drawn of all rounds so far. */
  soFar?: ReactNode
  /** The table takes the whole width; what is drawn stands under it. */
  wide?: boolean
}

/** A round of readings: how to take them, the table, the picture, and what to do; then all rounds so far. */
export function RoundPanel<R extends Round>(props: Props<R>) {
  const { rounds, title, how, checks, wide, soFar } = props
  const { count, isClosed, start } = useLastRound(rounds)
  if (count === 0)
    return (
      <Panel title={title}>
        {how}
        <Button variant="lamp" mt="3" onClick={start}>
          Start a round
        </Button>
      </Panel>
    )
  return (
    <>
      <Panel
        title={`${title}: round ${count}`}
        action={
          isClosed ? (
            <Button variant="lamp" onClick={start}>
              Start the next round
            </Button>
          ) : (
            <ToEnd rounds={rounds} checks={checks} />
          )
        }
      >
        <Advice checks={checks} />
        <Settings {...props} />
        <WhatItTells rounds={rounds} />
        <chakra.div
          display="grid"
          gap="4"
          mt="3"
          gridTemplateColumns={{
            base: 'minmax(0, 1fr)',
            lg: wide ? undefined : 'minmax(0, 1fr) minmax(0, 1fr)',
          }}
        >
          <Readings {...props} />
          <Beside {...props} />
        </chakra.div>
        <HowItIsRead rounds={rounds} how={how} />
      </Panel>
      <RoundsSoFar rounds={rounds} checks={checks}>
        {soFar}
      </RoundsSoFar>
    </>
  )
}

/** Closes the open round, or deletes it. */
function ToEnd<R extends Round>({ rounds, checks }: Pick<Props<R>, 'rounds' | 'checks'>) {
  const catalogue = useCatalogue()
  const units = useUnits()
  const axisNow = useAxisNow()
  const edit = useEdit()
  const last = () => lastRound(rounds, axisNow())?.id ?? ''
  const close = () => {
    const axis = axisNow()
    const context = evaluationOf(axis, catalogue, units)
    const advice = checks.flatMap(checkId => context.finding(checkId) ?? [])
    const round = lastRound(rounds, axis)
    const summary = summaryOf(rounds.about, rounds.pick(axis).length, round?.done ?? null, advice)
    edit(finishRound(rounds, axis, last(), new Date().toISOString(), summary))
  }
  return (
    <chakra.div display="flex" gap="2">
      <Button variant="danger" onClick={() => edit(removeRound(rounds, axisNow(), last()))}>
        Delete the round
      </Button>
      <Button variant="lamp" onClick={close}>
        Close the round
      </Button>
    </chakra.div>
  )
}

/** The last round once the typing rests: for what is drawn of it. */
const useSettledRound = <R extends Round>(rounds: Rounds<R>): R | undefined =>
  lastRound(rounds, useSettledEvaluation().axis)

/** What is drawn of the readings, and what stands under it; both follow when the typing rests. */
function Beside<R extends Round>({ rounds, picture, after }: Props<R>) {
  const round = useSettledRound(rounds)
  return (
    <chakra.div display="grid" gap="3" alignContent="start" minW="0">
      {round && picture?.(round)}
      {round && after?.(round)}
    </chakra.div>
  )
}

/** How it is read is folded away once something is. */
function HowItIsRead<R extends Round>({ rounds, how }: Pick<Props<R>, 'rounds' | 'how'>) {
  const context = useSettledEvaluation()
  const round = lastRound(rounds, context.axis)
  const isUnread = !round || rounds.worst(context, round) === null
  return <chakra.div mt="3">{isUnread ? how : <Fold name="How it is read">{how}</Fold>}</chakra.div>
}

/** What goes to the log: what was done before the round, and what it said. */
const summaryOf = (about: string, number: number, done: string | null, advice: readonly Finding[]) =>
  [
    `${about}, round ${number}.`,
    done && `After: ${done}.`,
    ...advice.map(({ state, sentence }) => `${STATE_WORDS[state]}: ${sentence}`),
  ]
    .filter(Boolean)
    .join(' ')

/** The fields of the round, four abreast where there is room. */
function Settings<R extends Round>({ rounds, fields, stations }: Props<R>) {
  const { all, round, isClosed, put } = useRounds(rounds)
  const edit = useEdit()
  const unit = useReadingUnit()
  const screws = useAxis(axis => axis.drive.screws)
  if (!round) return null
  const of = stations?.(round) ?? stationsOf(rounds)
  const shown = [
    ...(screws === 2 && 'screw' in round ? (['screw'] as const) : []),
    ...fields(round),
  ] as (keyof R & string)[]
  const readsSmall = [...Object.values(of.of), ...shown.map(key => rounds.of.of[key])].some(isReading)
  return (
    <chakra.div
      display="grid"
      gap="3"
      mt="3"
      gridTemplateColumns="repeat(auto-fill, minmax(164px, 1fr))"
      alignItems="start"
      // A long choice is cut, not the page widened.
      css={{ '& > *': { minWidth: 0 } }}
      data-readings
    >
      {shown.map(key => (
        <Setting
          key={key}
          of={key}
          field={rounds.of.of[key] as Field}
          value={round[key]}
          isClosed={isClosed}
          unit={unit}
          put={put as Put}
        />
      ))}
      {readsSmall && <TypedIn unit={unit} onChange={next => edit(setReadingUnit(next))} />}
      {all.length > 1 && (
        <Setting of="done" field={DONE} value={round.done} isClosed={isClosed} unit={unit} put={put as Put} />
      )}
    </chakra.div>
  )
}

const TYPED_IN = READING_UNITS.map(value => ({ value, label: readingUnit(value).unit }))
const TypedIn = memo(
  ({ unit, onChange }: { unit: ReadingUnit; onChange: (unit: ReadingUnit) => void }) => (
    <SelectField label="Readings are typed in" value={unit} options={TYPED_IN} onChange={onChange} />
  ),
  (before, now) => before.unit === now.unit,
)

const DONE: Field = { ...ROUND.done, label: 'What was done since the last round' }
type Put = (key: string, value: unknown, mergeKey?: string) => void

/** One field of a round: it is drawn again only when its own value changes. */
const Setting = memo(function Setting({
  of,
  field,
  value,
  isClosed,
  unit,
  put,
}: {
  of: string
  field: Field
  value: unknown
  isClosed: boolean
  unit: ReadingUnit
  put: Put
}) {
  const units = useUnits()
  const onValue = useCallback((next: unknown, mergeKey?: string) => put(of, next, mergeKey), [put, of])
  return (
    <chakra.div gridColumn={isLong(field) ? { sm: 'span 2' } : undefined}>
      <FieldInput
        field={field}
        value={value}
        units={units}
        disabled={isClosed}
        {...(isReading(field) && of !== 'gaugeStepUm' && { typedIn: readingUnit(unit), echoes: !isClosed })}
        onValue={onValue}
      />
    </chakra.div>
  )
})

/** What the gauge can tell at these places, and what counts: calipers are told from an indicator before they are read. */
function WhatItTells<R extends Round>({ rounds }: { rounds: Rounds<R> }) {
  const context = useSettledEvaluation()
  const round = lastRound(rounds, context.axis)
  const told = round && attempt(() => rounds.tells?.(context, round)).value
  if (!told) return null
  const small = (um: number) => say(finely(um), 'smallLength', context.units)
  const coarse = told.leastUm > told.countsUm
  return (
    <chakra.p
      fontSize="14px"
      mt="2"
      color={coarse ? 'close' : 'quiet'}
      fontWeight={coarse ? 700 : undefined}
      data-tells
    >
      With this gauge, read like that, {small(told.leastUm)} can be told from nothing; {small(told.countsUm)}{' '}
      is what counts.
      {coarse && ' It can find what is badly off, not set it: borrow a finer one.'}
    </chakra.p>
  )
}

/** Longer words of a choice want room for two fields. */
const LONG_WORDS = 20
const isLong = (field: Field): boolean =>
  field.is === 'words' ||
  (field.is === 'choice' && Object.values(field.words ?? {}).some(words => (words ?? '').length > LONG_WORDS))

/** What a gauge says, or may say. */
const isReading = (field: Field | undefined) =>
  field?.is === 'number' && field.quantity === 'smallLength' && field.orNone === true

/** The table of readings; what cannot have been meant so is asked about beneath it. */
function Readings<R extends Round>({ rounds, stations, addLabel = 'Another reading' }: Props<R>) {
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
  if (!equal(last.current, value)) last.current = value
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
