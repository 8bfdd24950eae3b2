import { chakra } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { attempt } from '@/core/evaluation/attempt'
import { type Finding, STATE_WORDS } from '@/core/evaluation/finding'
import type { RowsField } from '@/core/field/field'
import type { CheckId } from '@/core/sheets'
import type { Round } from '@/core/sheets/shared/rounds/model'
import {
  closingWith,
  finishRound,
  lastRound,
  type Rounds,
  removeRound,
} from '@/core/sheets/shared/rounds/rounds'
import { say } from '@/core/units/print'
import { Button } from '@/ui/controls'
import type { GaugeScene } from '@/ui/drawings/GaugeDrawing'
import { Fold } from '@/ui/Fold'
import { Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { useEdit, useJobContext, useUnits } from '../JobContext'
import { useAxisNow } from '../useAxis'
import { evaluationOf, useCatalogue, useSettledEvaluation } from '../useEvaluation'
import { Advice } from './Advice'
import { How } from './How'
import { Readings } from './Readings'
import { RoundsSoFar } from './RoundsSoFar'
import { Settings } from './Settings'
import { useLastRound } from './useRounds'
export interface RoundPanelProps<R extends Round> {
  rounds: Rounds<R>
  /** What is read, in one line, for the head. */
  title: string
  /** Where the gauge stands, drawn. */
  scene: GaugeScene
  /** How it is read, and which way the gauge reads more. */
  words: string
  /** What else belongs to that. */
  also?: ReactNode
  /** The checks that say what to do. */
  checks: readonly CheckId[]
  /** Fields of the round that stand above its readings, in this order. */
  fields: readonly (keyof R & string)[] | ((round: R) => readonly (keyof R & string)[])
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

type Props<R extends Round> = RoundPanelProps<R>

/** A round of readings: how to take them, the table, the picture, and what to do; then all rounds so far. */
export function RoundPanel<R extends Round>(props: Props<R>) {
  const { rounds, title, scene, words, also, checks, wide, soFar } = props
  const how = (
    <>
      <How scene={scene} words={words} />
      {also}
    </>
  )
  const { count, isClosed, start } = useLastRound(rounds)
  const { isRehearsed } = useJobContext()
  if (count === 0)
    return (
      <Panel title={title}>
        {how}
        <Button variant="lamp" mt="3" onClick={start} data-hand>
          Start a round
        </Button>
      </Panel>
    )
  return (
    <>
      <Panel
        title={`${title}: round ${count}`}
        action={
          isRehearsed ? undefined : isClosed ? (
            <Button variant="lamp" onClick={start} data-hand>
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
      {!isRehearsed && (
        <RoundsSoFar rounds={rounds} checks={checks}>
          {soFar}
        </RoundsSoFar>
      )}
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
    edit(
      finishRound(
        rounds,
        axis,
        last(),
        new Date().toISOString(),
        summary,
        round ? closingWith(rounds, context, round, advice) : null,
      ),
    )
  }
  return (
    <chakra.div display="flex" gap="2" data-hand>
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
function HowItIsRead<R extends Round>({ rounds, how }: Pick<Props<R>, 'rounds'> & { how: ReactNode }) {
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

/** What the gauge can tell at these places, and what counts: calipers are told from an indicator before they are read. */
function WhatItTells<R extends Round>({ rounds }: { rounds: Rounds<R> }) {
  const context = useSettledEvaluation()
  const round = lastRound(rounds, context.axis)
  const told = round && attempt(() => rounds.resolution?.(context, round)).value
  if (!told) return null
  const small = (um: number) => say(um, 'smallLength', context.units)
  const coarse = told.leastUm > told.countsUm
  return (
    <Stated mt="2" color={coarse ? 'close' : 'quiet'} fontWeight={coarse ? 700 : undefined} data-resolution>
      With this gauge, read like that, {small(told.leastUm)} can be told from nothing; {small(told.countsUm)}{' '}
      is what counts.
      {coarse && ' It can find what is badly off, not set it: borrow a finer one.'}
    </Stated>
  )
}
