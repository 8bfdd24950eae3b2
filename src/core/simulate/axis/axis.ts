import {
  GRAVITY_M_PER_S2,
  radians,
  roundAreaMm2,
  STEEL_DENSITY_KG_PER_M3,
  STEEL_E_MPA,
  STEEL_EXPANSION_PER_K,
} from '../../calculation/constants'
import { playStep } from '../play'
import { lieOn, type Support } from './beam'
import { type AxisFigures, type Causes, LINKS, type Link, PLACES, type Place } from './figures'

// An axis of known truth. It is quasi-static: nothing has inertia, and a move ends where it stops. It leaves out: swing and
// resonance, oil films and stick-slip beyond the first step of a move, the twist of the screw as a spring of its own (it is in
// the links), the warmth of anything but the screw (its bearings and their preload among it), wear as it runs, and the bending of the slide and its ways.

const UM_PER_MM = 1000
const MM_PER_M = 1000
const S_PER_MIN = 60

/** How the drive stands while it is turned by hand: what is taken off, and what is slack. */
export interface TakenApart {
  readonly gibSlack?: boolean
  readonly nutOff?: boolean
  readonly couplerOff?: boolean
}

/** Which blocks hold the screw while its line is read. */
export type Tight = 'both' | 'fixed' | 'far'

type Plane = 'heightUm' | 'sideUm'

/**
 * A simulated axis: it is moved, pushed, turned and read.
 *
 * Places of the slide are counted from its zero up, places of the nut from the fixed block.
 */
export class SimulatedAxis {
  /** Where it was sent last. */
  private commandMm = 0
  // Begun as a fraction, which an engine keeps in place; what begins as nothing is put anew on the heap at every move.
  private slideMm = Number.NaN
  private warmK = 0
  private lostUm = 0
  private way: 1 | -1 = 1
  private passedMin = 0
  /** What the slide loses against the command, less what changes with its place. */
  private readonly playUm: number
  private readonly givesUmPerN: number
  /** What each millimetre of screw gives. */
  private readonly rodUmPerNmm: number
  /** Growth a kelvin. */
  private readonly growthPerK: number
  private readonly wave: { um: number; perMm: number; atRad: number } | null
  /** Errors that grow along the travel, um a millimetre. */
  private readonly alongUmPerMm: number
  private readonly ways: { waysN: number; tightN: number; walkingN: number; endN: number }
  /** Whether the ways take the same everywhere and both ways. */
  private readonly isEven: boolean
  private readonly compensatedUm: number

  constructor(
    readonly figures: AxisFigures,
    readonly causes: Causes = {},
  ) {
    this.playUm = LINKS.reduce((sum, link) => sum + this.playOf(link), 0)
    this.givesUmPerN = LINKS.reduce((sum, link) => sum + this.giveOf(link), 0)
    this.rodUmPerNmm = UM_PER_MM / (STEEL_E_MPA * roundAreaMm2(figures.rootDiameterMm))
    this.growthPerK = growthOf(figures)
    const { wave, leadErrorUmPerM = 0, scaleOff = 0, waysN = 0, gib, compensatedUm = 0 } = causes
    this.wave = wave
      ? { um: wave.um, perMm: (2 * Math.PI) / figures.leadMm, atRad: radians(wave.atDeg) }
      : null
    this.alongUmPerMm = leadErrorUmPerM / MM_PER_M + scaleOff * UM_PER_MM
    this.ways = { waysN, tightN: gib?.tightN ?? 0, walkingN: gib?.walkingN ?? 0, endN: gib?.endN ?? 0 }
    this.isEven = Object.values(this.ways).every(newtons => newtons === 0)
    this.compensatedUm = compensatedUm
    this.slideMm =
      -this.lostUnder(this.frictionN(0, 1) + figures.weightN, this.givesUmPerN + this.rodUmPerN(0)) /
      UM_PER_MM
  }

  /** Minutes since it was put on. */
  get minutes(): number {
    return this.passedMin
  }

  /** How far the slide stands from where it was sent, um. */
  get offUm(): number {
    return (this.slideMm - this.commandMm) * UM_PER_MM
  }
  get standsAtMm(): number {
    return this.slideMm
  }
  /** By how much the screw is warmer than the shop, K. */
  get screwWarmerK(): number {
    return this.warmK
  }

