import type { ChoiceField, Fields, NumberField, ValuesOf } from '../../field/field'
import type { UnitSystem } from '../../units/quantity'
import {
  type Act,
  benchAfter,
  type GaugePlace,
  type Noted,
  type Setting,
  type Setup,
  type TrainingBench,
} from './trainingBench'

/** What a lesson lays on the bench to be used. */
export type Tool =
  | {
      readonly tool: 'drive'
      /** How far a press goes, mm; each up and down. */
      readonly stepsMm: readonly number[]
      readonly feedsMmPerMin: readonly number[]
      /** Places that it is sent to. */
      readonly placesMm?: readonly number[]
    }
  | { readonly tool: 'push'; readonly sizesN: readonly number[] }
  | { readonly tool: 'put'; readonly places: readonly GaugePlace[] }
  | { readonly tool: 'run'; readonly minutes: readonly number[] }
  | { readonly tool: 'set'; readonly what: Setting; readonly steps: readonly number[] }
  | {
      readonly tool: 'zero' | 'note' | 'feel' | 'slacken' | 'pull' | 'rock' | 'halfTurn' | 'square'
    }

/** One thing that a verdict looks at. */
export interface Point {
  readonly isRight: boolean
  /** What was looked at, in a few words. */
  readonly what: string
  /** What was right about it, or what was missed and why it matters. */
  readonly said: string
  /** The readings that show it, by their place among all. */
  readonly shows: readonly number[]
}

export type AnswerFields = Fields & Readonly<Record<string, NumberField | ChoiceField>>
export type Answers = Readonly<Record<string, number | string | null>>

/** What is drawn for a lesson; the learner is not told. */
interface Told<T, A extends AnswerFields> {
  readonly id: string
  readonly title: string
  /** What one can do afterwards. */
  readonly learns: string
  /** What is to be done on the bench. */
  readonly task: (truth: T, units: UnitSystem) => string
  /** How it is done, for whoever does it the first time. */
  readonly how: readonly string[]
  readonly tools: readonly Tool[]
  readonly draw: (seed: number) => T
  readonly setup: (truth: T) => Setup
  /** What stands read when one begins. */
  readonly begins?: (truth: T) => readonly Act[]
  /** Which hand reads it; that of the exercise's seed where left out. */
  readonly handSeed?: (truth: T) => number
  readonly answers: A
  readonly judge: (truth: T, bench: TrainingBench, answers: ValuesOf<A>, units: UnitSystem) => Point[]
  /** A good way through it. */
  readonly best: (truth: T) => readonly Act[]
  /** What readings come to, by somebody who knows how. */
  readonly reckoned: (truth: T, bench: TrainingBench) => ValuesOf<A>
}

/** A lesson with its machine of a seed: what a screen needs. */
export interface Exercise {
  /** A bench on which so much was done. */
  readonly bench: (acts: readonly Act[]) => TrainingBench
  readonly task: (units: UnitSystem) => string
  readonly setup: Setup
  readonly judge: (bench: TrainingBench, answers: Answers, units: UnitSystem) => Point[]
  readonly best: readonly Act[]
  readonly reckoned: (bench: TrainingBench) => Answers
}

export interface Lesson
  extends Pick<Told<unknown, AnswerFields>, 'id' | 'title' | 'learns' | 'how' | 'tools' | 'answers'> {
  readonly of: (seed: number) => Exercise
}

/** A lesson by what it is made of. */
export function lesson<T, A extends AnswerFields>(told: Told<T, A>): Lesson {
  const { id, title, learns, how, tools, answers } = told
  return {
    id,
    title,
    learns,
    how,
    tools,
    answers,
    of: seed => {
      const truth = told.draw(seed)
      const setup = told.setup(truth)
      const begins = told.begins?.(truth) ?? []
      const handSeed = told.handSeed?.(truth) ?? seed
      return {
        bench: acts => benchAfter(setup, handSeed, begins, acts),
        task: units => told.task(truth, units),
        setup,
        judge: (bench, given, units) => told.judge(truth, bench, given as ValuesOf<A>, units),
        best: told.best(truth),
        reckoned: bench => told.reckoned(truth, bench) as Answers,
      }
    },
  }
}

/** A reading with its place among all. */
export type Entry = Noted & { readonly index: number; readonly value: number }

/** The readings of a bench that came to a figure. */
export const entriesOf = ({ noted }: TrainingBench): Entry[] =>
  noted.flatMap((one, index) => (one.value === null ? [] : [{ ...one, value: one.value, index }]))

export const indexesOf = (entries: readonly Entry[]): number[] => entries.map(({ index }) => index)
export const meanOf = (entries: readonly Entry[]): number =>
  entries.reduce((sum, { value }) => sum + value, 0) / entries.length

/** A point by what it is when it was right, and when it was missed. */
export const point = (
  what: string,
  isRight: boolean,
  right: string,
  missed: string,
  shows: readonly Entry[] = [],
): Point => ({ isRight, what, said: isRight ? right : missed, shows: indexesOf(shows) })

/** Whether an answer lies within what readings can tell. */
export const isNear = (answer: number | null, truth: number, within: number): boolean =>
  answer !== null && Math.abs(answer - truth) <= within

/** By which numbers readings are called, counted from one. @example readingNames([...]) // 'Readings 1 and 3' */
export function readingNames(entries: readonly Entry[]): string {
  const names = entries.slice(0, MOST_NAMED).map(({ index }) => `${index + 1}`)
  if (names.length === 0) return 'No reading'
  const more = entries.length > MOST_NAMED ? ' and others' : ''
  const list =
    names.length > 1 && !more ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)}` : names.join(', ')
  return `${entries.length > 1 ? 'Readings' : 'Reading'} ${list}${more}`
}
const MOST_NAMED = 4
