import type { Axis } from '../document/axis'
import { CATALOGUE } from '../machine/parts'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { SimulatedAxis } from '../simulate/axis/axis'
import type { Causes } from '../simulate/axis/figures'
import { Hand, type Slip } from '../simulate/axis/hand'
import { SHEETS_TRIED, type Tried } from './builder'
import { type Read, read } from './read'
import { drawTrial, type Trial } from './trial'

// Known causes, planted: what is read of them, with what a hand can get wrong, and what the sheet says of it.

/** A level axis that is held at both ends: what a far block does shows at all. */
const level = Array.from({ length: 200 }, (_, index) => index + 1)
  .map(seed => drawTrial(seed))
  .filter(
    ({ figures, axis }) =>
      figures.ends === 'fixed-supported' &&
      figures.inclineDeg === 0 &&
      axis.drive.screws === 1 &&
      axis.drive.transmission === 'direct' &&
      figures.spanMm < 900 &&
      figures.fullStepsPerRev === 200,
  )
const TRIAL = level.toSorted((a, b) => b.figures.spanMm - a.figures.spanMm)[0] as Trial
const { goals } = TRIAL.axis

/** What a sheet says of an axis with these causes, read by a hand. */
function said(
  sheet: Tried,
  causes: Causes,
  {
    slip = null,
    size = 40,
    set = {},
    trial = TRIAL,
    axis = trial.axis,
  }: { slip?: Slip | null; size?: number; set?: object; trial?: Trial; axis?: Axis } = {},
) {
  const tried = SHEETS_TRIED[sheet]
  const plan = { ...tried.plan(axis, trial), ...set }
  const filled = read(
    new SimulatedAxis(trial.figures, causes),
    tried.read as Read,
    plan as never,
    new Hand(7, slip, size, tried.readings),
  )
  const after = tried.put(axis, filled as never)
  const { findings } = evaluateAxis(after, CATALOGUE, 'mm')
  return {
    axis: after,
    findings: findings.filter(({ checkId }) => (tried.checks as readonly string[]).includes(checkId)),
    sentence: findings.find(({ checkId }) => checkId === tried.checks[0])?.sentence ?? '',
    state: findings.find(({ checkId }) => checkId === tried.checks[0])?.state,
  }
}

describe('the line of a screw between two tight blocks', () => {
  const low: Causes = { farBlock: { heightUm: -300, sideUm: 0 } }

  test('says which block is off: never the fixed one for a far one that is low', () => {
    const { sentence, state } = said('screwLine', low)
    expect(state).toBe('fails')
    expect(sentence).toMatch(/^Raise the far block by (2[5-9]\d|3[0-4]\d) µm/)
    expect(sentence).not.toMatch(/(Raise|Lower) the fixed block/)
  })

  test.each([
    [{ tight: null }, 'Say which blocks are tight'],
    [{ turnedTo: null }, 'turned to its mark'],
    [{ turnedTo: 'any' }, 'Turn the screw to the same mark'],
  ])('asks with %j before anything is turned', (set, asked) => {
    expect(said('screwLine', low, { set }).sentence).toContain(asked)
  })

  test('a gauge that is read the other way turns nothing the wrong way', () => {
    const { sentence } = said('screwLine', low, { slip: 'reversed-gauge' })
    expect(sentence).toMatch(/^Raise the far block/)
  })

  test('a screw that is bent is none of its blocks off', () => {
    const { findings } = said('screwLine', { bow: { um: 200, atDeg: 0 } })
    expect(findings.map(({ state }) => state)).not.toContain('fails')
  })

  test('a slack block is said nothing of', () => {
    const { findings } = said('screwLine', {}, { set: { tight: 'fixed' } })
    expect(findings.find(({ checkId }) => checkId === 'align.side')?.sentence).toContain(
      'Of the far block, which is slack, this says nothing',
    )
  })
})