  /** Where the nut stands on the screw, from the fixed block. */
  nutAtMm(slideMm: number): number {
    return this.figures.nutAtZeroMm + this.figures.nutWay * slideMm
  }

  private playOf(link: Link): number {
    return this.figures.links[link].playUm + (this.causes.playUm?.[link] ?? 0)
  }

  private giveOf(link: Link): number {
    return (this.causes.softer?.[link] ?? 1) / this.figures.links[link].stiffnessNPerUm
  }

  /** Give of the screw itself between its fixed block and the nut. */
  private rodUmPerN(slideMm: number): number {
    return Math.max(this.nutAtMm(slideMm), 0) * this.rodUmPerNmm
  }

  /** How far into the tight end of a gib a place is, from 0 to 1. */
  private atGibEnd(along: number): number {
    const towards = this.causes.gib?.end === 'low' ? -along : along
    return Math.max(0, (towards - TIGHT_FROM) / (1 - TIGHT_FROM))
  }

  /** What the ways take at a place, going one way; never less than nothing. */
  frictionN(slideMm: number, way: 1 | -1, gibSlack = false): number {
    if (this.isEven) return this.figures.frictionN
    const { waysN, tightN, walkingN, endN } = this.ways
    const along = (2 * slideMm) / this.figures.travelMm - 1
    const ofGib = gibSlack ? 0 : tightN + way * walkingN + endN * this.atGibEnd(along)
    return Math.max(0, this.figures.frictionN + waysN * along + ofGib)
  }

  /** What the command goes wrong by at a place, before any play: lead, warmth, settings of the controller. */
  private errorUm(commandMm: number): number {
    const { wave } = this
    if (!wave && this.warmK === 0) return this.alongUmPerMm * commandMm + this.lostUm
    const turn = wave ? wave.um * Math.cos(wave.perMm * commandMm - wave.atRad) : 0
    const grown =
      this.warmK === 0
        ? 0
        : this.figures.nutWay * this.growthPerK * this.warmK * this.nutAtMm(commandMm) * UM_PER_MM
    return this.alongUmPerMm * commandMm + turn + grown + this.lostUm
  }

  /** What is lost between command and slide when the chain carries a force, um: half its play, and its give. */
  private lostUnder(forceN: number, givesUmPerN: number): number {
    return (Math.sign(forceN) * this.playUm) / 2 + forceN * givesUmPerN
  }

  /**
   * Sends it to a place.
   *
   * @param feedMmPerMin at which it goes
   * @returns where the slide stands then, mm
   */
  moveTo(toMm: number, feedMmPerMin: number): number {
    const wayMm = toMm - this.commandMm
    if (wayMm !== 0) {
      const way = wayMm > 0 ? 1 : -1
      this.loses(way, feedMmPerMin)
      this.way = way
      this.pass(Math.abs(wayMm) / feedMmPerMin, feedMmPerMin / this.figures.topSpeedMmPerMin)
    }
    this.commandMm = toMm
    const { weightN, breakaway } = this.figures
    const givesMmPerN = (this.givesUmPerN + this.rodUmPerN(toMm)) / UM_PER_MM
    const playMm = this.playUm / UM_PER_MM / 2
    const pushedMm = toMm + (this.errorUm(toMm) - (this.way < 0 ? this.compensatedUm : 0)) / UM_PER_MM
    const upN = this.frictionN(toMm, 1)
    const downN = this.frictionN(toMm, -1)
    // Half of the play, on the side to which the force pushes, and what the chain gives under it.
    const low = pushedMm - Math.sign(upN + weightN) * playMm - (upN + weightN) * givesMmPerN
    const high = pushedMm - Math.sign(weightN - downN) * playMm - (weightN - downN) * givesMmPerN
    // A slide that rests takes more to start: until then it stays, and nothing else of it is felt later.
    const stuckMm = (breakaway - 1) * (this.way > 0 ? upN : downN) * givesMmPerN
    const shortMm = Math.max(low - this.slideMm, this.slideMm - high)
    if (shortMm >= stuckMm) this.slideMm = playStep(this.slideMm, low, high)
    return this.slideMm
  }

