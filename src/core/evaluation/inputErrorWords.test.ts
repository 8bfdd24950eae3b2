import { InputError } from '../calculation/inputError'
import { inputErrorWords } from './inputErrorWords'

test('says the thing by its words, with every figure in the units of the job', () => {
  const span = new InputError('supportSpanMm', 60, 'more than 85.4 mm, which the nut takes up')
  expect(inputErrorWords(span, 'mm')).toBe(
    'Cannot be worked out: between the inner faces of the bearing blocks is 60 mm; it takes more than 85.4 mm, which the nut takes up.',
  )
  expect(inputErrorWords(span, 'inch')).toContain('is 2.3622 in; it takes more than 3.3622 in')
  const torque = new InputError('frictionTorqueNm', 1.06, 'up to the holding torque, 0.28 N m')
  expect(inputErrorWords(torque, 'mm')).toBe(
    'Cannot be worked out: friction torque is 1.06 N·m; it takes up to the holding torque, 0.28 N·m.',
  )
  expect(inputErrorWords(torque, 'inch')).not.toMatch(/N.m/)
  expect(inputErrorWords(new InputError('phases', [], 'at least one phase'), 'mm')).toBe(
    'Cannot be worked out: phases; it takes at least one phase.',
  )
})
