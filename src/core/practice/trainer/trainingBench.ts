import { SimulatedAxis } from '../../simulate/axis/axis'
import type { AxisFigures, Causes, Place } from '../../simulate/axis/figures'
import { Hand, type Slip } from '../../simulate/axis/hand'
import { indicator, SQUARE_OWN_UM, springScale, torqueDriver } from '../../simulate/axis/instruments'
import { squareRiseUm } from '../../simulate/axis/setting'
import type { QuantityKind } from '../../units/quantity'

// The bench on which one practises: a machine that is driven, pushed, turned and set, and what a hand reads on it. It is
// nothing but its acts, one after the other, so that a way through a lesson can be kept, shown again and laid beside another.

/** Where the tip of the indicator can stand. */
export const GAUGE_PLACES = ['slide', 'screwEnd', 'block', 'nutFlange', 'nearLine', 'farLine'] as const
export type GaugePlace = (typeof GAUGE_PLACES)[number]

/** What is set with a key or a shim, and in what: um of height, degrees of a nut, um that one side of a gantry is moved by. */
export const SETTINGS = ['gib', 'locknut', 'nearShim', 'farShim', 'side'] as const
export type Setting = (typeof SETTINGS)[number]
export type Settings = Readonly<Record<Setting, number>>

/** One thing that a hand does. */
export type Act =
  | { readonly do: 'go'; readonly toMm: number; readonly feedMmPerMin: number }
  | { readonly do: 'push'; readonly newtons: number }
  | { readonly do: 'put'; readonly at: GaugePlace }
  | { readonly do: 'zero' }
  | { readonly do: 'note' }
  /** The screw by hand, where the nut stands. */
  | { readonly do: 'feel'; readonly way: 1 | -1 }
  /** The gib slackened, or as it was. */
  | { readonly do: 'slacken'; readonly isSlack: boolean }
  /** The slide along its ways by a spring scale, the screw let go. */
  | { readonly do: 'pull' }
  /** The slide to the side, to and fro. */
  | { readonly do: 'rock' }
  | { readonly do: 'run'; readonly minutes: number }
  /** The screw by half a turn. */
  | { readonly do: 'halfTurn' }
  | { readonly do: 'square'; readonly isTurned: boolean }
  | { readonly do: 'set'; readonly what: Setting; readonly by: number }
export type ActName = Act['do']

/** What each takes, in minutes; driving takes as long as it takes. */
const MINUTES: Readonly<Record<Exclude<ActName, 'run'>, number>> = {
  go: 0.1,
  push: 0.3,
  put: 2,
  zero: 0.2,
  note: 0.3,
  feel: 0.7,
  slacken: 2,
  pull: 1,
  rock: 1,
  halfTurn: 0.3,
  square: 3,
  set: 2,
}

/** What was read, with everything that it hangs on. */
export interface Noted {
  readonly by: 'note' | 'feel' | 'pull' | 'rock' | 'square'
  readonly quantity: QuantityKind
  /** In the base unit; null where the needle was out of its range. */
  readonly value: number | null
  /** Where the tip stood. */
  readonly place: GaugePlace
  readonly atMm: number
  /** Which way it went last, and how far since it turned round. */
  readonly way: 1 | -1
  readonly sinceTurnMm: number
  readonly feedMmPerMin: number
  readonly pushN: number
  readonly minute: number
  readonly isSlack: boolean
  readonly isTurned: boolean
  /** How often the gauge was zeroed or moved before. */
  readonly zeroing: number
  /** How often something was set before. */
  readonly setting: number
  readonly settings: Settings
}

/** A machine to practise on. */
export interface Setup {
  readonly figures: AxisFigures
  /** What is wrong with it, as it is set. */
  readonly causes: (settings: Settings, slideMm: number) => Causes
  /** Where the slide meets an indicator that stands on the base; each has its own zero. */
  readonly gaugesAtMm: readonly number[]
  readonly startsAtMm: number
  readonly stepUm: number
  /** What the base of the gauge creeps by. */
  readonly creepUmPerMin?: number
  /** What the hand gets wrong in the readings that stand there when one begins, and how large it is. */
  readonly slip?: { readonly is: Slip; readonly sizeUm: number; readonly among: number }
}

const UM_PER_MM = 1000
/** An indicator goes so far to each side. */
export const GAUGE_RANGE_UM = 1000
export const NOTHING_SET: Settings = { gib: 0, locknut: 0, nearShim: 0, farShim: 0, side: 0 }
/** The edge of the square that is held against it. */
export const SQUARE_EDGE_MM = 250
const TORQUE_STEP_NM = 0.005
const PULL_STEP_N = 1
/** What carries the tip past the nut, from a block. */
const LINE_FROM_BLOCK_MM = 40
/** So many acts one goes on for. */
export const MOST_ACTS = 600

