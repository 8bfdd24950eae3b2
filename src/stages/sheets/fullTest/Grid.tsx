import { chakra } from '@chakra-ui/react'
import { memo, useState } from 'react'
import { READING } from '@/core/readings/model'
import { counted } from '@/core/sheets/fullTest/counted'
import { nextStop, type Stop, wayWord } from '@/core/sheets/fullTest/course'
import { retakeReading } from '@/core/sheets/fullTest/edits'
import { amongOf, oddAt } from '@/core/sheets/fullTest/figures'
import type { FullTest, Target } from '@/core/sheets/fullTest/model'
import { readingLines } from '@/core/sheets/fullTest/readingsCsv'
import { readOne } from '@/core/units/pasted'
import { say } from '@/core/units/print'
import { printReading, type ReadingUnit, readingUnit } from '@/core/units/readingUnit'
import { Button } from '@/ui/controls'
import { TextField } from '@/ui/fields/TextField'
import { SideScroll } from '@/ui/Panel'
import { CopyTable } from '@/ui/table/CopyTable'
import { useReadingUnit } from '../../job/GaugeFields'
import { useEdit, useUnits } from '../../job/JobContext'
import { useAxis, useAxisNow } from '../../job/useAxis'
import styles from './grid.module.css'

const WAYS = [
  { way: 'positiveUm', word: 'up' },
  { way: 'negativeUm', word: 'down' },
] as const

/** Every reading at its target, by way and run; one that is odd is marked, and can be taken again. */
export function Grid() {
  const test = useAxis(axis => axis.fullTests.at(-1)) as FullTest
  const typedIn = useReadingUnit()
  const units = useUnits()
  const [again, setAgain] = useState<Stop | null>(null)
  const next = nextStop(test)
  const rows = test.targets.toSorted((a, b) => a.targetMm - b.targetMm)
  const counts = new Map(counted(test).targets.map(target => [target.id, target]))
  const runs = Array.from({ length: test.runs }, (_, run) => run)
  return (
    <chakra.div mt="3">
      <SideScroll tabIndex={0} role="region" aria-label="Readings of the test">
        <table className={styles.grid}>
          <caption className={styles.caption}>Readings, {readingUnit(typedIn).unit}</caption>
          <thead>
            <tr>
              <th scope="col">Target</th>
              {WAYS.flatMap(({ way, word }) =>
                runs.map(run => (
                  <th key={`${way} ${run}`} scope="col">
                    {word} {run + 1}
                  </th>
                )),
              )}
            </tr>
          </thead>
          <tbody>
            {rows.map(target => (
              <Row
                key={target.id}
                target={target}
                counts={counts.get(target.id) ?? target}
                place={say(target.targetMm, 'length', units, 2)}
                runs={test.runs}
                typedIn={typedIn}
                gaugeStepUm={test.gaugeStepUm}
                among={amongOf(test)}
                next={next?.targetId === target.id ? `${next.way} ${next.run}` : ''}
                closed={test.finishedAt !== null}
                onAgain={setAgain}
              />
            ))}
          </tbody>
        </table>
      </SideScroll>
      <CopyReadings label={test.label} />
      {again && test.finishedAt === null && (
        <Again key={JSON.stringify(again)} test={test} stop={again} onDone={() => setAgain(null)} />
      )}
    </chakra.div>
  )
}

/** Copies the readings out as they stand when it is pressed. */
const CopyReadings = memo(function CopyReadings({ label }: { label: string }) {
  const axisNow = useAxisNow()
  const units = useUnits()
  const typedIn = useReadingUnit()
  return (
    <CopyTable
      label={label}
      cells={() => readingLines(axisNow().fullTests.at(-1) as FullTest, units, typedIn)}
    />
  )
})

interface RowProps {
  target: Target
  /** The same as its readings count. */
  counts: Target
  place: string
  runs: number
  typedIn: ReadingUnit
  gaugeStepUm: number | null
  /** How many readings the test has. */
  among: number
  /** Which of its readings is to be taken next. */
  next: string
  closed: boolean
  onAgain: (stop: Stop) => void
}

/** The readings of a target; drawn again only when something of it changes. */
const Row = memo(function Row({
  target,
  counts,
  place,
  runs,
  typedIn,
  gaugeStepUm,
  among,
  next,
  closed,
  onAgain,
}: RowProps) {
  const odd = oddAt(target, gaugeStepUm, among, counts)
  return (
    <tr>
      <th scope="row">{place}</th>
      {WAYS.flatMap(({ way, word }) =>
        Array.from({ length: runs }, (_, run) => {
          const readingUm = target[way][run]
          const at = `${way} ${run}`
          const isOdd = odd.some(one => one.way === way && one.run === run)
          return (
            <td key={at} data-next={at === next || undefined} data-odd={isOdd || undefined}>
              {readingUm === undefined ? (
                at === next ? (
                  'next'
                ) : (
                  ''
                )
              ) : closed ? (
                printReading(readingUm, typedIn)
              ) : (
                <button
                  type="button"
                  className={styles.reading}
                  aria-label={`Take again: run ${run + 1} ${word} at ${place}, ${printReading(readingUm, typedIn)}${isOdd ? ', stands apart' : ''}`}
                  onClick={() => onAgain({ targetId: target.id, targetMm: target.targetMm, way, run })}
                >
                  {printReading(readingUm, typedIn)}
                </button>
              )}
            </td>
          )
        }),
      )}
    </tr>
  )
})

/** A reading taken again; the one before it goes to the log. */
function Again({ test, stop, onDone }: { test: FullTest; stop: Stop; onDone: () => void }) {
  const typedIn = useReadingUnit()
  const units = useUnits()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const [text, setText] = useState('')
  const [problem, setProblem] = useState<string>()
  const wasUm = test.targets.find(({ id }) => id === stop.targetId)?.[stop.way][stop.run] ?? 0
  const unit = readingUnit(typedIn).unit
  const where = `run ${stop.run + 1}, going ${wayWord(stop.way)}, at ${say(stop.targetMm, 'length', units, 2)}`
  const put = () => {
    const read = readOne(text, typedIn, READING)
    if (!read.ok) return setProblem(read.message)
    const { valueUm } = read
    edit(
      retakeReading(
        axisNow(),
        test.id,
        stop,
        valueUm,
        `Full test “${test.label}”, ${where}: ${printReading(valueUm, typedIn)} ${unit} read in place of ${printReading(wasUm, typedIn)} ${unit}.`,
      ),
    )
    onDone()
  }
  return (
    <chakra.form
      mt="2"
      display="flex"
      gap="2"
      flexWrap="wrap"
      alignItems="flex-end"
      onSubmit={event => {
        event.preventDefault()
        put()
      }}
    >
      <chakra.div flex="0 1 300px">
        <TextField
          label={`Again: ${where}`}
          hint={`It was ${printReading(wasUm, typedIn)} ${unit}; that goes to the log.`}
          inputMode="decimal"
          unit={unit}
          autoFocus
          value={text}
          error={problem}
          onChange={event => setText(event.currentTarget.value)}
        />
      </chakra.div>
      <Button type="submit" variant="outline">
        Put it in
      </Button>
      <Button variant="quiet" onClick={onDone}>
        Leave it
      </Button>
    </chakra.form>
  )
}