describe('a gib that is tight at one end', () => {
  const rubsN = Math.max(TRIAL.figures.frictionN, 20)
  const tight: Causes = { gib: { endN: 6 * rubsN, end: 'high' } }

  test('moves no block: it is slacked first, and then named', () => {
    const whole = said('drag', tight)
    expect(whole.sentence).not.toMatch(/Slacken it with the nut run up/)
    const slack = said('drag', tight, { axis: whole.axis, set: { half: 'gib-slack' } })
    expect(slack.sentence).not.toMatch(/Slacken it with the nut run up/)
  })

  test('a far block that is off stays so with the gib slacked, and is named then', () => {
    // An upright axis whose far block is off by as much as its drag shows.
    const trial = drawTrial(104)
    const whole = said('drag', trial.causes, { trial })
    expect(whole.sentence).toContain('nothing is slackened before that is known')
    const slack = said('drag', trial.causes, { trial, axis: whole.axis, set: { half: 'gib-slack' } })
    expect(slack.sentence).toContain('it binds as the nut comes near the far block: that block stands off')
  })
})

describe('one slip of a digit', () => {
  test('in drag and gib is asked about, and stands once it is read again at its place', () => {
    const { axis } = said('drag', {})
    const [round] = axis.dragRounds as [Axis['dragRounds'][number]]
    const at = 2
    const slipped = {
      ...round,
      stations: round.stations.map((one, index) =>
        index === at ? { ...one, away: 10 * (one.away as number) } : one,
      ),
    }
    const find = (dragRounds: Axis['dragRounds']) =>
      evaluateAxis({ ...axis, dragRounds }, CATALOGUE, 'mm').finding('align.drag')
    expect(find([slipped])?.sentence).toContain('about ten times')
    const twice = {
      ...slipped,
      stations: [
        ...slipped.stations,
        { ...(slipped.stations[at] as (typeof slipped.stations)[number]), id: 'again' },
      ],
    }
    expect(find([twice])?.sentence).not.toContain('about ten times')
  })
})

describe('zero against time', () => {
  const grows: Causes = { heat: { riseK: 60, minutes: 8 } }
  const wished: Axis = { ...TRIAL.axis, goals: { ...goals, accuracyTargetUm: 20 } }

  test('tells heat by its time constant, and how long to run it', () => {
    const { sentence, state } = said('zeroTime', grows, { axis: wished })
    expect(state).toBe('fails')
    expect(sentence).toMatch(/time constant of \d+ minutes/)
    expect(sentence).toMatch(/Run it for \d+ minutes before a full test/)
  })
  test('tells a base that creeps from heat: it is alike at both places', () => {
    const { sentence, state } = said('zeroTime', {}, { slip: 'creeping-base', size: 60, axis: wished })
    expect(state).toBe('unknown')
    expect(sentence).toContain('alike at both places')
  })
  test('tells a gauge that was touched from steps that were lost', () => {
    expect(said('zeroTime', {}, { slip: 'knock', size: 45, axis: wished }).sentence).toContain('was touched')
    const loses: Causes = { lost: { cycles: 1, aboveMmPerMin: 1 } }
    const { sentence, state } = said('zeroTime', loses, { axis: wished })
    expect(state).toBe('fails')
    expect(sentence).toContain('it loses steps as it runs')
  })
  test('leaves a sound axis alone', () => {
    expect(said('zeroTime', {}, { axis: wished }).state).toBe('holds')
  })
})

describe('signs', () => {
  test.each(['flange', 'rails', 'coupler'] as const)(
    'with the dial the other way %s orders nothing, until they are turned over',
    sheet => {
      const causes: Causes = {
        face: { tiltUmPerMm: 6, atDeg: 40, warpUm: 0 },
        rail: { proud: [{ atMm: TRIAL.figures.travelMm / 2, um: 120 }] },
        motor: { besideUm: 400, towardsDeg: 30, mrad: 10, openAtDeg: 0 },
      }
      expect(said(sheet, causes).state).toMatch(/fails|close/)
      const turned = said(sheet, causes, { slip: 'reversed-gauge' })
      expect(turned.state).toBe('unknown')
      expect(turned.sentence).toContain('The dial reads less as its tip is pushed in')
    },
  )
})
