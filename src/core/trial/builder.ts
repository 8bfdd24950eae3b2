import { evenRandom, normalFrom } from '../calculation/evenRandom'
import type { Axis } from '../document/axis'
import type { State } from '../evaluation/finding'
import type { CheckId } from '../evaluation/ids'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { SimulatedAxis } from '../simulate/axis/axis'
import type { Causes } from '../simulate/axis/figures'
import { Hand } from '../simulate/axis/hand'
import { DRAG, GIB, LINE } from './alignSheets'
import { CIRCLE, FULL, LOST, PUSH, REVERSAL, SCALE, STEPS, TURN, ZERO } from './proveSheets'
import { type Plans, type Read, read } from './read'
import { BELT, COUPLER, DROOP, FLANGE, PRELOAD, RAILS, RUN_OUT, SQUARE, WAYS } from './settingSheets'
import { ORDER_MIN, READING_MIN, type Sheet } from './sheetTried'
import type { Fault, Trial } from './trial'

// A builder who does what the sheets say: he reads what a sheet asks for, turns and shims by what it orders, as well as a
// hand can, and reads again, until it says that it holds, or for eight rounds.

const MOST_ROUNDS = 8

/** In the order in which they are gone through. */
export const SHEETS_TRIED = {
  waysFriction: WAYS,
  gib: GIB,
  rails: RAILS,
  flange: FLANGE,
  screwLine: LINE,
  preload: PRELOAD,
  runOut: RUN_OUT,
  overhang: DROOP,
  coupler: COUPLER,
  belt: BELT,
  drag: DRAG,
  square: SQUARE,
  pushPull: PUSH,
  whereLost: LOST,
  reversal: REVERSAL,
  fullTest: FULL,
  lostSteps: STEPS,
  zeroTime: ZERO,
  oneTurn: TURN,
  scale: SCALE,
  circle: CIRCLE,
} as const
export type Tried = keyof typeof SHEETS_TRIED

/** The sheets that an axis is taken through. */
export const sheetsFor = (trial: Trial): Tried[] =>
  (Object.keys(SHEETS_TRIED) as Tried[]).filter(
    name => (SHEETS_TRIED[name] as Pick<Sheet<Read>, 'fits'>).fits?.(trial) ?? true,
  )

/** What became of a trial on one sheet. */
export interface Outcome {
  readonly seed: number
  readonly kind: string
  readonly faults: readonly Fault[]
  readonly slip: string | null
  readonly sheet: Tried
  /** Whether the sheet is one that should find the fault. */
  readonly isAbout: boolean
  /** Whether it was right in what the sheet judges before anything was set. */
  readonly wasRight: boolean
  /** Whether nothing is wrong with it that the sheet should find or stop at. */
  readonly isSound: boolean
  /** What the sheet said of the first round, and at the end. */
  readonly first: State | null
  readonly last: State | null
  /** Whether its first order named the fault; null where nothing was ordered. */
  readonly named: boolean | null
  /** Orders that were carried out, by what they did to the axis as it truly is. */
  readonly better: number
  readonly same: number
  readonly worse: number
  /** Something was set or taken apart on an axis that was right in what the sheet judges. */
  readonly touchedSound: boolean
  /** It was said to hold while it did not. */
  readonly falseProof: boolean
  readonly rounds: number
  readonly minutes: number
}

/** A truth that moved by less is the same. */
const NOTICED = 0.1
/** So far beyond what is accepted a figure that is said to hold is no proof. */
const BEYOND = 1.15

/** An axis as it stands on the bench: what is truly wrong with it, and what its job says. */
interface Standing {
  readonly causes: Causes
  readonly axis: Axis
}

/** What all checks of a sheet come to. */
const togetherOf = (states: readonly (State | null)[]): State =>
  (['fails', 'unknown', 'close'] as const).find(state => states.includes(state)) ??
  (states.includes(null) ? 'unknown' : 'holds')

/** What a base creeps or is knocked by on a sheet: half as much again as is accepted, where it has no figure of its own. */
export function handSize(
  sheet: Sheet<Read>,
  { figures, causes, axis, catalogue }: Pick<Trial, 'figures' | 'causes' | 'axis' | 'catalogue'>,
): number {
  const [, accepted] = sheet.truth(figures, causes, axis, catalogue)
  return sheet.slipUm ?? (accepted > 1 ? 1.5 * accepted : 30)
}

/** Reads the table of a sheet once; of two screws the second is sound, and the first, of which the trial is, is read last. */
export function readOnce(
  { figures, seed }: Trial,
  sheet: Sheet<Read>,
  { causes, axis }: Standing,
  plan: Plans[Read],
  reader: Hand,
): Axis {
  const second =
    axis.drive.screws === 2 && 'screw' in plan
      ? [
          read(
            new SimulatedAxis(figures),
            sheet.read,
            { ...plan, id: `${plan.id}b`, screw: 'second' },
            new Hand(seed, null),
          ),
        ]
      : []
  return sheet.put(axis, ...second, read(new SimulatedAxis(figures, causes), sheet.read, plan, reader))
}