  /** What a move costs that is too fast for it. */
  private loses(way: 1 | -1, feedMmPerMin: number) {
    const { lost, slip } = this.causes
    const { fullStepsPerRev, leadMm, ratio } = this.figures
    if (lost && fullStepsPerRev && way > 0 && feedMmPerMin > lost.aboveMmPerMin)
      this.lostUm -= lost.cycles * ((4 * leadMm * UM_PER_MM) / (fullStepsPerRev * ratio))
    if (slip && feedMmPerMin > slip.aboveMmPerMin && way !== this.way) this.lostUm -= way * slip.um
  }

  /** Lets time go by; while it runs the screw warms, by the share of its top speed. */
  pass(minutes: number, running = 0): void {
    this.passedMin += minutes
    const { heat } = this.causes
    if (!heat) return
    const towardsK = heat.riseK * Math.min(1, running)
    this.warmK = towardsK + (this.warmK - towardsK) * Math.exp(-minutes / heat.minutes)
  }

  /** Seconds at rest, such as a dwell. */
  dwell(seconds: number): void {
    this.pass(seconds / S_PER_MIN)
  }

  /**
   * How far a place along the drive goes when a hand pushes the slide and the motor holds: um of travel, against where it
   * stands with nothing pushed and all play in its middle.
   *
   * @param handN along the axis, up positive
   */
  pushedUm(place: Place, handN: number): number {
    const alongN = handN - this.figures.weightN
    const frictionN = this.frictionN(this.slideMm, alongN > 0 ? 1 : -1)
    const carriedN = Math.sign(alongN) * Math.max(0, Math.abs(alongN) - frictionN)
    const links: readonly Link[] = PLACES[place]
    const rod = links.includes('nut') ? this.rodUmPerN(this.slideMm) : 0
    return links.reduce(
      (sum, link) => sum + (Math.sign(carriedN) * this.playOf(link)) / 2 + carriedN * this.giveOf(link),
      carriedN * rod,
    )
  }

  /** The same at a hub, which turns: the arc at a radius, um. */
  arcUm(hub: 'motorHub' | 'screwHub', handN: number, radiusMm: number): number {
    const { leadMm, ratio } = this.figures
    const turns = this.pushedUm(hub, handN) / UM_PER_MM / leadMm
    return turns * 2 * Math.PI * radiusMm * UM_PER_MM * (hub === 'motorHub' ? ratio : 1)
  }

  /** The screw in one plane as it lies with the nut at a place; a block that is loose does not hold it. */
  private lies(plane: Plane, nutMm: number | null, angleDeg: number, tight: Tight) {
    const { spanMm, rootDiameterMm, ends, inclineDeg } = this.figures
    const { fixedBlock, farBlock, nut, bow, kink, journal } = this.causes
    const inPlane = (atDeg: number) =>
      plane === 'heightUm' ? Math.cos(radians(angleDeg - atDeg)) : Math.sin(radians(angleDeg - atDeg))
    const carriedUm = journal?.at === 'fixed' ? journal.um * inPlane(0) : 0
    const across = this.figures.blockStiffnessNPerUm * UM_PER_MM
    const rocking = this.figures.pairRockingNmPerRad * UM_PER_MM
    const supports: Support[] = []
    if (tight !== 'far')
      supports.push({
        atMm: 0,
        offsetMm: ((fixedBlock?.[plane] ?? 0) + carriedUm) / UM_PER_MM,
        stiffnessNPerMm: across,
        rockingNmmPerRad: ends === 'supported-supported' ? 0 : rocking,
      })
    if (nutMm !== null)
      supports.push({
        atMm: Math.min(Math.max(nutMm, 0.01 * spanMm), 0.99 * spanMm),
        offsetMm: (nut?.[plane] ?? 0) / UM_PER_MM,
        stiffnessNPerMm: this.figures.nutStiffnessNPerUm * UM_PER_MM,
        rockingNmmPerRad: this.figures.nutRockingNmPerRad * UM_PER_MM,
      })
    if (tight !== 'fixed' && ends !== 'fixed-free')
      supports.push({
        atMm: spanMm,
        offsetMm: (farBlock?.[plane] ?? 0) / UM_PER_MM,
        stiffnessNPerMm: across,
        rockingNmmPerRad: ends === 'fixed-fixed' ? rocking : 0,
      })
    const bowMm = bow ? (bow.um / UM_PER_MM) * inPlane(bow.atDeg) : 0
    const kinked = kink ? (kink.mrad / UM_PER_MM) * inPlane(kink.atDeg) : 0
    const weight =
      plane === 'heightUm'
        ? roundAreaMm2(rootDiameterMm) * STEEL_DENSITY_KG_PER_M3 * 1e-9 * GRAVITY_M_PER_S2
        : 0
    return lieOn({
      lengthMm: spanMm,
      bendingNmm2: (STEEL_E_MPA * Math.PI * rootDiameterMm ** 4) / 64,
      weightNPerMm: weight * Math.cos(radians(inclineDeg)),
      supports,
      bent: x => [
        bowMm * Math.sin((Math.PI * x) / spanMm) + kinked * x,
        ((bowMm * Math.PI) / spanMm) * Math.cos((Math.PI * x) / spanMm) + kinked,
      ],
    })
  }

