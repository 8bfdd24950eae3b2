import { chakra } from '@chakra-ui/react'
import { type ReactNode, useMemo } from 'react'
import { setReadingUnit, withGauge } from '@/core/document/shop'
import { attempt } from '@/core/evaluation/attempt'
import { type Finding, STATE_WORDS } from '@/core/evaluation/finding'
import type { Field, RowsField } from '@/core/field/field'
import { finely } from '@/core/machine/align/judging'
import { ODD_WORDS, oddReadings } from '@/core/machine/align/odd'
import {
  changeRound,
  finishRound,
  type Round,
  type Rounds,
  readingKeys,
  removeRound,
  stationsOf,
} from '@/core/machine/align/rounds'
import type { CheckId } from '@/core/sheets'
import { say } from '@/core/units/print'
import { READING_UNITS, readingUnit } from '@/core/units/readingUnit'
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
import { useEvaluation } from '../useEvaluation'
import { Advice } from './Advice'
import { RoundsSoFar } from './RoundsSoFar'
import { useRounds } from './useRounds'

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
  const { rounds, title, how, checks, picture, after, wide, soFar } = props
  const { all, round, isClosed, start } = useRounds(rounds)
  const context = useEvaluation()
  const advice = checks.flatMap(checkId => context.finding(checkId) ?? [])
  const axisNow = useAxisNow()
  const edit = useEdit()
  if (!round)
    return (
      <Panel title={title}>
        {how}
        <Button variant="lamp" mt="3" onClick={start}>
          Start a round
        </Button>
      </Panel>
    )
  const close = () =>
    edit(
      finishRound(
        rounds,
        axisNow(),
        round.id,
        new Date().toISOString(),
        summaryOf(rounds, all.length, advice),
      ),
    )
  return (
    <>
      <Panel
        title={`${title}: round ${all.length}`}
        action={
          isClosed ? (
            <Button variant="lamp" onClick={start}>
              Start the next round
            </Button>
          ) : (
            <chakra.div display="flex" gap="2">
              <Button variant="danger" onClick={() => edit(removeRound(rounds, axisNow(), round.id))}>
                Delete the round
              </Button>
              <Button variant="lamp" onClick={close}>
                Close the round
              </Button>
            </chakra.div>
          )
        }
      >
        <Advice findings={advice} />
        <Settings {...props} round={round} count={all.length} />
        <WhatItTells rounds={rounds} round={round} />
        <chakra.div
          display="grid"
          gap="4"
          mt="3"
          gridTemplateColumns={{
            base: 'minmax(0, 1fr)',
            lg: wide ? undefined : 'minmax(0, 1fr) minmax(0, 1fr)',
          }}
        >
          <Readings {...props} round={round} />
          <chakra.div display="grid" gap="3" alignContent="start" minW="0">
            {picture?.(round)}
            {after?.(round)}
          </chakra.div>
        </chakra.div>
        <chakra.div mt="3">
          {rounds.worst(context, round) === null ? how : <Fold name="How it is read">{how}</Fold>}
        </chakra.div>
      </Panel>
      <RoundsSoFar rounds={rounds} checks={checks}>
        {soFar}
      </RoundsSoFar>
    </>
  )
}

const summaryOf = <R extends Round>(rounds: Rounds<R>, number: number, advice: readonly Finding[]) =>
  `${rounds.about}, round ${number}. ${advice
    .map(({ state, sentence }) => `${STATE_WORDS[state]}: ${sentence}`)
    .join(' ')}`

/** The fields of a round, four abreast where there is room. */
function Settings<R extends Round>({
  rounds,
  round,
  count,
  fields,
  stations,
}: Props<R> & { round: R; count: number }) {
  const { isClosed, change } = useRounds(rounds)
  const units = useUnits()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const unit = useReadingUnit()
  const of = stations?.(round) ?? stationsOf(rounds)
  const screws = useAxis(axis => axis.drive.screws)
  const shown = [
    ...(screws === 2 && 'screw' in round ? (['screw'] as const) : []),
    ...fields(round),
  ] as (keyof R & string)[]
  const readsSmall = [...Object.values(of.of), ...shown.map(key => rounds.of.of[key])].some(isReading)
  const put = (key: keyof R & string, value: unknown, mergeKey?: string) => {
    const part = { [key]: value } as Partial<R>
    if (key === 'gaugeStepUm')
      edit(withGauge(changeRound(rounds, axisNow(), round.id, part, mergeKey), value as number | null))
    else change(part, mergeKey)
  }
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
      {shown.map(key => {
        const field = rounds.of.of[key] as Field
        return (
          <chakra.div key={key} gridColumn={isLong(field) ? { sm: 'span 2' } : undefined}>
            <FieldInput
              field={field}
              value={round[key]}
              units={units}
              disabled={isClosed}
              {...(isReading(field) &&
                key !== 'gaugeStepUm' && { typedIn: readingUnit(unit), echoes: !isClosed })}
              onValue={(value, mergeKey) => put(key, value, mergeKey)}
            />
          </chakra.div>
        )
      })}
      {readsSmall && (
        <SelectField
          label="Readings are typed in"
          value={unit}
          options={READING_UNITS.map(value => ({ value, label: readingUnit(value).unit }))}
          onChange={next => edit(setReadingUnit(next))}
        />
      )}
      {count > 1 && (
        <chakra.div gridColumn="span 2">
          <FieldInput
            field={rounds.of.of.done as Field}
            label="What was done since the last round"
            value={round.done}
            units={units}
            disabled={isClosed}
            onValue={value => put('done' as keyof R & string, value)}
          />
        </chakra.div>
      )}
    </chakra.div>
  )
}

/** What the gauge can tell at these places, and what counts: calipers are told from an indicator before they are read. */
function WhatItTells<R extends Round>({ rounds, round }: { rounds: Rounds<R>; round: R }) {
  const context = useEvaluation()
  const told = attempt(() => rounds.tells?.(context, round)).value
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
  field.is === 'choice' && Object.values(field.words ?? {}).some(words => (words ?? '').length > LONG_WORDS)

/** What a gauge says, or may say. */
const isReading = (field: Field | undefined) =>
  field?.is === 'number' && field.quantity === 'smallLength' && field.orNone === true

/** The table of readings; what cannot have been meant so is asked about beneath it. */
function Readings<R extends Round>({
  rounds,
  round,
  stations,
  addLabel = 'Another reading',
}: Props<R> & { round: R }) {
  const { actions, isClosed } = useRounds(rounds)
  const units = useUnits()
  const unit = useReadingUnit()
  const of = useMemo(() => stations?.(round) ?? stationsOf(rounds), [stations, round, rounds])
  const first = useMemo(() => readingKeys(of), [of])
  const notes = useMemo(
    () =>
      isClosed
        ? undefined
        : new Map(
            oddReadings(rounds, round).map(({ rowId, key, why }) => [`${rowId} ${key}`, ODD_WORDS[why]]),
          ),
    [rounds, round, isClosed],
  )
  if (Object.keys(of.of).length === 0) return null
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
