import fc from 'fast-check'
import { evenRandom } from '../calculation/evenRandom'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { runEdit } from '../document/edit'
import type { Job } from '../document/job'
import { blankRecord, numbered } from '../field/field'
import { catalogueOf } from '../machine/parts'
import { SHEETS } from '../sheets'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { closeSearch, openSearch, setAnswer, startSearch } from '../sheets/findFault/edits'
import { FAULT_TABLE, FAULTS, likelihoodOf, outcomesOf } from '../sheets/findFault/table'
import { CHECK_WORDS, type CheckName, FAULT_WORDS } from '../sheets/findFault/words'
import { ROUND } from '../sheets/shared/rounds/model'
import { diagnosis, FOUND_FROM } from './diagnosis'
import { observedIn } from './observed'
import { STRATEGIES, simulatedSearch } from './simulatedSearch'

const { job } = skarrow()
const [X] = job.axes as [Axis]
const evaluated = (axis: Axis) => evaluateAxis(axis, catalogueOf(job), 'mm')
const bare: Axis = {
  ...X,
  tests: [],
  fullTests: [],
  gibRounds: [],
  dragRounds: [],
  turnRounds: [],
  squareRounds: [],
  pushRounds: [],
  faultSearches: [],
}
const search = (answers: Record<string, string>) => ({
  answers: Object.entries(answers).map(([check, outcome], index) => ({
    id: `a${index}`,
    check,
    outcome,
    at: '',
  })),
})
const found = (answers: Record<string, string>, axis = bare) => diagnosis(evaluated(axis), search(answers))

describe('the table of faults', () => {
  test('has words for every fault, check and outcome, and they lead to sheets that there are', () => {
    expect(FAULTS.map(({ id }) => id).toSorted()).toEqual(Object.keys(FAULT_WORDS).toSorted())
    expect(FAULT_TABLE.tests.map(({ id }) => id).toSorted()).toEqual(Object.keys(CHECK_WORDS).toSorted())
    for (const [check, { outcomes }] of Object.entries(CHECK_WORDS))
      expect(Object.keys(outcomes)).toEqual(outcomesOf(check as CheckName))
    const places = [...Object.values(FAULT_WORDS), ...Object.values(CHECK_WORDS)].flatMap(words =>
      'at' in words ? [words.at] : [],
    )
    for (const { stage, sheet } of places) expect(SHEETS.find(({ id }) => id === sheet)?.stage).toBe(stage)
  })

  test('is a table of probabilities: they add up, for every fault and every check', () => {
    expect(FAULTS.reduce((sum, { prior }) => sum + prior, 0)).toBeCloseTo(1, 9)
    for (const { id: check } of FAULT_TABLE.tests)
      for (const { id: fault } of FAULTS) {
        const sum = outcomesOf(check as CheckName).reduce(
          (of, one) => of + likelihoodOf(check, one, fault),
          0,
        )
        expect({ check, fault, sum: Math.round(sum * 1000) / 1000 }).toEqual({ check, fault, sum: 1 })
      }
  })
})

describe('a diagnosis', () => {
  test('of nothing ranks by how often each is the one, without what the drive does not have', () => {
    const { suspects, answered } = found({})
    expect(answered).toEqual([{ check: 'belt-note', outcome: 'right-or-no-belt', from: 'drive' }])
    expect(suspects[0]?.faultId).toBe('fixed-bearing-play')
    expect(suspects.some(({ faultId }) => faultId === 'belt-slack')).toBe(false)
    expect(suspects.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 9)
  })

  test.each([
    [
      { complaint: 'reverses-short', reversal: 'large', 'screw-end': 'moves', block: 'still' },
      'fixed-bearing-play',
    ],
    [{ complaint: 'reverses-short', reversal: 'large', 'screw-end': 'moves', block: 'moves' }, 'block-loose'],
    [
      { complaint: 'reverses-short', 'screw-end': 'still', 'nut-flange': 'still', 'nut-screw': 'moves' },
      'nut-play',
    ],
    [{ complaint: 'drifts-or-jumps', 'fast-return': 'whole-cycles' }, 'lost-steps'],
    [{ complaint: 'drifts-or-jumps', 'fast-return': 'off', 'hub-marks': 'shifted' }, 'coupler-slip'],
    [{ complaint: 'binds-or-stalls', 'drag-along': 'fixed-end' }, 'fixed-block-off'],
    [{ complaint: 'binds-or-stalls', 'drag-along': 'even-heavy', 'gib-slack': 'falls' }, 'gib-tight'],
    [{ complaint: 'wrong-size', 'long-move': 'in-proportion' }, 'scale-wrong'],
    [{ complaint: 'out-of-square', square: 'out' }, 'axes-not-square'],
    [{ complaint: 'rocks-or-chatters', 'side-rock': 'rocks' }, 'gib-loose'],
  ] as const)('of %j is %s', (answers, faultId) => {
    const { suspects } = found(answers)
    expect(suspects[0]?.faultId).toBe(faultId)
    expect(suspects[0]?.pointsTo.length).toBeGreaterThan(0)
  })

  test('says what speaks against a fault, and what each answer to the next check would mean', () => {
    const { suspects, next } = found({ complaint: 'reverses-short', 'screw-end': 'still' })
    const bearings = suspects.find(({ faultId }) => faultId === 'fixed-bearing-play')
    expect(bearings?.speaksAgainst.map(({ check }) => check)).toContain('screw-end')
    expect(next.map(({ check }) => check)).not.toContain('screw-end')
    const rates = next.map(({ bitsPerMinute }) => bitsPerMinute)
    expect(rates).toEqual(rates.toSorted((a, b) => b - a))
    for (const { outcomes } of next)
      expect(outcomes.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 3)
  })

  test('that hardly goes with any one fault says so; one that does not, does not', () => {
    expect(found({ 'nut-screw': 'moves', 'fast-return': 'whole-cycles', square: 'out' }).contradictory).toBe(
      true,
    )
    expect(found({ complaint: 'reverses-short', 'screw-end': 'moves' }).contradictory).toBe(false)
  })

  test('keeps its head whatever is answered, and drops answers that the table does not know', () => {
    const any = fc.record(
      Object.fromEntries(
        FAULT_TABLE.tests.map(({ id }) => [id, fc.option(fc.constantFrom(...outcomesOf(id as CheckName)))]),
      ),
    )
    fc.assert(
      fc.property(any, all => {
        const answers = Object.fromEntries(Object.entries(all).filter(([, one]) => one !== null))
        const { suspects } = found(answers as Record<string, string>)
        expect(suspects.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 6)
      }),
      { numRuns: 60 },
    )
    expect(found({ ghost: 'moves', reversal: 'enormous' }).answered).toHaveLength(1)
  })
})

