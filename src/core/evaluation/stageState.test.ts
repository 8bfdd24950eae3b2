import { type Finding, stageState } from './finding'

const on = (...provenances: ('assumed' | 'measured')[]) =>
  provenances.map((provenance, index) => ({
    label: `d${index}`,
    provenance,
  })) as unknown as Finding['restsOn']
const finding = (state: Finding['state'], restsOn: Finding['restsOn']) => ({ state, restsOn })

test.each([
  ['nothing judged', [], null],
  ['all of it assumed', [finding('holds', on('assumed', 'assumed'))], null],
  ['one of its values measured', [finding('holds', on('assumed', 'measured'))], 'holds'],
  ['resting on no value that could be assumed', [finding('holds', [])], 'holds'],
  [
    'a fault, though only on assumptions',
    [finding('holds', on('assumed')), finding('fails', on('assumed'))],
    'fails',
  ],
] as const)('a stage with %s', (_, findings, state) => {
  expect(stageState(findings)).toBe(state)
})
