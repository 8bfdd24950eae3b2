import fc from 'fast-check'
import { gaugeLineUm, lineCutter } from './gaugeLine'

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

test('lines come whole however the cable parts them', () => {
  fc.assert(
    fc.property(
      fc.array(fc.stringMatching(/^[+-]\d\.\d{3} mm$/), { minLength: 1, maxLength: 6 }),
      fc.array(fc.integer({ min: 1, max: 7 }), { minLength: 60, maxLength: 60 }),
      (lines, cuts) => {
        const cut = lineCutter()
        let left = lines.map(line => `${line}\n`).join('')
        const came: string[] = []
        for (const at of cuts) {
          came.push(...cut(left.slice(0, at)))
          left = left.slice(at)
        }
        expect([...came, ...cut(left)]).toEqual(lines)
      },
    ),
  )
})

test('what goes on without end is given once, cut, and what follows it is whole again', () => {
  const cut = lineCutter()
  const noise = Array.from({ length: 1000 }, () => cut('x'.repeat(1000))).flat()
  expect(noise).toEqual(['x'.repeat(64)])
  expect(cut('tail\n+0.010 mm\n')).toEqual(['+0.010 mm'])
})
