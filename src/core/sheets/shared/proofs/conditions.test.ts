import { record } from '../../../field/field'
import { schemaOf } from '../../../field/schema'
import { TAKEN } from '../../../readings/taken'
import { compareTests, reversalsOf } from './compare'
import { CONDITIONS, conditionsWords, MANNER, NOTHING_NOTED } from './conditions'
import { isPractice, PRACTICE } from './practice'

test('the conditions of a test are said in one line, and what nobody noted is left out', () => {
  expect(conditionsWords(NOTHING_NOTED, 'mm')).toBe('')
  const noted = {
    ...NOTHING_NOTED,
    temperatureC: 17,
    who: 'E. Vale',
    feedMmPerMin: 1000,
    warmth: 'cold' as const,
  }
  expect(conditionsWords(noted, 'mm')).toBe('17 °C; machine cold; came at 1,000 mm/min; read by E. Vale')
  expect(conditionsWords({ ...noted, conditions: 'door open' }, 'inch')).toBe(
    '17 °C; machine cold; came at 39.4 in/min; read by E. Vale; door open',
  )
  // No temperature is a temperature of its own: nought is one.
  expect(conditionsWords({ ...NOTHING_NOTED, temperatureC: 0 }, 'mm')).toBe('0 °C')
})

test('a temperature in another unit, a feed of nothing and a fourth warmth are refused', () => {
  const schema = schemaOf(record('Conditions', { ...CONDITIONS, ...MANNER, taken: TAKEN }))
  expect(schema.isValidSync(NOTHING_NOTED)).toBe(true)
  for (const wrong of [{ temperatureC: 68 }, { feedMmPerMin: 0 }, { warmth: 'hot' }, { who: 'x'.repeat(41) }])
    expect(schema.isValidSync({ ...NOTHING_NOTED, ...wrong })).toBe(false)
})

test('a full test is compared with a reversal test where they share a place', () => {
  const full = reversalsOf({
    gaugeStepUm: 1,
    targets: [
      { targetMm: 5, positiveUm: [20, 21, 20], negativeUm: [-20, -19, -20] },
      { targetMm: 203, positiveUm: [30, 31, 30], negativeUm: [-10, -9, -10] },
    ],
  })
  const reversal = {
    gaugeStepUm: 2,
    stations: [{ positionMm: 203.4, approachPositiveUm: [5, 6, 5], approachNegativeUm: [-5, -4, -5] }],
  }
  expect(compareTests(full, reversal)).toMatchObject([
    { positionMm: 203, beforeUm: 40, afterUm: expect.closeTo(10, 9), counts: true },
  ])
  // The coarser of the two gauges is what both can be told apart by.
  const expandedBy = (gaugeStepUm: number) => compareTests(full, { ...reversal, gaugeStepUm })[0]?.expandedUm
  expect(expandedBy(2)).toBeGreaterThan(expandedBy(1) as number)
})

test('a test that was read from a made-up gauge says so at the end of its name', () => {
  expect(isPractice({ label: `After the mending${PRACTICE}` })).toBe(true)
  expect(isPractice({ label: 'practice of the mending' })).toBe(false)
})