describe('what readings say by themselves', () => {
  const saidBy = (axis: Axis, since: string | null = null) =>
    Object.fromEntries(observedIn(evaluated(axis), since).map(({ check, outcome }) => [check, outcome]))

  test('of the demo: a large reversal; nothing that was not read', () => {
    expect(saidBy(X)).toEqual({ reversal: 'large', 'belt-note': 'right-or-no-belt' })
    expect(saidBy(bare)).toEqual({ 'belt-note': 'right-or-no-belt' })
  })

  test('not from before something was mended', () => {
    expect(saidBy(X, '2026-11-30T00:00:00.000Z')).toEqual({ 'belt-note': 'right-or-no-belt' })
  })

  const round = {
    ...blankRecord(ROUND),
    startedAt: '2026-11-25T17:00:00.000Z',
    gaugeStepUm: 1,
  }
  test('of the five places, of returns, of a gib and of a scale', () => {
    const lostRounds: Axis['lostRounds'] = [
      {
        ...round,
        id: 'l',
        screw: 'first',
        forceN: 200,
        motorRadiusMm: 50,
        screwRadiusMm: 50,
        stations: numbered('pull', [
          { motorHubUm: 60, screwHubUm: 70, screwEndUm: 28, nutFlangeUm: 33, slideUm: 34 },
        ]),
      },
    ]
    expect(saidBy({ ...bare, lostRounds })).toMatchObject({
      'screw-end': 'moves',
      'nut-screw': 'still',
      'nut-flange': 'still',
      'hub-rock': 'together',
    })
    const returnRounds: Axis['returnRounds'] = [
      {
        ...round,
        id: 'r',
        movesEach: 20,
        fastMmPerMin: 3000,
        stations: numbered('r', [
          { slowUm: 1, fastUm: 1 },
          { slowUm: 1, fastUm: 101 },
        ]),
      },
    ]
    expect(saidBy({ ...bare, returnRounds })['fast-return']).toBe('whole-cycles')
    const gibRounds = X.gibRounds.slice(0, 1)
    expect(saidBy({ ...bare, gibRounds })['side-rock']).toBe('rocks')
    expect(saidBy({ ...bare, gibRounds: X.gibRounds.slice(1) })['side-rock']).toBeUndefined()
    const moves = (off: (mm: number) => number): Axis['scaleRounds'] => [
      {
        ...round,
        id: 's',
        stepsPerMm: 320,
        stations: numbered(
          'm',
          [0, 100, 200, 300].map(mm => ({ commandedMm: mm, measuredMm: mm + off(mm) })),
        ),
      },
    ]
    expect(saidBy({ ...bare, scaleRounds: moves(mm => mm / 500) })['long-move']).toBe('in-proportion')
    expect(saidBy({ ...bare, scaleRounds: moves(() => 0) })['long-move']).toBe('right')
  })

  test('what the builder says goes before what readings say', () => {
    const { answered } = diagnosis(evaluated(X), search({ reversal: 'small' }))
    expect(answered.filter(({ check }) => check === 'reversal')).toEqual([
      { check: 'reversal', outcome: 'small', from: null },
    ])
  })
})

