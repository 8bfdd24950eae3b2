import { demoJobs } from '../demo'
import { CATALOGUE } from '../machine/parts'
import { QUANTITIES, type QuantityKind, quantityFacts } from '../units/quantity'
import { evaluateAxis, laterFindings } from './evaluateAxis'
import { knownSteps } from './shared/steps/procedure'

/** What is never said in an inch job: sizes of parts are, as M6 x 25 mm, by which they are ordered. */
const METRIC = /µm|MPa|N\/mm|N·m|\dN\b|\d N\b|steps\/mm|\d kg\b|mm\/min|mm\/s|µm\/m/

test('no finding and no step of an inch job speaks of micrometres, newtons or steps a millimetre', () => {
  const texts = demoJobs().flatMap(({ job }) =>
    job.axes.flatMap(axis => {
      const context = evaluateAxis(axis, CATALOGUE, 'inch')
      return [
        ...[...context.findings, ...laterFindings(axis, CATALOGUE, 'inch')].flatMap(({ title, sentence }) => [
          title,
          sentence,
        ]),
        ...knownSteps(context).map(step => JSON.stringify(step)),
      ]
    }),
  )
  expect(texts.length).toBeGreaterThan(500)
  expect(texts.filter(text => METRIC.test(text))).toEqual([])
  // In a metric job the same are said, so that the rule above can fail.
  const [{ job } = { job: null }] = demoJobs()
  const metric = job?.axes.flatMap(axis => knownSteps(evaluateAxis(axis, CATALOGUE, 'mm')))
  expect(JSON.stringify(metric)).toMatch(METRIC)
})

test('every quantity of length or force has a unit of its own in an inch job', () => {
  const alike = (Object.keys(QUANTITIES) as QuantityKind[]).filter(kind => {
    const { mm, inch } = quantityFacts(kind)
    return mm.unit === inch.unit
  })
  expect(alike.sort()).toEqual(
    ['angle', 'duration', 'frequency', 'hours', 'inertia', 'money', 'ratio', 'rotation', 'share'].sort(),
  )
})
