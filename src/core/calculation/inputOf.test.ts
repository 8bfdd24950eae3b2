import { length, numberOf } from '../field/field'
import { inputOf } from './inputOf'
import { fits } from './spec'

test('an input has the words, the unit and the sign of its field, and no end of its form', () => {
  const bore = length('Depth of the bore', [1, 500])
  expect(inputOf(bore, 't')).toEqual({
    kind: 'number',
    label: 'depth of the bore',
    symbol: 't',
    unit: 'mm',
    over: 0,
  })
  expect([0, 0.5, 9000].map(value => fits(inputOf(bore, 't'), value))).toEqual([false, true, true])
  const time = numberOf('duration')('Reaction', [0, 2], { orNone: true })
  expect(inputOf(time, 't')).toMatchObject({ unit: 's', min: 0 })
  // The formula needs a figure, also where the form may have none yet.
  expect([null, 0, 3].map(value => fits(inputOf(time, 't'), value))).toEqual([false, true, true])
  expect(inputOf(length('At least', [-5, 5]), 'L', 'lower limit')).toMatchObject({ label: 'lower limit' })
  expect(fits(inputOf(length('At least', [-5, 5]), 'L'), -7)).toBe(true)
})
