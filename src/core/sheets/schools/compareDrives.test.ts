import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { runEdit } from '../../document/edit'
import type { Job } from '../../document/job'
import { CATALOGUE } from '../../machine/parts'
import { evaluateAxis } from '../evaluateAxis'
import { newAxis } from '../newJob'
import { compareDrives } from './compareDrives'
import { dropVariant, keepVariant, takeVariant } from './edits'
import type { Variant } from './model'

const job = skarrow().job
const X = job.axes[0] as Axis
const rowsOf = (axis: Axis, units: 'mm' | 'inch' = 'mm') =>
  Object.fromEntries(compareDrives(evaluateAxis(axis, CATALOGUE, units)).rows.map(row => [row.label, row]))
const run = (command: Parameters<typeof runEdit>[1]): { job: Job; axis: Axis; text: string } => {
  const result = runEdit(job, command, { id: 'c', at: '2026-11-25T09:00:00.000Z' })
  return { job: result.job, axis: result.job.axes[0] as Axis, text: result.entry?.text ?? '' }
}

test('schools stand side by side over the rows that matter, with their differences marked', () => {
  const rows = rowsOf(X)
  expect(rows.Price?.values).toEqual(['€405', '€387', '€333'])
  expect(rows.Price?.differs).toBe(true)
  expect(rows['of it, nut']?.values).toEqual(['0 µm', '0 µm', '12 µm'])
  expect(rows['Back-drive']?.values[2]).toBe('self-locking')
  expect(rows['Back-drive']?.values[0]).toMatch(/^the load can turn it, at 9\d%$/)
  expect(rows.Upkeep?.values[2]).toContain('nip the nut up as it wears')
  expect(rows['To be machined']?.differs).toBe(false)
  expect(compareDrives(evaluateAxis(X, CATALOGUE, 'mm')).states[0]).toBe('fails')
})

test('the causes of lost motion add up to the whole, for every drive', () => {
  const rows = rowsOf(X)
  const um = (text = '') => Number(text.replace(' µm', ''))
  for (const [index, total] of (rows['Lost motion in all']?.values ?? []).entries()) {
    const parts = Object.values(rows).filter(({ label }) => label.startsWith('of it'))
    expect(parts.reduce((sum, row) => sum + um(row.values[index]), 0)).toBeCloseTo(um(total), 0)
  }
})

test('a drive with a part missing has dashes, not errors', () => {
  const { rows } = compareDrives(evaluateAxis(newAxis({ name: 'A', title: 'New' }), CATALOGUE, 'inch'))
  expect(rows.find(({ label }) => label === 'Price')?.values).toEqual(['–'])
})

test('a drive is kept, taken with its reason, and dropped; the one in use takes its place', () => {
  const kept = run(keepVariant({ ...X, variants: [] }, 'v', 'As first built')).axis
  expect(kept.variants.at(-1)).toMatchObject({ id: 'v', name: 'As first built', parts: X.parts })
  const sliding = X.variants[1] as Variant
  const taken = run(takeVariant(X, sliding, 'Double nut', ' cheaper, and it holds the head '))
  expect(taken.axis.parts).toEqual(sliding.parts)
  expect(taken.axis.variants[1]).toMatchObject({ name: 'Double nut', parts: X.parts, ends: X.ends })
  expect(taken.text).toBe(
    'Taken: Sliding screw with a split nut, rather than Double nut. Because: cheaper, and it holds the head',
  )
  expect(run(takeVariant(X, sliding, 'Double nut', '')).text).toContain('No reason given.')
  expect(run(dropVariant(X, sliding)).axis.variants.map(({ id }) => id)).toEqual(['skarrow-x-oversize'])
})