  /**
   * How far the screw stands off its line at a place, as an indicator carried by the ways reads it against the nut.
   *
   * @param nutMm where the nut is clamped
   * @param angleDeg to which the screw is turned
   */
  lineUm(plane: Plane, atMm: number, nutMm: number, angleDeg = 0, tight: Tight = 'both'): number {
    const { offMm } = this.lies(plane, nutMm, angleDeg, tight)
    return (offMm(atMm) - offMm(nutMm)) * UM_PER_MM
  }

  /**
   * How far the needle goes over a whole turn of the screw, its nut off the table: um from least to most, in the plane in
   * which it goes furthest.
   *
   * @param atMm from the fixed block; less than nothing before it, where the coupler sits
   * @param farOn whether the far block is on
   */
  runOutUm(atMm: number, farOn = true): number {
    const { journal } = this.causes
    const tight = farOn ? 'both' : 'fixed'
    const at = (angleDeg: number) => {
      const { offMm } = this.lies('heightUm', null, angleDeg, tight)
      // Before the block it goes on straight, as it leaves it.
      const off = atMm >= 0 ? offMm(atMm) : offMm(0) + atMm * (offMm(1) - offMm(0))
      const own = atMm < 0 && journal?.at === 'drive' ? journal.um * Math.cos(radians(angleDeg)) : 0
      return off * UM_PER_MM + own
    }
    const read = TURN_DEG.map(at)
    return Math.max(...read) - Math.min(...read)
  }

  /** The force across the screw on the nut at a place, N. */
  sideForceN(nutMm: number, angleDeg = 0): number {
    const { bow, kink, journal } = this.causes
    // A straight screw lies as it lies, however far it is turned.
    const turnedDeg = bow || kink || journal?.at === 'fixed' ? angleDeg : 0
    const key = `${nutMm} ${turnedDeg}`
    const known = this.sideForces.get(key)
    if (known !== undefined) return known
    const of = (plane: Plane) => {
      const { forcesN } = this.lies(plane, nutMm, turnedDeg, 'both')
      return forcesN[1] as number
    }
    const forceN = Math.hypot(of('heightUm'), of('sideUm'))
    this.sideForces.set(key, forceN)
    return forceN
  }
  /** What was worked out already: drag is read at one place in both ways and at four turns of the screw. */
  private readonly sideForces = new Map<string, number>()

