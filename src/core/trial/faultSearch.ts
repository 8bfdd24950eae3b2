import { type Diagnosis, diagnosis, type Suspect } from '../diagnose/diagnosis'
import type { Twin } from '../diagnose/twin'
import type { Axis } from '../document/axis'
import type { EvaluationContext } from '../evaluation/context'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { minutesOf } from '../sheets/findFault/table'
import type { CheckName, FaultId } from '../sheets/findFault/words'
import { SimulatedAxis } from '../simulate/axis/axis'
import type { AxisFigures, Causes } from '../simulate/axis/figures'
import { type Fault, isSearchedFor, type Trial } from './trial'
import { lossesUm } from './truth'

// A builder who finds a fault by the checks that Find the fault asks for, and answers as his hands and his gauge tell him.

/** A hand feels a share of a torque, a gauge shows so much. */
const FELT_SHARE = 0.25
const SEEN_UM = 6
const ROCKS_UM = 40
const MOST_CHECKS = 20

/** How a simulated axis comes out of every check, as one can see it. */
function seen({ figures, axis }: Trial, causes: Causes): Record<CheckName, string> {
  const it = new SimulatedAxis(figures, causes)
  const sound = new SimulatedAxis(figures)
  const targetUm = axis.goals.backlashTargetUm
  const moves = (place: 'screwEnd' | 'block' | 'slide' | 'nutFlange' | 'motorHub' | 'screwHub') => {
    const toAndFro = (of: SimulatedAxis) => of.pushedUm(place, PUSH_N) - of.pushedUm(place, -PUSH_N)
    return toAndFro(it) - toAndFro(sound)
  }
  const isLarge = lossesUm(figures, causes) > targetUm
  const drag = dragOf(it, sound, figures)
  const wave = waveOf(it, figures)
  const isRough = causes.track !== undefined
  const more = (atMm: number, apart: Apart) =>
    it.torqueNm(atMm, 1, 0, apart) / Math.max(sound.torqueNm(atMm, 1, 0, apart), LEAST_NM) - 1
  // Drag is felt along the travel: what is taken apart is felt again where it was heaviest.
  const heaviestMm = [
    causes.track?.atMm ?? figures.nutAtZeroMm + figures.travelMm / 2,
    figures.nutAtZeroMm,
    figures.nutAtZeroMm + figures.travelMm,
  ].reduce((most, atMm) => (more(atMm, {}) > more(most, {}) ? atMm : most))
  const heavy = (apart: Apart) => more(heaviestMm, apart)
  const returned = returnOf(figures, causes)
  const off = (_: boolean, yes: string, no: string) => (_ ? yes : no)
  return {
    complaint: complaintOf(causes, isLarge, drag !== 'even-light' || wave > FELT_SHARE),
    reversal: off(isLarge, 'large', 'small'),
    'screw-end': off(moves('screwEnd') > SEEN_UM, 'moves', 'still'),
    block: off(moves('block') > SEEN_UM, 'moves', 'still'),
    'nut-flange': off(moves('slide') - moves('nutFlange') > SEEN_UM, 'moves', 'still'),
    'nut-screw': off(moves('nutFlange') - moves('screwEnd') - moves('screwHub') > SEEN_UM, 'moves', 'still'),
    'hub-marks': off(causes.slip !== undefined, 'shifted', 'in-line'),
    'hub-rock': off(moves('screwHub') - moves('motorHub') > SEEN_UM, 'motor-first', 'together'),
    'belt-note': 'right-or-no-belt',
    'side-rock': off(it.sidePlayUm(figures.travelMm / 2) > ROCKS_UM, 'rocks', 'solid'),
    'drag-along': drag,
    'drag-ways': off(unlike(it, figures), 'tighter-one-way', 'alike'),
    'drag-turn': isRough ? 'rough' : wave > FELT_SHARE / 2 ? 'once-a-turn' : 'even',
    'gib-slack': off(heavy({}) - heavy({ gibSlack: true }) > FELT_SHARE / 2, 'falls', 'as-before'),
    'nut-off': off(heavy({ nutOff: true }) > FELT_SHARE, 'stays-heavy', 'light'),
    'fast-return': returned,
    'warm-return': off(grownUm(figures, causes) > SEEN_UM, 'drifted', 'same'),
    'long-move': off(causes.scaleOff !== undefined, 'in-proportion', 'right'),
    square: off(causes.squareUmPerM !== undefined, 'out', 'square'),
    'compensation-off': off(causes.compensatedUm !== undefined, 'other', 'as-before'),
  }
}
/** What is taken apart for a check. */
type Apart = { gibSlack?: boolean; nutOff?: boolean }
const PUSH_N = 400
const LEAST_NM = 0.02

const complaintOf = (causes: Causes, isLarge: boolean, binds: boolean): string =>
  causes.squareUmPerM !== undefined
    ? 'out-of-square'
    : causes.scaleOff !== undefined
      ? 'wrong-size'
      : causes.lost || causes.slip || causes.heat
        ? 'drifts-or-jumps'
        : (causes.gib?.playUm ?? 0) > ROCKS_UM
          ? 'rocks-or-chatters'
          : isLarge || !binds
            ? 'reverses-short'
            : 'binds-or-stalls'

