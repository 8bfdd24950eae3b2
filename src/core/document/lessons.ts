import { choice, type RowOf, rows, words, wordsOrNone } from '../field/field'
import type { Edit } from './edit'
import { newId } from './id'

/** What a lesson is of: a sheet, a step of the build, or a part that can be chosen. */
export const LESSON_ON = ['sheet', 'step', 'part'] as const

/** Remarks that are shown again where they were made, on this machine and on every next one of its kind. */
export const LESSONS = rows(
  'Lesson',
  {
    on: choice('It is of', LESSON_ON),
    /** The id of that sheet, step or part. */
    of: words('Which', 80),
    text: words('Lesson', 500),
    /** The machine on which it was learned; none where that is this one. */
    machine: wordsOrNone('Learned on', 80),
  },
  { most: 500 },
)
export type Lesson = RowOf<typeof LESSONS>

/** What a lesson is of, wherever it is shown. */
export type LessonPlace = Pick<Lesson, 'on' | 'of'>

/** The lessons of a place, those of this machine last. */
export const lessonsOf = (lessons: readonly Lesson[], { on, of }: LessonPlace): Lesson[] =>
  lessons
    .filter(one => one.on === on && one.of === of)
    .toSorted((a, b) => Number(a.machine === null) - Number(b.machine === null))

/** Notes a lesson, in the log too; a job that is full of them takes no more. */
export const addLesson = (place: LessonPlace, text: string): Edit => ({
  label: 'Lesson noted',
  run: job => {
    if (job.lessons.length < LESSONS.most) job.lessons.push({ ...place, id: newId(), text, machine: null })
  },
  entry: { axisId: null, kind: 'note', text: `Lesson: ${text}` },
})

/** Words a lesson otherwise, or takes it out where nothing is left of it. */
export const wordLesson = ({ id }: Lesson, text: string): Edit => ({
  label: text ? 'Lesson worded otherwise' : 'Lesson taken out',
  run: job => {
    const lesson = job.lessons.find(one => one.id === id)
    if (lesson && text) lesson.text = text
    else job.lessons = job.lessons.filter(one => one.id !== id)
  },
})

/** What the next machine begins with: every lesson, with the machine that taught it. */
export const lessonsForNext = (lessons: readonly Lesson[], machine: string): Lesson[] =>
  lessons.map(lesson => ({ ...lesson, id: newId(), machine: lesson.machine ?? machine }))
