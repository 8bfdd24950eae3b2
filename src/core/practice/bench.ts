import { checkOf } from '../calculation/checkOf'
import { length, plain, smallLength, type ValuesOf } from '../field/field'
import { SimulatedAxis } from '../simulate/axis/axis'
import { Hand } from '../simulate/axis/hand'
import { indicator } from '../simulate/axis/instruments'
import { TABLE } from '../simulate/axis/table'
import { Controller } from '../simulate/controller'

// A bench for other programs to try theirs on: a controller that takes a program line by line, and an indicator on the slide
// that answers one reading a line. Time passes by what is asked of it: nobody waits for a move.

/** What a bench is made of; what is left out is that of a small mill's table. */
export const BENCH_FIELDS = {
  travelMm: length('travel', [10, 5000], { blank: TABLE.travelMm }),
  leadMm: length('lead of the screw', [0.5, 50], { blank: TABLE.leadMm }),
  playUm: smallLength('play of the nut', [0, 1000]),
  stepUm: smallLength('step of the gauge', [0.1, 1000], { blank: 1 }),
  topSpeedMmPerMin: plain('top speed', [10, 100_000], { blank: TABLE.topSpeedMmPerMin }),
  seed: plain('seed of the hand', [0, 2 ** 31], { whole: true }),
} as const
export type BenchSetup = ValuesOf<typeof BENCH_FIELDS>
const check = checkOf(BENCH_FIELDS)

/** A bench runs a day of its own time at most. */
const LONGEST_S = 24 * 3600
/** So many lines of a program at a time. */
export const MOST_LINES = 2000
const LETTER = 'X'
const S_PER_MIN = 60

/**
 * A simulated axis with a controller and an indicator.
 *
 * @example
 * const bench = new PracticeBench({ ...blankRecord(BENCH_FIELDS), playUm: 20 })
 * bench.send('G21 G90\nG1 X100 F500') // ['ok', 'ok']
 * bench.read(true) // '+0.0000 mm'
 */
export class PracticeBench {
  private readonly axis: SimulatedAxis
  private readonly controller: Controller
  private readonly hand: Hand
  private zeroMm = 0
  private passedS = 0

  /** @throws InputError naming what is out of its range */
  constructor(private readonly setup: BenchSetup) {
    check(setup)
    const { travelMm, leadMm, playUm, topSpeedMmPerMin, seed } = setup
    const spanMm = TABLE.spanMm - TABLE.travelMm + travelMm
    this.axis = new SimulatedAxis(
      { ...TABLE, spanMm, travelMm, leadMm, topSpeedMmPerMin },
      { playUm: { nut: playUm } },
    )
    this.controller = new Controller({
      limitsMm: { [LETTER]: [0, travelMm] },
      rapidMmPerMin: topSpeedMmPerMin,
      mostFeedMmPerMin: topSpeedMmPerMin,
      dwellUnit: 'seconds',
    })
    this.hand = new Hand(seed, null)
  }

  /** Takes lines of a program, and answers each: ok, or why not. `?` asks where it stands, `!` clears an alarm. */
  send(text: string): string[] {
    const lines = text.split(/\r\n|\r|\n/)
    // What ends with an end of line has no line after it.
    if (lines.at(-1) === '') lines.pop()
    if (lines.length > MOST_LINES)
      return [`error: got ${lines.length} lines, takes up to ${MOST_LINES} at a time`]
    return lines.map(line => this.take(line))
  }

  private take(line: string): string {
    const { controller } = this
    if (line.trim() === '?') return `${controller.state} ${LETTER}${controller.positionMm(LETTER).toFixed(3)}`
    if (line.trim() === '!') {
      controller.clear()
      return 'ok'
    }
    if (this.passedS > LONGEST_S) return 'error: this bench has run for a day: open another'
    const fromMm = controller.positionMm(LETTER)
    const answer = controller.send(line)
    if (answer.is !== 'ok') return `${answer.is}: line ${answer.line} ${answer.reason}`
    const seconds = controller.secondsLeft
    controller.pass(seconds)
    this.passedS += seconds
    const wayMm = Math.abs(controller.positionMm(LETTER) - fromMm)
    if (wayMm > 0) this.axis.moveTo(controller.positionMm(LETTER), (wayMm / seconds) * S_PER_MIN)
    else this.axis.dwell(seconds)
    return 'ok'
  }

  /** One line of the indicator: where the slide stands, from where it was set to zero. @param isZeroed sets it to zero first */
  read(isZeroed = false): string {
    if (isZeroed) this.zeroMm = this.axis.standsAtMm
    const um = (this.axis.standsAtMm - this.zeroMm) * 1000
    const mm = (isZeroed ? 0 : this.hand.read(um, indicator(this.setup.stepUm))) / 1000
    return `${mm < 0 ? '-' : '+'}${Math.abs(mm).toFixed(4)} mm`
  }
}

/** The benches that are open: few, and each for as long as it is used. */
export class Benches {
  private readonly open = new Map<string, { bench: PracticeBench; usedAtMs: number }>()

  constructor(
    private readonly most = 20,
    readonly idleMs = 10 * 60_000,
  ) {}

  /** Opens a bench; where there are as many as there may be, the one that has rested longest makes room. */
  add(id: string, bench: PracticeBench, nowMs: number): void {
    this.sweep(nowMs)
    while (this.open.size >= this.most) {
      const [oldest = ''] = this.open.keys()
      this.open.delete(oldest)
    }
    this.open.set(id, { bench, usedAtMs: nowMs })
  }

  /** A bench by its id; null where there is none, or it has rested too long. */
  use(id: string, nowMs: number): PracticeBench | null {
    this.sweep(nowMs)
    const known = this.open.get(id)
    if (!known) return null
    // In the order of use: the first is the one that has rested longest.
    this.open.delete(id)
    this.open.set(id, { ...known, usedAtMs: nowMs })
    return known.bench
  }

  private sweep(nowMs: number) {
    for (const [id, { usedAtMs }] of this.open) if (nowMs - usedAtMs > this.idleMs) this.open.delete(id)
  }
}
