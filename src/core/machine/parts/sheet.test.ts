import { PART_KINDS, type PartKind } from '../../document/kinds'
import type { PartOf } from '../../document/parts/types'
import { say } from '../../units/print'
import { CATALOGUE } from '.'
import { partSheet, type SheetRow } from './sheet'

const parts = PART_KINDS.flatMap(kind =>
  [...(CATALOGUE[kind] as ReadonlyMap<string, PartOf[PartKind]>).values()].map(part => [kind, part] as const),
)
const rowOf = (rows: SheetRow[], label: string) => rows.find(row => row.label === label)

test('no sheet has a line twice, an empty line or a figure that is none', () => {
  for (const [kind, part] of parts) {
    const rows = partSheet(kind, part)
    expect(rows.length).toBeGreaterThanOrEqual(kind === 'brake' ? 4 : 7)
    expect(new Set(rows.map(({ label }) => label)).size).toBe(rows.length)
    for (const row of rows)
      if ('text' in row) expect(row.text.trim()).not.toBe('')
      else expect(Number.isFinite(row.value)).toBe(true)
  }
})

test('every line can be said in both systems, and lengths differ by the inch', () => {
  for (const [kind, part] of parts.filter((_, index) => index % 9 === 0))
    for (const row of partSheet(kind, part)) {
      if ('text' in row) continue
      const [mm, inch] = [say(row.value, row.quantity, 'mm', 6), say(row.value, row.quantity, 'inch', 6)]
      if (row.quantity !== 'length') continue
      expect(mm).toMatch(/ mm$/)
      expect(inch).toMatch(/ in$/)
      const figure = (text: string) => Number(text.replaceAll(',', '').split(' ')[0])
      expect(figure(inch) * 25.4).toBeCloseTo(figure(mm), 3)
    }
})

test('a sliding screw has no dynamic capacity, and play in place of preload', () => {
  const sliding = [...CATALOGUE.screw.values()].find(screw => screw.dynamicCapacityN === null)
  const ball = [...CATALOGUE.screw.values()].find(screw => screw.preloadN > 0)
  if (!sliding || !ball) throw new Error('the parts list has no such screw')
  expect(rowOf(partSheet('screw', sliding), 'Dynamic capacity')).toEqual({
    label: 'Dynamic capacity',
    text: 'none: it slides',
  })
  expect(rowOf(partSheet('screw', sliding), 'Play as delivered')).toMatchObject({ value: sliding.nutPlayUm })
  expect(rowOf(partSheet('screw', ball), 'Preload as delivered')).toMatchObject({ value: ball.preloadN })
  expect(rowOf(partSheet('screw', ball), 'Play as delivered')).toBeUndefined()
})

test('motors say how they are driven', () => {
  const words = new Set(
    [...CATALOGUE.motor.values()].map(motor => {
      const row = rowOf(partSheet('motor', motor), 'Control')
      return `${motor.loop}: ${row && 'text' in row ? row.text : ''}`
    }),
  )
  expect([...words].toSorted()).toEqual(['closed: closed loop', 'open: open loop'])
})