  /**
   * What it takes to turn the screw by hand, Nm.
   *
   * @param nutMm where the nut stands
   * @param way 1 away from the fixed block, -1 towards it
   */
  torqueNm(
    nutMm: number,
    way: 1 | -1,
    angleDeg = 0,
    { gibSlack, nutOff, couplerOff }: TakenApart = {},
  ): number {
    const { figures, causes } = this
    const slideMm = (nutMm - figures.nutAtZeroMm) * figures.nutWay
    const slideWay = (way * figures.nutWay) as 1 | -1
    const perN = figures.leadMm / (2 * Math.PI) / UM_PER_MM / EFFICIENCY
    const { track, coupler, dragTimes = 1 } = causes
    const onTrack = track && Math.abs(nutMm - track.atMm) < track.widthMm / 2 ? track.nm : 0
    const wobble = coupler && !couplerOff ? coupler.wobbleNm * Math.cos(radians(angleDeg - coupler.atDeg)) : 0
    const alongN = this.frictionN(slideMm, slideWay, gibSlack) + slideWay * figures.weightN
    // A nut that is off the table rides with the screw: no side force, no friction of the ways.
    const ofTable = nutOff
      ? 0
      : alongN * perN + (this.sideForceN(nutMm, angleDeg) * figures.sideLeverMm) / UM_PER_MM
    return Math.max(0, figures.dragNm * dragTimes + this.lockedNm() + onTrack + wobble + ofTable)
  }

  /** What the bearings take beyond what they should, by how far their locknut is turned. */
  private lockedNm(): number {
    const { bearingDragNm } = this.figures
    return this.bearingNm() - bearingDragNm
  }

  /** What preload of the bearings takes to turn: it grows by the power 1.33 of a force that grows by 1.5 of the turn. */
  bearingNm(turned = this.causes.locknutTurn ?? 1): number {
    return this.figures.bearingDragNm * turned ** PRELOAD_DRAG_BY_TURN
  }

  /** What a locknut that was not turned so far leaves of play at the screw's end, pushed and pulled by hand, um. */
  screwEndPlayUm(handN: number): number {
    return (['block', 'bearing'] as const).reduce(
      (sum, link) => sum + (this.causes.playUm?.[link] ?? 0) + 2 * handN * this.giveOf(link),
      0,
    )
  }

  /** What it takes to pull the slide along by hand, slowly, the screw let go: with a weight laid on, in its middle. */
  pullN(addedKg: number): number {
    const { frictionCoefficient, travelMm, inclineDeg } = this.figures
    const onWaysN = addedKg * GRAVITY_M_PER_S2 * Math.cos(radians(inclineDeg))
    return this.frictionN(travelMm / 2, 1) + frictionCoefficient * onWaysN
  }

  /** The same over a turn, as a hand feels it that winds on: the mean of four angles. */
  meanTorqueNm(nutMm: number, way: 1 | -1, apart: TakenApart = {}): number {
    return (
      QUARTERS_DEG.reduce((sum, deg) => sum + this.torqueNm(nutMm, way, deg, apart), 0) / QUARTERS_DEG.length
    )
  }

  /** What the slide gives to the side when it is pushed and pulled at a place, um. */
  sidePlayUm(slideMm: number): number {
    const { playUm = 0, wornUm = 0 } = this.causes.gib ?? {}
    const worn = wornUm * Math.sin((Math.PI * slideMm) / this.figures.travelMm)
    // What closes up there does so whether or not it rubs.
    const tight =
      this.causes.gib?.end === undefined
        ? 0
        : WANTED_SIDE_PLAY_UM * this.atGibEnd((2 * slideMm) / this.figures.travelMm - 1)
    return Math.max(0, WANTED_SIDE_PLAY_UM + playUm + worn - tight)
  }
}

/** A gib that is tight at an end is so over its last third. */
const TIGHT_FROM = 1 / 3
const QUARTERS_DEG = [0, 90, 180, 270]
const TURN_DEG = Array.from({ length: 24 }, (_, index) => 15 * index)
const PRELOAD_DRAG_BY_TURN = 1.5 * 1.33
/** Growth of the screw a kelvin; between two fixed ends it presses on both, and hardly moves. */
export function growthOf({ ends, spanMm, rootDiameterMm, links }: AxisFigures): number {
  if (ends !== 'fixed-fixed') return STEEL_EXPANSION_PER_K
  const rodNPerUm = (STEEL_E_MPA * roundAreaMm2(rootDiameterMm)) / (spanMm * UM_PER_MM)
  return (STEEL_EXPANSION_PER_K * rodNPerUm) / (rodNPerUm + links.bearing.stiffnessNPerUm / 2)
}

/** Of a screw that turns force into torque by hand. */
const EFFICIENCY = 0.9
/** What a gib that is set leaves. */
const WANTED_SIDE_PLAY_UM = 12
