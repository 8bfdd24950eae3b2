import type { Lesson } from '@/core/practice/trainer/lesson'
import { lessonOf } from '@/core/practice/trainer/lessons'
import { usable } from './kept'

const lesson = lessonOf('lost-cycle') as Lesson
const exercise = lesson.of(1)
const of = (acts: unknown, answers: unknown) =>
  usable({ of: 'x', acts, answers } as Parameters<typeof usable>[0], lesson, exercise)

test('goes on from what was done', () => {
  const acts = exercise.best.slice(0, 5)
  expect(of(acts, { lostUm: 100, safe: '600' })).toEqual({ acts, answers: { lostUm: 100, safe: '600' } })
  expect(usable(null, lesson, exercise)).toEqual({ acts: [], answers: {} })
})

test.each([
  ['an act that there is not', [{ do: 'dance' }], {}],
  ['a place beyond the travel', [{ do: 'go', toMm: 9999, feedMmPerMin: 300 }], {}],
  ['no act at all', [null], {}],
])('begins anew where something else was kept: %s', (_, acts, answers) => {
  expect(of(acts, answers)).toEqual({ acts: [], answers: {} })
})

test('drops answers that are none of the lesson’s', () => {
  expect(of([], { lostUm: 'much', safe: '601', cycles: null, other: 3 })).toEqual({ acts: [], answers: {} })
})
