import { skarrow } from '../demo/skarrow'
import { jobSchema } from '../sheets/schema'
import { sisterJob } from '../sheets/sisterJob'
import { applyChange, type Edit, runEdit, takeBack } from './edit'
import type { Job } from './job'
import { addLesson, LESSONS, lessonsForNext, lessonsOf, wordLesson } from './lessons'

const AT = '2026-12-02T10:00:00.000Z'
const run = (job: Job, edit: Edit) => runEdit(job, edit, { id: 'c', at: AT })
const ON = { on: 'step', of: 'far-loose' } as const
const { job } = skarrow()

test('a lesson stands where it was noted, and in the log; it comes and goes in one change', () => {
  const { job: taught, change, entry } = run(job, addLesson(ON, 'Warm the block first'))
  expect(lessonsOf(taught.lessons, ON)).toMatchObject([{ text: 'Warm the block first', machine: null }])
  expect(lessonsOf(taught.lessons, { on: 'sheet', of: 'far-loose' })).toEqual([])
  expect(entry).toMatchObject({ axisId: null, text: 'Lesson: Warm the block first' })
  expect(takeBack(taught, change)).toEqual(job)
  expect(applyChange(job, change)).toEqual(taught)
  const [lesson] = taught.lessons as [(typeof taught.lessons)[number]]
  expect(run(taught, wordLesson(lesson, 'Warm it to 60')).job.lessons).toMatchObject([
    { id: lesson.id, text: 'Warm it to 60' },
  ])
  expect(run(taught, wordLesson(lesson, '')).job.lessons).toEqual([])
  // One that another tab took out is not brought back by its words.
  expect(run(job, wordLesson(lesson, 'Warm it to 60')).job.lessons).toEqual([])
})

test('every next machine has all lessons, each with the machine that taught it, in a job that holds', () => {
  const take = { choices: false, limits: false, plans: false }
  const next = (from: Job, name: string) => sisterJob(from, name, take, AT).job
  const first = run(job, addLesson(ON, 'Warm the block first')).job
  const second = run(next(first, 'Second'), addLesson(ON, 'Tape the shims to the block')).job
  const third = next(second, 'Third')
  expect(lessonsOf(second.lessons, ON).map(({ machine }) => machine)).toEqual(['Skarrow 8', null])
  expect(lessonsOf(third.lessons, ON).map(({ text, machine }) => [text, machine])).toEqual([
    ['Warm the block first', 'Skarrow 8'],
    ['Tape the shims to the block', 'Second'],
  ])
  expect(new Set([...second.lessons, ...third.lessons].map(({ id }) => id)).size).toBe(4)
  expect(jobSchema.isValidSync(third, { strict: true })).toBe(true)
})

test('a job that is full of lessons takes no more, and loses none', () => {
  const lessons = lessonsForNext(
    Array.from({ length: LESSONS.most }, (_, index) => ({ ...ON, id: `${index}`, text: 'x', machine: null })),
    'First',
  )
  const full = { ...job, lessons }
  expect(run(full, addLesson(ON, 'One more')).job.lessons).toEqual(lessons)
})
