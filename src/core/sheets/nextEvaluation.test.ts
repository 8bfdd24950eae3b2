import { isEqual } from 'es-toolkit'
import fc from 'fast-check'
import { runs } from '../calculation/fixtures/runs'
import type { Axis } from '../document/axis'
import { plainFindings } from '../evaluation/check'
import type { EvaluationContext } from '../evaluation/context'
import type { Finding } from '../evaluation/finding'
import { changedAxis, patchesOf, remedied } from '../evaluation/remedy'
import { CATALOGUE } from '../machine/parts'
import { LIMITS } from '.'
import { evaluateAxis } from './evaluateAxis'
import { AXES, draw, edited } from './fixtures/edits'
import { remediesFor } from './remediesFor'
import { procedure, teardown } from './shared/steps/procedure'

// What is judged again only where something changed says, to the letter, what is said of an axis judged afresh.

/** Every finding with its words, and the figures behind it. */
function said(evaluation: EvaluationContext) {
  const findings = plainFindings(evaluation.findings)
  const { figures } = evaluation
  return findings.map(finding => ({ ...finding, figures: finding.because.map(name => figures[name]) }))
}

/** The steps of the work, which are remembered too: what holds a load is read off them. */
const stepsOf = (evaluation: EvaluationContext) => [teardown(evaluation), procedure(evaluation)]

/** What is done next to an axis: an edit of any field, the last edit taken back, a remedy, other limits. */
const act = fc.oneof(
  { weight: 20, arbitrary: draw.map(one => ({ is: 'edit' as const, ...one })) },
  { weight: 4, arbitrary: fc.constant({ is: 'undo' as const }) },
  { weight: 2, arbitrary: fc.nat(1000).map(which => ({ is: 'limits' as const, which })) },
  { weight: 1, arbitrary: fc.nat(1000).map(which => ({ is: 'remedy' as const, which })) },
)
type Act = typeof act extends fc.Arbitrary<infer T> ? T : never

function done(one: Act, history: Axis[], evaluation: EvaluationContext): Axis {
  const axis = history.at(-1) as Axis
  switch (one.is) {
    case 'edit':
      return edited(axis, one)
    case 'undo':
      return history.at(-2) ?? axis
    case 'limits': {
      const keys = Object.keys(LIMITS)
      const key = keys[one.which % keys.length] as string
      return changedAxis(axis, draft => {
        if (draft.limits[key]) delete draft.limits[key]
        else draft.limits[key] = { holds: 0.5 + (one.which % 7) / 10, close: 1, because: 'tried' }
      })
    }
    case 'remedy': {
      const failing = evaluation.findings.filter(({ state }) => state === 'fails')
      if (failing.length === 0) return axis
      const { checkId } = failing[one.which % failing.length] as Finding
      const [remedy] = remediesFor(axis, CATALOGUE, 'mm', checkId)
      return remedy ? remedied(axis, remedy) : axis
    }
  }
}

/** How many edits are tried: a part of them at every run, all of them in `npm run endure`. */
const EDITS = runs(5000, 600)
const EDITS_A_WALK = 25

test(`after any edit the next evaluation says what a fresh one says`, () => {
  let edits = 0
  fc.assert(
    fc.property(
      fc.nat(AXES.length - 1),
      fc.array(act, { minLength: EDITS_A_WALK, maxLength: EDITS_A_WALK }),
      fc.constantFrom('mm' as const, 'inch' as const),
      (which, acts, units) => {
        const start = AXES[which] as Axis
        const history = [start]
        let evaluation = evaluateAxis(start, CATALOGUE, units)
        said(evaluation)
        for (const [index, one] of acts.entries()) {
          const axis = done(one, history, evaluation)
          evaluation = evaluation.next(axis)
          if (index % 2) {
            // As a sheet does that asks for its own: the others are taken over from further back.
            for (const [at, checkId] of [...evaluation.checkIds].entries())
              if (at % 7 === index % 7) evaluation.finding(checkId)
            history.push(axis)
            edits += 1
            continue
          }
          const fresh = said(evaluateAxis(axis, CATALOGUE, units))
          const next = said(evaluation)
          const differs = fresh.find((finding, index) => !isEqual(finding, next[index]))
          if (differs || next.length !== fresh.length)
            throw new Error(
              `${start.id}, ${JSON.stringify(one)}: ${JSON.stringify(differs)}
next: ${JSON.stringify(next.find(({ checkId }) => checkId === differs?.checkId))}
${JSON.stringify(patchesOf(history.at(-1) as Axis, axis)).slice(0, 800)}`,
            )
          if (!isEqual(stepsOf(evaluation), stepsOf(evaluateAxis(axis, CATALOGUE, units))))
            throw new Error(`${start.id}, ${JSON.stringify(one)}: other steps`)
          history.push(axis)
          edits += 1
        }
      },
    ),
    { numRuns: Math.ceil(EDITS / EDITS_A_WALK), endOnFailure: true },
  )
  expect(edits).toBeGreaterThanOrEqual(EDITS)
})

test('a reading judges its own sheet again and takes over the rest', () => {
  const axis = AXES[0] as Axis
  const before = evaluateAxis(axis, CATALOGUE, 'mm')
  before.findings
  const after = before.next(
    changedAxis(axis, draft => {
      const [test] = draft.fullTests
      if (test?.targets[0]) test.targets[0].positiveUm[0] = 1
    }),
  )
  const kept = after.findings.filter(finding => finding === before.finding(finding.checkId))
  expect(kept.length).toBeGreaterThan(0.8 * before.findings.length)
})