/**
 * Takes an axis through one sheet as a builder would: it is read, set by what is ordered, and read again.
 *
 * @param from how it stands when the sheet is come to
 * @returns what became of it, and how it stands then
 */
function goThrough(trial: Trial, name: Tried, from: Standing): { outcome: Outcome; now: Standing } {
  const sheet = SHEETS_TRIED[name] as unknown as Sheet<Read>
  const { figures, seed, faults, slip } = trial
  const random = evenRandom(seed * 31 + Object.keys(SHEETS_TRIED).indexOf(name))
  const hand = normalFrom(random)
  const truthOf = ({ causes, axis }: Standing) => sheet.truth(figures, causes, axis, trial.catalogue)
  let now = from
  const [offAtFirst, acceptedAtFirst] = truthOf(from)
  let [first, last]: [State | null, State | null] = [null, null]
  let named: boolean | null = null
  const count = { better: 0, same: 0, worse: 0 }
  let touchedSound = false
  let rounds = 0
  let minutes = 0
  while (rounds < MOST_ROUNDS) {
    rounds += 1
    minutes += READING_MIN * sheet.readings
    const size = handSize(sheet, { figures, catalogue: trial.catalogue, ...now })
    const reader = new Hand(Math.floor(random() * 2 ** 31), rounds === 1 ? slip : null, size, sheet.readings)
    now = { ...now, axis: readOnce(trial, sheet, now, sheet.plan(now.axis, trial), reader) }
    const t = evaluateAxis(now.axis, trial.catalogue, trial.job.units)
    const states = sheet.checks.map(
      check => t.findings.find(({ checkId }) => checkId === check)?.state ?? null,
    )
    const fails = (check: CheckId) => states[sheet.checks.indexOf(check)] === 'fails'
    last = togetherOf(states)
    first ??= last
    if (last === 'holds') break
    if (!(sheet.ordersWhen ?? ['fails']).includes(last)) continue
    const order = sheet.orders(t, fails, hand)
    if (!order) break
    if (order.isReading) continue
    named ??= faults.some(fault => order.names.includes(fault))
    const [before, accepted] = truthOf(now)
    // A fault that is truly there and still small is no harm to mend; nor is what is set because nothing is known of it.
    if (last === 'fails' && before <= accepted && !faults.some(fault => order.names.includes(fault)))
      touchedSound = true
    now = {
      causes: order.done?.(now.causes) ?? now.causes,
      axis: order.noted?.(now.axis) ?? now.axis,
    }
    minutes += ORDER_MIN
    const [after] = truthOf(now)
    const change = (after - before) / Math.max(accepted, before)
    // What stays within what is accepted is none the worse for it.
    count[change > NOTICED && after > accepted ? 'worse' : change < -NOTICED ? 'better' : 'same'] += 1
  }
  const [off, accepted] = truthOf(now)
  const outcome: Outcome = {
    seed,
    kind: trial.kind,
    faults,
    slip,
    sheet: name,
    isAbout: faults.some(fault => sheet.about.includes(fault)),
    wasRight: offAtFirst <= acceptedAtFirst,
    isSound:
      offAtFirst <= acceptedAtFirst &&
      !faults.some(fault => sheet.about.includes(fault) || sheet.stopsAt?.includes(fault)),
    first,
    last,
    named,
    ...count,
    touchedSound,
    falseProof: last === 'holds' && off > BEYOND * accepted,
    rounds,
    minutes,
  }
  return { outcome, now }
}

/**
 * Takes a trial through one sheet as a builder would.
 *
 * @returns what became of it, and the axis with all that was read
 */
export function tryOn(trial: Trial, name: Tried): { outcome: Outcome; axis: Axis } {
  const { outcome, now } = goThrough(trial, name, trial)
  return { outcome, axis: now.axis }
}

/** What became of an axis that was taken through all of its sheets, one after the other. */
export interface WholeOutcome {
  readonly seed: number
  readonly faults: readonly Fault[]
  readonly slip: string | null
  /** Sheets that do not hold at the end. */
  readonly open: readonly Tried[]
  /** Sheets in whose matter it is truly not right at the end. */
  readonly wrong: readonly Tried[]
  readonly worse: number
  readonly minutes: number
}

/** Takes a trial through all sheets in their order: what one of them sets, the next one finds. */
export function tryAll(trial: Trial): { outcome: WholeOutcome; axis: Axis } {
  const sheets = sheetsFor(trial)
  let now: Standing = trial
  const said: Outcome[] = []
  for (const name of sheets) {
    const gone = goThrough(trial, name, now)
    said.push(gone.outcome)
    now = gone.now
  }
  const wrong = sheets.filter(name => {
    const [off, accepted] = SHEETS_TRIED[name].truth(trial.figures, now.causes, now.axis, trial.catalogue)
    return off > BEYOND * accepted
  })
  return {
    outcome: {
      seed: trial.seed,
      faults: trial.faults,
      slip: trial.slip,
      open: said.filter(({ last }) => last !== 'holds').map(({ sheet }) => sheet),
      wrong,
      worse: said.reduce((sum, one) => sum + one.worse, 0),
      minutes: said.reduce((sum, one) => sum + one.minutes, 0),
    },
    axis: now.axis,
  }
}
