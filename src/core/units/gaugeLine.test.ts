import { gaugeLineUm } from './gaugeLine'

test.each([
  ['12', 'um', 12],
  ['+12', 'um', 12],
  ['-0.012 mm', 'um', -12],
  ['+0.012 mm', 'thou', 12],
  ['  0.5 \r', 'thou', 12.7],
  ['0.001 in', 'um', 25.4],
  ['', 'um', null],
  ['1.250 mm', 'um', 1250],
  ['1,250', 'mm', 1250],
  ['ERR1', 'um', null],
  ['12 N', 'um', null],
] as const)('%j in %s is %s', (line, unit, um) => {
  const read = gaugeLineUm(line, unit)
  if (um === null) expect(read).toBeNull()
  else expect(read).toBeCloseTo(um, 9)
})