/** What a hand feels along the travel. */
function dragOf(it: SimulatedAxis, sound: SimulatedAxis, { nutAtZeroMm, travelMm }: AxisFigures): string {
  const more = (share: number) => {
    const mm = nutAtZeroMm + share * travelMm
    const mean = (of: SimulatedAxis) => (of.meanTorqueNm(mm, 1) + of.meanTorqueNm(mm, -1)) / 2
    return mean(it) / Math.max(mean(sound), LEAST_NM) - 1
  }
  const [near, middle, far] = [more(0), more(0.5), more(1)]
  const [isNear, isFar] = [near - middle > FELT_SHARE, far - middle > FELT_SHARE]
  if (isNear && isFar) return 'both-ends'
  if (Math.abs(far - near) > 2 * FELT_SHARE && Math.abs(near + far - 2 * middle) < FELT_SHARE) return 'along'
  if (isNear) return 'fixed-end'
  if (isFar) return 'far-end'
  return middle > 2 * FELT_SHARE ? 'even-heavy' : 'even-light'
}

const unlike = (it: SimulatedAxis, { nutAtZeroMm, travelMm }: AxisFigures): boolean => {
  const mm = nutAtZeroMm + travelMm / 2
  const [away, towards] = [it.meanTorqueNm(mm, 1), it.meanTorqueNm(mm, -1)]
  return Math.abs(away - towards) > FELT_SHARE * Math.max(away, towards)
}

const waveOf = (it: SimulatedAxis, { nutAtZeroMm, travelMm }: AxisFigures): number => {
  const read = Array.from({ length: 8 }, (_, i) => it.torqueNm(nutAtZeroMm + travelMm / 2, 1, 45 * i))
  return (Math.max(...read) - Math.min(...read)) / Math.max(2 * LEAST_NM, ...read)
}

/** Back to zero after fast moves. */
function returnOf(figures: AxisFigures, causes: Causes): string {
  const it = new SimulatedAxis(figures, causes)
  const home = (feed: number) => {
    it.moveTo(figures.travelMm / 2, feed)
    it.moveTo(-2, feed)
    it.moveTo(0, SLOW)
    return it.offUm
  }
  const zero = home(SLOW)
  const offUm = Math.abs(home(figures.topSpeedMmPerMin) - zero)
  if (offUm < SEEN_UM) return 'exact'
  return causes.lost ? 'whole-cycles' : 'off'
}
const SLOW = 300

/** What half an hour of running does to the far end of the travel. */
function grownUm(figures: AxisFigures, causes: Causes): number {
  const it = new SimulatedAxis(figures, { ...causes, lost: undefined, slip: undefined })
  it.moveTo(figures.travelMm, SLOW)
  const cold = it.offUm
  it.pass(HALF_AN_HOUR, 1)
  it.moveTo(figures.travelMm - 2, SLOW)
  it.moveTo(figures.travelMm, SLOW)
  return Math.abs(it.offUm - cold)
}
const HALF_AN_HOUR = 30

/** A check that was made, and what is likeliest after it. */
export interface SearchStep {
  readonly check: CheckName
  readonly outcome: string
  readonly minutes: number
  readonly likeliest: FaultId
  readonly probability: number
}

/** What a search begins from. */
export interface Read {
  readonly axis: Axis
  readonly twin: Twin | null
}

/** A search as it is made: what was asked so far, and what the table makes of it. */
export class Search {
  readonly steps: SearchStep[] = []
  private readonly answers: Record<CheckName, string>
  private readonly said: { id: string; check: CheckName; outcome: string; at: string }[] = []
  private readonly t: EvaluationContext
  /** What the table says now. */
  diagnosis: Diagnosis

  /** @param read the axis with what was read on it before, and what it would read with each fault */
  constructor(
    private readonly trial: Trial,
    private readonly read: Read = { axis: trial.axis, twin: null },
  ) {
    this.answers = seen(trial, trial.causes)
    this.t = evaluateAxis(read.axis, trial.catalogue, trial.job.units)
    this.diagnosis = this.say('complaint')
  }

  get complaint(): string {
    return this.answers.complaint
  }
  /** Minutes of all checks so far; a complaint costs none. */
  get minutes(): number {
    return this.steps.reduce((sum, { minutes }) => sum + minutes, 0)
  }

  /** Makes a check. */
  make(check: CheckName): void {
    this.diagnosis = this.say(check)
    const { faultId, probability } = this.diagnosis.suspects[0] as Suspect
    const outcome = this.answers[check]
    this.steps.push({ check, outcome, minutes: minutesOf(check), likeliest: faultId, probability })
  }

  private say(check: CheckName): Diagnosis {
    this.said.push({ id: check, check, outcome: this.answers[check], at: this.trial.job.createdAt })
    return diagnosis(this.t, { answers: this.said }, this.read.twin)
  }
}

/** A search by what the sheet asks for next, until a fault is as good as found or nothing is left to check. */
export function searchByTheSheet(trial: Trial, read?: Read): Search {
  const search = new Search(trial, read)
  for (;;) {
    const { found, next } = search.diagnosis
    const [first] = next
    if (found || !first || search.steps.length >= MOST_CHECKS) return search
    search.make(first.check)
  }
}

/** What became of a search. */
export interface SearchOutcome {
  readonly seed: number
  readonly fault: Fault
  /** As good as found by the table; null where nothing was left to check. */
  readonly found: string | null
  readonly minutes: number
  readonly checks: number
}

/** A search for the fault of a trial, from the complaint on; null for a sound axis, of which nobody complains. */
export function searchFor(trial: Trial): SearchOutcome | null {
  const {
    faults: [fault],
    seed,
  } = trial
  if (!fault || !isSearchedFor(fault)) return null
  const { diagnosis, minutes, steps } = searchByTheSheet(trial)
  return { seed, fault, found: diagnosis.found, minutes, checks: steps.length }
}
