import type { Answers, Lesson } from './lesson'
import { LESSONS, lessonOf } from './lessons'
import { type Act, MOST_ACTS } from './trainingBench'

const SEEDS = Array.from({ length: 120 }, (_, index) => index + 1)
const unanswered = ({ answers }: Lesson): Answers =>
  Object.fromEntries(Object.keys(answers).map(key => [key, null]))
/** What a verdict says of a way, with answers by what was read on it. */
function judged(lesson: Lesson, seed: number, acts?: readonly Act[], answers?: Answers) {
  const exercise = lesson.of(seed)
  const bench = exercise.bench(acts ?? exercise.best)
  return exercise.judge(bench, answers ?? exercise.reckoned(bench), 'mm')
}
const missed = (points: ReturnType<typeof judged>) =>
  points.filter(({ isRight }) => !isRight).map(({ what }) => what)

describe.each(LESSONS.map(one => [one.title, one] as const))('%s', (_, lesson) => {
  test('is passed by its best way, with the answers that its readings come to, on every machine', () => {
    for (const seed of SEEDS)
      expect({ seed, missed: missed(judged(lesson, seed)) }).toEqual({ seed, missed: [] })
  })

  test('is missed by whoever does nothing, and by whoever guesses what the best way would read', () => {
    for (const seed of SEEDS.slice(0, 20)) {
      expect(missed(judged(lesson, seed, [], unanswered(lesson))).length).toBeGreaterThan(0)
      const exercise = lesson.of(seed)
      const guessed = exercise.reckoned(exercise.bench(exercise.best))
      expect(missed(judged(lesson, seed, [], guessed)).length).toBeGreaterThan(0)
    }
  })

  test('shows readings that there are, and says something of every point', () => {
    for (const acts of [[], lesson.of(3).best.slice(0, 7), lesson.of(3).best]) {
      const bench = lesson.of(3).bench(acts)
      for (const { said, shows, what } of lesson.of(3).judge(bench, unanswered(lesson), 'inch')) {
        expect(what).not.toBe('')
        expect(said).toMatch(/^[A-Z0-9].*[.:]$/s)
        expect(said).not.toMatch(/NaN|undefined|Infinity|null/)
        for (const index of shows) expect(bench.noted[index]).toBeDefined()
      }
    }
  })

  test('is the same for the same seed, and another for another', () => {
    const told = (seed: number) => JSON.stringify(lesson.of(seed).bench(lesson.of(seed).best).noted)
    expect(told(5)).toBe(told(5))
    expect(new Set([1, 2, 3, 4].map(told)).size).toBeGreaterThan(1)
  })

  test('tells what it is about in words, and its way fits on a bench', () => {
    expect(lesson.of(1).task('mm').length).toBeGreaterThan(60)
    expect(lesson.how.length).toBeGreaterThanOrEqual(3)
    expect(lesson.of(1).best.length).toBeLessThan(MOST_ACTS)
    expect(lessonOf(lesson.id)).toBe(lesson)
  })
})

/** A way in which some of its acts are left out or done otherwise. */
const without = (id: string, seed: number, change: (act: Act) => Act | null) => {
  const lesson = lessonOf(id) as Lesson
  const acts = lesson.of(seed).best.flatMap(act => change(act) ?? [])
  return missed(judged(lesson, seed, acts))
}

test('a reversal that is read right after the turn is told', () => {
  expect(
    without('reversal', 1, act => (act.do === 'go' && act.toMm === 205 ? { ...act, toMm: 200.1 } : act)),
  ).toContain('Far enough past')
})
test('half of a reversal is told as half', () => {
  const lesson = lessonOf('reversal') as Lesson
  const exercise = lesson.of(2)
  const bench = exercise.bench(exercise.best)
  const { lostUm } = exercise.reckoned(bench)
  const said = exercise.judge(bench, { lostUm: (lostUm as number) / 2 }, 'mm').at(-1)?.said
  expect(said).toContain('half of it')
})
test('a dial that is set to zero in between is told', () => {
  const lesson = lessonOf('reversal') as Lesson
  const { best } = lesson.of(1)
  expect(missed(judged(lesson, 1, [...best.slice(0, 5), { do: 'zero' }, ...best.slice(5)]))).toContain(
    'One zero for all',
  )
})
test('one force alone does not tell play from give', () => {
  expect(
    without('play-or-give', 1, act =>
      act.do === 'push' ? { ...act, newtons: 100 * Math.sign(act.newtons) } : act,
    ),
  ).toContain('More than one force')
})
test('a gib that is set by the worn middle is told to bind at the ends', () => {
  const lesson = lessonOf('gib') as Lesson
  const exercise = lesson.of(4)
  const more = exercise.best.flatMap((act): Act[] => (act.do === 'set' ? [act] : []))
  const bench = exercise.bench([...exercise.best, ...more.slice(0, 3)])
  expect(
    exercise.judge(bench, { wornUm: 0 }, 'mm').find(({ what }) => what === 'How it is set')?.said,
  ).toContain('too tight at the ends')
})
test('a screw that is read at one half turn alone is told', () => {
  expect(without('line', 1, act => (act.do === 'halfTurn' ? null : act))).toContain('Both half turns')
})
test('preload that goes on too far is told to run hot', () => {
  const lesson = lessonOf('preload') as Lesson
  const exercise = lesson.of(1)
  const bench = exercise.bench([...exercise.best, { do: 'set', what: 'locknut', by: 20 }])
  expect(exercise.judge(bench, exercise.reckoned(bench), 'mm').at(-1)?.said).toContain('run hot')
})
test('a block that is blamed before the gib was let loose is told', () => {
  const lesson = lessonOf('tight-spot') as Lesson
  const seed = SEEDS.find(
    one => lesson.of(one).reckoned(lesson.of(one).bench(lesson.of(one).best)).cause === 'far',
  ) as number
  const acts = lesson.of(seed).best.filter(act => act.do !== 'slacken')
  expect(missed(judged(lesson, seed, acts, { cause: 'far' }))).toEqual(['The gib let loose'])
})
test('a gantry that is moved the wrong way is told', () => {
  const lesson = lessonOf('gantry') as Lesson
  const exercise = lesson.of(3)
  const acts = exercise.best.map((act): Act => (act.do === 'set' ? { ...act, by: -act.by } : act))
  const points = exercise.judge(exercise.bench(acts), exercise.reckoned(exercise.bench(acts)), 'mm')
  expect(points.find(({ what }) => what === 'How it stands')?.said).toContain('the wrong way')
})
test('a zero that is come to from above is told', () => {
  expect(
    without('zero-time', 1, act => (act.do === 'go' && act.toMm === 375 ? { ...act, toMm: 385 } : act)),
  ).toContain('From the same side')
})
test('a loss that is read with a reversal in it is told', () => {
  const lesson = lessonOf('lost-cycle') as Lesson
  const acts = lesson
    .of(1)
    .best.flatMap((act): Act[] => (act.do === 'go' && act.toMm === 20 ? [{ ...act, toMm: 15 }, act] : [act]))
  expect(missed(judged(lesson, 1, acts))).toContain('From the same side, slowly')
})
