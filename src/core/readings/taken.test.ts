import { inOrder, minutesBetween, noteTaken, takenKey } from './taken'

const begun = () => ({ startedAt: '2026-11-20T10:00:00.000Z', taken: {} as Record<string, number> })
const at = (clock: string) => `2026-11-20T${clock}.000Z`

test('a reading has the time at which it was first typed; one that is emptied and typed anew has the new one', () => {
  const round = begun()
  noteTaken(round, takenKey('a', 'readingUm'), 12, at('10:01:00'))
  noteTaken(round, takenKey('b', 'readingUm'), 14, at('10:03:00'))
  // A slip that is mended where it stands is no new reading.
  noteTaken(round, takenKey('a', 'readingUm'), 13, at('10:05:00'))
  expect(round.taken).toEqual({ 'a readingUm': 60, 'b readingUm': 180 })
  noteTaken(round, takenKey('a', 'readingUm'), null, at('10:06:00'))
  noteTaken(round, takenKey('a', 'readingUm'), 13, at('10:07:00'))
  expect(inOrder([{ id: 'a' }, { id: 'b' }], ({ id }) => takenKey(id, 'readingUm'), round.taken)).toEqual([
    { id: 'b' },
    { id: 'a' },
  ])
  expect(minutesBetween(round.taken, 'b readingUm', 'a readingUm')).toBe(4)
})

test('a clock that is put back puts no reading before those that stand there', () => {
  const round = begun()
  noteTaken(round, 'a x', 1, at('10:10:00'))
  noteTaken(round, 'b x', 2, at('09:00:00'))
  expect(round.taken['b x']).toBe(round.taken['a x'])
  noteTaken(round, 'c x', 2, 'no moment')
  expect(Object.values(round.taken).every(Number.isFinite)).toBe(true)
})

test('where the time of one is not known, they stand as the table does', () => {
  const rows = [{ id: 'a' }, { id: 'b' }]
  expect(inOrder(rows, ({ id }) => `${id} x`, { 'b x': 1 })).toEqual(rows)
  expect(minutesBetween({ 'b x': 1 }, 'a x', 'b x')).toBeNull()
})
