import { MM_PER_INCH } from './quantity'
import { spoken } from './spoken'

const inches = (mm: number) => spoken(mm, 'length', 'inch') / MM_PER_INCH

test('figures to start from are round in the units of the job', () => {
  for (const [mm, inch] of [
    [520, 20.5],
    [400, 15.5],
    [45, 1.75],
    [16, 0.63],
    [1330, 52.5],
  ] as const)
    expect(inches(mm)).toBeCloseTo(inch, 9)
  expect(spoken(60, 'mass', 'inch') / 0.453_592_37).toBeCloseTo(130, 9)
  expect(spoken(30, 'smallLength', 'inch') / MM_PER_INCH).toBeCloseTo(1.2, 9)
})

test('metric ones, nothing, and plain numbers stay as they are', () => {
  expect(spoken(523.4, 'length', 'mm')).toBe(523.4)
  expect(spoken(0, 'length', 'inch')).toBe(0)
  expect(spoken(0.1, 'ratio', 'inch')).toBe(0.1)
  expect(spoken(8000, 'hours', 'inch')).toBe(8000)
})

test('is off by no more than a fortieth', () => {
  for (let mm = 0.01; mm < 20_000; mm *= 1.013)
    expect(Math.abs(spoken(mm, 'length', 'inch') / mm - 1)).toBeLessThan(0.0251)
})