/**
 * A bench after some acts.
 *
 * @example
 * const bench = new TrainingBench(setup, 1)
 * for (const act of acts) bench.act(act)
 * bench.noted // what was read
 */
export class TrainingBench {
  readonly noted: Noted[] = []
  private readonly moving: SimulatedAxis
  private hand: Hand
  private readonly zeros = new Map<string, number>()
  private at: GaugePlace = 'slide'
  private set: Settings = NOTHING_SET
  private settingCount = 0
  private zeroCount = 0
  private passedMin = 0
  private way: 1 | -1 = 1
  private sinceTurnMm = 0
  private feedMmPerMin = 0
  private commandMm: number
  private pushN = 0
  private pushedWay: 1 | -1 | 0 = 0
  private slack = false
  private halfTurns = 0

  constructor(
    readonly setup: Setup,
    seed: number,
  ) {
    this.moving = new SimulatedAxis(setup.figures, setup.causes(NOTHING_SET, setup.startsAtMm))
    this.commandMm = setup.startsAtMm
    this.moving.moveTo(setup.startsAtMm, SLOW_MM_PER_MIN)
    this.hand = new Hand(seed, setup.slip?.is ?? null, setup.slip?.sizeUm, setup.slip?.among)
    // An indicator on the base begins with its zero at its very place.
    for (const [index, mm] of setup.gaugesAtMm.entries()) this.zeros.set(`slide ${index}`, mm * UM_PER_MM)
  }

  /** From here on the hand reads rightly. */
  minds(seed: number): void {
    this.hand = new Hand(seed, null)
  }

  get minute(): number {
    return this.passedMin
  }
  get sentToMm(): number {
    return this.commandMm
  }
  /** Where it truly stands. */
  get slideMm(): number {
    return this.moving.standsAtMm
  }
  /** How far the table stands from where its nut was sent, um. */
  get tableOffUm(): number {
    return this.pushedWay === 0 ? this.moving.offUm : this.pushedUm('slide')
  }
  get settings(): Settings {
    return this.set
  }
  get pushedByN(): number {
    return this.pushN
  }
  get gaugeAt(): GaugePlace {
    return this.at
  }
  get isSlack(): boolean {
    return this.slack
  }
  get halfTurned(): number {
    return this.halfTurns
  }
  get isTurned(): boolean {
    return this.halfTurns % 2 === 1
  }

  /** What the needle shows, um; null while the tip is out of its range or touches nothing. */
  get needleUm(): number | null {
    const key = this.gaugeKey()
    if (key === null) return null
    const shown = this.tipUm() - (this.zeros.get(key) ?? 0)
    return Math.abs(shown) <= GAUGE_RANGE_UM ? shown : null
  }

  /** Does something. @throws RangeError where the machine has no such place */
  act(act: Act): void {
    switch (act.do) {
      case 'go':
        this.go(act.toMm, act.feedMmPerMin)
        break
      case 'push':
        this.pushN = act.newtons
        if (act.newtons !== 0) this.pushedWay = act.newtons > 0 ? 1 : -1
        break
      case 'put':
        this.at = act.at
        this.zeroCount += 1
        if (!IS_CARRIED.has(act.at) && act.at !== 'slide') this.zeros.set(act.at, this.tipUm())
        break
      case 'zero':
        this.zero()
        break
      case 'run':
        this.moving.pass(act.minutes, 1)
        this.passedMin += act.minutes
        break
      case 'halfTurn':
        this.halfTurns += 1
        break
      case 'slacken':
        this.slack = act.isSlack
        break
      case 'set':
        this.set = { ...this.set, [act.what]: this.set[act.what] + act.by }
        this.settingCount += 1
        break
      default:
        this.read(act)
    }
    if (act.do !== 'run') this.passedMin += MINUTES[act.do]
  }

  private go(toMm: number, feedMmPerMin: number) {
    const { travelMm } = this.setup.figures
    if (!(toMm >= 0 && toMm <= travelMm))
      throw new RangeError(`go: got ${toMm} mm, takes 0 to ${travelMm} mm`)
    const byMm = toMm - this.commandMm
    if (byMm === 0) return
    const way = byMm > 0 ? 1 : -1
    this.sinceTurnMm = (way === this.way ? this.sinceTurnMm : 0) + Math.abs(byMm)
    this.way = way
    this.feedMmPerMin = feedMmPerMin
    this.moving.moveTo(toMm, feedMmPerMin)
    this.passedMin += Math.abs(byMm) / feedMmPerMin
    this.commandMm = toMm
    // Whoever drives has let go.
    this.pushN = 0
    this.pushedWay = 0
  }

  private zero() {
    const key = this.gaugeKey()
    if (key === null) return
    this.zeros.set(key, this.tipUm())
    this.zeroCount += 1
  }