describe('a search', () => {
  let count = 0
  const stamp = () => ({ id: `e${++count}`, at: `2026-11-26T1${count % 10}:00:00.000Z` })
  const axisOf = (one: Job) => one.axes[0] as Axis
  const start = (one: Job, carriesOn = false) =>
    runEdit(one, startSearch(axisOf(one), `s${++count}`, stamp().at, carriesOn), stamp()).job

  test('keeps one answer a check, and one can be taken back', () => {
    let now = start(job)
    const answer = (outcome: string | null) => {
      now = runEdit(now, setAnswer(axisOf(now), 'block', outcome, stamp()), stamp()).job
    }
    answer('still')
    answer('moves')
    expect(openSearch(axisOf(now))?.answers).toMatchObject([{ check: 'block', outcome: 'moves' }])
    answer(null)
    expect(openSearch(axisOf(now))?.answers).toEqual([])
  })

  test('that ends in a mending goes to the log, and the next one goes on without it', () => {
    const closed = runEdit(
      start(job),
      closeSearch(axisOf(start(job)), 'fixed-bearing-play', '2026-11-26T18:00:00.000Z'),
      stamp(),
    )
    expect(closed.entry?.text).toContain('the fixed bearings give along the screw')
    expect(openSearch(axisOf(closed.job))).toBeUndefined()
    const again = axisOf(start(closed.job, true))
    expect(diagnosis(evaluated(again)).suspects.map(({ faultId }) => faultId)).not.toContain(
      'fixed-bearing-play',
    )
    // The test from before the mending says nothing any more.
    expect(diagnosis(evaluated(again)).answered.map(({ check }) => check)).not.toContain('reversal')
    const anew = axisOf(start(closed.job, false))
    expect(diagnosis(evaluated(anew)).suspects.map(({ faultId }) => faultId)).toContain('fixed-bearing-play')
  })
})

test('going by information is right as often as the others, in fewer minutes', () => {
  const of = Object.fromEntries(
    STRATEGIES.map(strategy => {
      const random = evenRandom(20_261_127)
      const runs = Array.from({ length: 300 }, () => simulatedSearch(random, strategy))
      return [
        strategy,
        {
          right: runs.filter(({ planted, named }) => planted === named).length / runs.length,
          minutes: runs.reduce((sum, { minutes }) => sum + minutes, 0) / runs.length,
        },
      ]
    }),
  ) as Record<(typeof STRATEGIES)[number], { right: number; minutes: number }>
  expect(FOUND_FROM).toBeGreaterThan(0.9)
  expect(of.information.right).toBeGreaterThan(0.88)
  expect(of.information.minutes).toBeLessThan(of.likeliest.minutes)
  expect(of.information.minutes).toBeLessThan(of.checklist.minutes)
})

describe('a sound axis', () => {
  /** Each check as it mostly comes out where nothing is wrong. */
  const usual = Object.fromEntries(
    FAULT_TABLE.tests.map(({ id, outcomes }) => [
      id,
      outcomes.reduce((most, one) => (one.usual > most.usual ? one : most)).id,
    ]),
  )

  test('of which every check comes out as it should is told that nothing shows, and names no fault', () => {
    for (const complaint of outcomesOf('complaint')) {
      const found = diagnosis(evaluated(bare), search({ ...usual, complaint }))
      expect(found).toMatchObject({ found: null, next: [], nothingShows: true })
      expect(found.soundProbability).toBeGreaterThan(0.5)
    }
  })
  test('is not told so while there is a check left to make, nor where one speaks of a fault', () => {
    const { complaint, reversal, 'screw-end': end, ...others } = usual
    const begun = diagnosis(evaluated(bare), search({ complaint: 'reverses-short' }))
    expect(begun).toMatchObject({ nothingShows: false })
    expect(begun.soundProbability).toBeLessThan(0.5)
    const moved = diagnosis(
      evaluated(bare),
      search({ ...others, complaint: 'reverses-short', reversal: 'large', 'screw-end': 'moves' }),
    )
    expect(moved).toMatchObject({ nothingShows: false })
    expect(moved.soundProbability).toBeLessThan(0.05)
  })
  test('whatever is answered, faults share one among them and soundness is a share of all', () => {
    const answers = fc.record(
      Object.fromEntries(
        FAULT_TABLE.tests.map(({ id, outcomes }) => [id, fc.constantFrom(...outcomes.map(one => one.id))]),
      ),
      { requiredKeys: [] },
    )
    fc.assert(
      fc.property(answers, given => {
        const { suspects, soundProbability } = diagnosis(
          evaluated(bare),
          search(given as Record<string, string>),
        )
        const sum = suspects.reduce((of, { probability }) => of + probability, 0)
        expect(sum).toBeCloseTo(1, 9)
        expect(soundProbability).toBeGreaterThanOrEqual(0)
        expect(soundProbability).toBeLessThanOrEqual(1)
      }),
      { numRuns: 60 },
    )
  })
})
