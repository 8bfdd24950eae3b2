import { newAxis } from '../sheets/newJob'
import { upward } from './upward'

const axis = (value: number | null, higherEnd: 'fixed' | 'far' | null) => {
  const bare = newAxis({ name: 'Z', title: 'Head' })
  return {
    ...bare,
    higherEnd,
    dimensions: { ...bare.dimensions, inclineDeg: { value, provenance: 'measured' as const } },
  }
}

test('a level axis, and one that nobody has measured, say nothing of up', () => {
  expect(upward(axis(0, 'far'))).toBeNull()
  expect(upward(axis(null, 'far'))).toBeNull()
})

test.each<[number, 'fixed' | 'far', number]>([
  [90, 'far', 0],
  [90, 'fixed', 180],
  // Up leans towards the higher end by as much as the axis leans.
  [30, 'far', 60],
  [30, 'fixed', 120],
])(
  'an axis at %d degrees whose %s end is higher has up at %d degrees on the drawing',
  (incline, end, angleDeg) => {
    expect(upward(axis(incline, end))?.angleDeg).toBe(angleDeg)
  },
)

test('while nobody has said which end is higher, nothing is drawn as if it were known', () => {
  expect(upward(axis(90, null))).toMatchObject({
    angleDeg: null,
    words: expect.stringContaining('asked under Survey'),
  })
})