  /** The gauge whose needle is looked at; null where the slide is at none. */
  private gaugeKey(): string | null {
    if (this.at !== 'slide') return this.at
    const near = this.setup.gaugesAtMm.findIndex(
      mm => Math.abs(this.slideMm - mm) <= 2 * (GAUGE_RANGE_UM / UM_PER_MM),
    )
    return near < 0 ? null : `slide ${near}`
  }

  /** The machine as it is set now, at rest. */
  private still(): SimulatedAxis {
    return new SimulatedAxis(this.setup.figures, this.setup.causes(this.set, this.slideMm))
  }

  /** Where the tip truly is, um, from a place that stays. */
  private tipUm(): number {
    const crept = (this.setup.creepUmPerMin ?? 0) * this.passedMin
    const it = this.still()
    const { spanMm, nutAtZeroMm, travelMm } = this.setup.figures
    const nutMm = nutAtZeroMm + travelMm / 2
    const angleDeg = this.isTurned ? HALF_TURN_DEG : 0
    switch (this.at) {
      case 'nearLine':
        return crept + it.lineUm('heightUm', LINE_FROM_BLOCK_MM, nutMm, angleDeg)
      case 'farLine':
        return crept + it.lineUm('heightUm', spanMm - LINE_FROM_BLOCK_MM, nutMm, angleDeg)
      case 'slide':
        return crept + this.commandMm * UM_PER_MM + this.tableOffUm
      default:
        return crept + this.pushedUm(this.at)
    }
  }

  /** What a push does to a place: it moves through the play, gives, and once let go stays on the side it was pushed to. */
  private pushedUm(place: Place): number {
    const it = this.still()
    // What was driven up stands as if its friction held it down.
    const pushedWay = this.pushedWay || (-this.way as 1 | -1)
    const restN = pushedWay * (it.frictionN(this.slideMm, pushedWay) + 1e-6)
    const newtons = this.pushN === 0 || Math.abs(this.pushN) < Math.abs(restN) ? restN : this.pushN
    return it.pushedUm(place, newtons)
  }

  private read(act: Extract<Act, { do: Noted['by'] }>) {
    const [quantity, value] = this.readBy(act)
    this.noted.push({
      by: act.do,
      quantity,
      value,
      place: this.at,
      atMm: this.commandMm,
      way: act.do === 'feel' ? act.way : this.way,
      sinceTurnMm: this.sinceTurnMm,
      feedMmPerMin: this.feedMmPerMin,
      pushN: this.pushN,
      minute: this.passedMin,
      isSlack: this.slack,
      isTurned: act.do === 'square' ? act.isTurned : this.isTurned,
      zeroing: this.zeroCount,
      setting: this.settingCount,
      settings: this.set,
    })
  }

  private readBy(act: Extract<Act, { do: Noted['by'] }>): [QuantityKind, number | null] {
    const it = this.still()
    const { nutAtZeroMm, nutWay } = this.setup.figures
    switch (act.do) {
      case 'note': {
        const { needleUm } = this
        return [
          'smallLength',
          needleUm === null ? null : this.hand.read(needleUm, indicator(this.setup.stepUm)),
        ]
      }
      case 'feel': {
        const nutMm = nutAtZeroMm + nutWay * this.commandMm
        const torqueNm = it.meanTorqueNm(nutMm, act.way, { gibSlack: this.slack })
        return ['torque', torqueDriver(torqueNm, TORQUE_STEP_NM, this.hand)]
      }
      case 'pull':
        return ['pull', springScale(it.frictionN(this.commandMm, 1, this.slack), PULL_STEP_N, this.hand)]
      case 'rock':
        return ['smallLength', this.hand.measure(it.sidePlayUm(this.commandMm), indicator(this.setup.stepUm))]
      case 'square': {
        const [straight, turned] = squareRiseUm(it.causes, SQUARE_EDGE_MM, SQUARE_OWN_UM)
        return ['smallLength', this.hand.read(act.isTurned ? turned : straight, indicator(this.setup.stepUm))]
      }
    }
  }
}

/** A tip that the slide carries past the screw is set to zero over the nut. */
const IS_CARRIED: ReadonlySet<GaugePlace> = new Set(['nearLine', 'farLine'])
const HALF_TURN_DEG = 180
const SLOW_MM_PER_MIN = 300

/** A bench after acts of another, such as those of a lesson that begins with readings. */
export function benchAfter(
  setup: Setup,
  seed: number,
  begins: readonly Act[],
  acts: readonly Act[],
): TrainingBench {
  const bench = new TrainingBench(setup, seed)
  for (const act of begins) bench.act(act)
  if (begins.length > 0) bench.minds(seed + 1)
  for (const act of acts.slice(0, MOST_ACTS)) bench.act(act)
  return bench
}
