import { chakra } from '@chakra-ui/react'
import { useEffect, useMemo, useRef, useState } from 'react'
import type { ChoiceField } from '@/core/field/field'
import type { Answers, Lesson, Point } from '@/core/practice/trainer/lesson'
import { type Act, MOST_ACTS } from '@/core/practice/trainer/trainingBench'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { Fold } from '@/ui/Fold'
import { FieldInput } from '@/ui/fields/FieldInput'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { BenchDrawing } from './BenchDrawing'
import { keep, keptOf, usable } from './kept'
import { Notebook } from './Notebook'
import { anySeed, goPractise } from './place'
import { Tools } from './Tools'
import { VerdictList } from './VerdictList'
import { minutesWords, valueWords } from './words'

interface Props {
  lesson: Lesson
  seed: number
  units: UnitSystem
  /** Told a verdict: the minutes it took where nothing was missed, null where something was. */
  onJudged: (minutes: number | null) => void
}

/** So long each act of a way that is shown stands; a long way is shown faster. */
const SHOWN_MS = { go: 900, other: 350 }
const LONGEST_SHOW_MS = 24_000

/** One lesson on one machine: what to do, the machine, what one can do with it, what was read, and the verdict. */
export function LessonScreen({ lesson, seed, units, onJudged }: Props) {
  const of = `${lesson.id} ${seed}`
  const exercise = useMemo(() => lesson.of(seed), [lesson, seed])
  const [begun] = useState(() => usable(keptOf(of), lesson, exercise))
  const [acts, setActs] = useState<readonly Act[]>(begun.acts)
  const [answers, setAnswers] = useState<Answers>({ ...blank(lesson), ...begun.answers })
  const [points, setPoints] = useState<Point[] | null>(null)
  const [marked, setMarked] = useState<readonly number[]>([])
  /** How far a good way has been shown; null while none is. */
  const [shown, setShown] = useState<number | null>(null)
  const isShowing = shown !== null
  const bench = useMemo(
    () => exercise.bench(isShowing ? exercise.best.slice(0, shown) : acts),
    [exercise, acts, isShowing, shown],
  )
  const notebook = useRef<HTMLDivElement>(null)

  useEffect(() => keep({ of, acts, answers }), [of, acts, answers])
  useEffect(() => {
    if (shown === null || shown >= exercise.best.length) return
    const { best } = exercise
    const msOf = (one: Act) => (one.do === 'go' ? SHOWN_MS.go : SHOWN_MS.other)
    const whole = best.reduce((sum, one) => sum + msOf(one), 0)
    const faster = Math.max(1, whole / LONGEST_SHOW_MS)
    const timer = setTimeout(() => setShown(shown + 1), msOf(best[shown] as Act) / faster)
    return () => clearTimeout(timer)
  }, [shown, exercise])

  const act = (one: Act) => {
    setActs([...acts, one])
    setPoints(null)
    setMarked([])
  }
  const judge = () => {
    const found = exercise.judge(bench, answers, units)
    setPoints(found)
    setMarked([])
    onJudged(found.every(({ isRight }) => isRight) ? bench.minute : null)
  }
  const again = () => {
    setActs([])
    setAnswers(blank(lesson))
    setPoints(null)
    setMarked([])
    setShown(null)
  }
  const show = (readings: readonly number[]) => {
    setMarked(readings)
    notebook.current?.scrollIntoView({ block: 'nearest' })
  }
  const isFull = acts.length >= MOST_ACTS
  const last = bench.noted.at(-1)
  const hasDial = lesson.tools.some(({ tool }) => tool === 'note' || tool === 'rock' || tool === 'square')
  const ofHand = lesson.tools.some(({ tool }) => tool === 'note')
    ? undefined
    : last?.quantity === 'smallLength'
      ? (last.value ?? 0)
      : 0
  const isShownWhole = shown !== null && shown >= exercise.best.length
  return (
    <chakra.div
      display="grid"
      gap="3"
      gridTemplateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 380px' }}
      alignItems="start"
      data-lesson={lesson.id}
    >
      <chakra.div display="grid" gap="3" minW="0">
        <Panel
          title="What to do"
          action={
            <Note as="span" fontFamily="mono" data-clock>
              {minutesWords(bench.minute)} on the machine
            </Note>
          }
        >
          <chakra.p maxW="80ch">{exercise.task(units)}</chakra.p>
          <Fold name="How it is done">
            <chakra.ol pl="5" listStyleType="decimal" display="grid" gap="1" maxW="80ch">
              {lesson.how.map(line => (
                <li key={line}>{line}</li>
              ))}
            </chakra.ol>
          </Fold>
        </Panel>
        <Panel title="The machine">
          <BenchDrawing
            bench={bench}
            units={units}
            hasDial={hasDial}
            shownUm={ofHand}
            isGantry={lesson.tools.some(({ tool }) => tool === 'square')}
          />
          {last && (
            <Stated mt="2" role="status" fontWeight={700} data-last-reading>
              Reading {bench.noted.length}: {valueWords(last, units)}
            </Stated>
          )}
          <chakra.div mt="3">
            {isShowing ? (
              <chakra.div display="flex" flexWrap="wrap" gap="3" alignItems="center" data-showing>
                <Note as="span" role="status">
                  {isShownWhole
                    ? `That was a good way. Its readings come to: ${answersWords(lesson, exercise.reckoned(bench), units)}.`
                    : `A good way, step ${shown + 1} of ${exercise.best.length}`}
                </Note>
                <Button variant="outline" onClick={() => setShown(null)}>
                  Back to my own
                </Button>
              </chakra.div>
            ) : (
              <Tools tools={lesson.tools} bench={bench} units={units} disabled={isFull} onAct={act} />
            )}
            {isFull && <Stated color="fails">The notebook is full: begin again.</Stated>}
          </chakra.div>
        </Panel>
      </chakra.div>
      <chakra.div display="grid" gap="3" minW="0">
        <Panel title="Notebook">
          <div ref={notebook}>
            <Notebook noted={bench.noted} marked={marked} units={units} />
          </div>
        </Panel>
        <Panel title="Your answer">
          <chakra.form
            display="grid"
            gap="3"
            gridTemplateColumns="minmax(0, 1fr)"
            onSubmit={event => {
              event.preventDefault()
              judge()
            }}
          >
            {Object.entries(lesson.answers).map(([key, field]) => (
              <FieldInput<number | string | null>
                key={key}
                field={field}
                value={answers[key] ?? null}
                units={units}
                onValue={value => {
                  setAnswers(before => ({ ...before, [key]: value }))
                  setPoints(null)
                }}
              />
            ))}
            <chakra.div display="flex" flexWrap="wrap" gap="2">
              <Button variant="lamp" type="submit" disabled={isShowing || points !== null}>
                Look at it
              </Button>
              <Button variant="outline" onClick={again} disabled={acts.length === 0 && !isShowing}>
                Begin again
              </Button>
            </chakra.div>
          </chakra.form>
          {points && !isShowing && (
            <chakra.div mt="3" borderTopWidth="1px" pt="3">
              <VerdictList
                points={points}
                minutes={bench.minute}
                bestMinutes={exercise.bench(exercise.best).minute}
                onShow={show}
              />
            </chakra.div>
          )}
          <chakra.div display="flex" flexWrap="wrap" gap="2" mt="3">
            <Button variant="outline" onClick={() => setShown(0)} disabled={isShowing}>
              Show me a good way
            </Button>
            <Button variant="outline" onClick={() => goPractise(lesson.id, anySeed())}>
              Another machine
            </Button>
          </chakra.div>
        </Panel>
      </chakra.div>
    </chakra.div>
  )
}

const blank = ({ answers }: Lesson): Answers =>
  Object.fromEntries(Object.keys(answers).map(key => [key, null]))

/** Answers as one would say them. */
function answersWords({ answers }: Lesson, given: Answers, units: UnitSystem): string {
  const words = Object.entries(answers).flatMap(([key, field]) => {
    const value = given[key]
    if (value == null) return []
    const said =
      field.is === 'number'
        ? say(value as number, field.quantity, units)
        : ((field as ChoiceField<string>).words?.[value as string] ?? `${value}`)
    return [`${field.label.toLowerCase()}: ${said}`]
  })
  return words.length > 0 ? words.join('; ') : 'nothing else'
}
