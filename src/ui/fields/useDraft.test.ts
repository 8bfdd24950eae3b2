import { readDraft } from './useDraft'

describe('what is typed against the rules of a field', () => {
  const rules = { kind: 'length', units: 'mm', min: 10, max: 2000 } as const

  test.each<[string, string]>([
    ['5', 'Got 5 mm. Takes 10 mm to 2,000 mm.'],
    ['3 m', 'Got 3,000 mm. Takes 10 mm to 2,000 mm.'],
    ['', 'Type a number in mm.'],
    ['ten', 'Takes a number or a fraction'],
  ])('%j is refused beside the field', (text, says) => {
    const reading = readDraft(text, rules)
    expect(reading.ok).toBe(false)
    if (!reading.ok) expect(reading.message).toContain(says)
  })

  test('an empty field is nothing where nothing is allowed', () => {
    expect(readDraft(' ', { ...rules, optional: true })).toEqual({ ok: true, value: null })
  })

  test('the range is said in the units of the job', () => {
    const reading = readDraft('0.1', { ...rules, units: 'inch' })
    expect(reading).toEqual({ ok: false, message: 'Got 0.1 in. Takes 0.3937 in to 78.7402 in.' })
  })

  test('both ends of the range are taken', () => {
    expect(readDraft('10', rules)).toEqual({ ok: true, value: 10 })
    expect(readDraft('2 m', rules)).toEqual({ ok: true, value: 2000 })
  })
})
