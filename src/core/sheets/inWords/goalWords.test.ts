import { newAxis } from '../newJob'
import { goalWords } from './goalWords'

const axis = newAxis({ name: 'X', title: 'Table' })

test('what is asked of an axis is said in the units of the job', () => {
  expect(goalWords(axis, 'mm')).toEqual([
    'It is to move 60 kg over 400 mm at up to 3,000 mm/min.',
    'It cuts for 50% of the time, pushing 800 N at 400 mm/min.',
    'It may lose 30 µm at a reversal, be off by 100 µm over the travel, and is to last 8,000 h.',
  ])
  expect(goalWords(axis, 'inch').join(' ')).not.toMatch(/\d (mm|N|kg|µm)\b/)
})

test('what is not known or not done is not said as if it were', () => {
  const unknown = {
    ...axis,
    dimensions: { ...axis.dimensions, movingMassKg: { value: null, provenance: 'measured' as const } },
  }
  expect(goalWords(unknown, 'mm')[0]).toContain('It is to move its load over')
  expect(goalWords({ ...axis, goals: { ...axis.goals, cuttingShare: 0 } }, 'mm')[1]).toBe(
    'It does not cut while it moves.',
  )
  const upright = {
    ...axis,
    dimensions: { ...axis.dimensions, inclineDeg: { value: 90, provenance: 'measured' as const } },
  }
  expect(goalWords(upright, 'mm')[0]).toContain('60 kg, standing at 90°, over')
})
