import { chakra } from '@chakra-ui/react'
import { memo, useId, useState } from 'react'
import { useForm } from 'react-hook-form'
import type { Axis } from '@/core/document/axis'
import { READING } from '@/core/readings/model'
import { nextStop, progressOf, type Stop, wayWord } from '@/core/sheets/fullTest/course'
import { changeFullTest, takeReadings } from '@/core/sheets/fullTest/edits'
import { FULL_TESTS, type FullTest } from '@/core/sheets/fullTest/model'
import { isPractice, PRACTICE } from '@/core/sheets/shared/proofs/practice'
import { readOne, readPasted } from '@/core/units/pasted'
import { say } from '@/core/units/print'
import { readingUnit } from '@/core/units/readingUnit'
import { Button, Textarea } from '@/ui/controls'
import { Fold } from '@/ui/Fold'
import { TextField } from '@/ui/fields/TextField'
import { Stated } from '@/ui/Note'
import { ProgressBar } from '@/ui/ProgressBar'
import { useReadingUnit } from '../../job/GaugeFields'
import { GaugeLink } from '../../job/gauge/GaugeLink'
import { useEdit, useUnits } from '../../job/JobContext'
import { useAxis, useAxisDigest, useAxisNow } from '../../job/useAxis'

const lastTest = ({ fullTests }: Axis) => fullTests.at(-1) as FullTest
const stopIn = (axis: Axis) => nextStop(lastTest(axis))

/** Where to read next, and the field that takes it; what does not change with a reading is not drawn again at one. */
export const Take = memo(function Take() {
  const isDone = useAxis(axis => stopIn(axis) === null)
  return (
    <chakra.div mt="3" display="grid" gap="2" data-hand>
      <Progress />
      {isDone ? (
        <p>All readings are taken. Close the test, or raise the number of runs to go on.</p>
      ) : (
        <>
          <Next />
          <Paste />
          <Gauge />
        </>
      )}
    </chakra.div>
  )
})

/** How many readings are taken. */
function Progress() {
  const { taken, all } = useAxisDigest(axis => progressOf(lastTest(axis)))
  return (
    <Stated as="div" display="flex" gap="3" alignItems="center">
      <ProgressBar value={taken} max={all} aria-label="Readings taken" flex="1" maxW="320px" />
      <span data-progress>
        {taken} of {all} readings
      </span>
    </Stated>
  )
}

/** The field for the next reading: with Enter, as a gauge with a keyboard cable sends them. */
function Next() {
  const stop = useAxisDigest(stopIn)
  const units = useUnits()
  const typedIn = useReadingUnit()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const { register, handleSubmit, reset, setFocus } = useForm({ defaultValues: { reading: '' } })
  const [problem, setProblem] = useState<string>()
  const submit = handleSubmit(({ reading }) => {
    const read = readOne(reading, typedIn, READING)
    if (!read.ok) {
      // What is typed next stands in place of what was refused.
      setFocus('reading', { shouldSelect: true })
      return setProblem(read.message)
    }
    setProblem(undefined)
    edit(takeReadings(axisNow(), lastTest(axisNow()).id, [read.valueUm]))
    reset()
  })
  if (!stop) return null
  return (
    <chakra.form
      onSubmit={submit}
      data-next-reading
      display="flex"
      gap="3"
      flexWrap="wrap"
      alignItems="flex-end"
    >
      <chakra.div flex="0 1 420px">
        <TextField
          label={`Next: run ${stop.run + 1}, going ${wayWord(stop.way)}, at ${say(stop.targetMm, 'length', units, 2)}`}
          inputMode="decimal"
          unit={readingUnit(typedIn).unit}
          error={problem}
          {...register('reading')}
        />
      </chakra.div>
      <TakeIt />
    </chakra.form>
  )
}

const TakeIt = memo(function TakeIt() {
  return (
    <Button type="submit" variant="outline">
      Take it
    </Button>
  )
})

/** Readings that come from a gauge by themselves, or from a made-up one. */
const Gauge = memo(function Gauge() {
  const edit = useEdit()
  const axisNow = useAxisNow()
  // Made-up readings are never taken for those of the machine: the test says what it is, on every paper.
  const markPractice = () => {
    const test = lastTest(axisNow())
    if (isPractice(test)) return
    const label = `${test.label.slice(0, FULL_TESTS.of.label.most - PRACTICE.length)}${PRACTICE}`
    edit(changeFullTest(axisNow(), test.id, { label }))
  }
  return (
    <Fold name="Read from a gauge" later>
      <GaugeLink
        onReading={um => edit(takeReadings(axisNow(), lastTest(axisNow()).id, [um]))}
        practice={() => practised(stopIn(axisNow()), progressOf(lastTest(axisNow())).taken)}
        onPractice={markPractice}
      />
    </Fold>
  )
})

/** What a made-up axis reads: it loses a little when it turns, and repeats within a few micrometres. */
const practised = (stop: Stop | null, taken: number): number =>
  (stop?.way === 'negativeUm' ? -6 : 6) + Math.round((stop?.targetMm ?? 0) / 100) + ((taken * 7) % 4) - 1

/** Many readings at once: a column from a spreadsheet, or the lines of a file. */
const Paste = memo(function Paste() {
  const typedIn = useReadingUnit()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const id = useId()
  const [text, setText] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const put = () => {
    const test = lastTest(axisNow())
    const { taken, all } = progressOf(test)
    const left = all - taken
    const lines = text.split(/\r?\n/).filter(line => line.trim() !== '')
    if (lines.length > left)
      return setProblem(`Got ${lines.length} readings; ${left} are left to take. Nothing was taken.`)
    const read = readPasted(lines, typedIn, READING)
    if (!read.ok) return setProblem(read.message)
    setProblem(null)
    setText('')
    edit(
      takeReadings(
        axisNow(),
        test.id,
        read.valuesUm.flatMap(one => one ?? []),
      ),
    )
  }
  return (
    <Fold name="Paste a column of readings">
      <chakra.div display="grid" gap="1" maxW="360px">
        <label htmlFor={id}>In the order in which the axis moves, one a line, from the next place on</label>
        <Textarea
          id={id}
          rows={4}
          value={text}
          aria-invalid={problem !== null}
          onChange={event => setText(event.currentTarget.value)}
        />
      </chakra.div>
      {problem && (
        <chakra.p role="alert" color="fails" fontWeight={700}>
          {problem}
        </chakra.p>
      )}
      <Button variant="outline" mt="1" onClick={put} disabled={text.trim() === ''}>
        Put them in
      </Button>
    </Fold>
  )
})
