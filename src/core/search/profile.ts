import type { Demand } from './demand'
import { least, most } from './extremes'
import type { BearingLevel, MotorLevel, ScrewLevel } from './levels'
import { type LinkFigures, Torques } from './pairs'

/** A bound must be no worse than what it bounds, also when sums are rounded in another order. */
export const LOOSE = 1e-12

/** What a link and a motor come to at best with a screw, whatever its bearings: the columns of a row of figures. */
export const EUR = 0
/** The most margin of what rests on them and the screw. */
export const MARGIN = 1
/** Motion that the link loses. */
export const LOST_UM = 2
/** Give of the link, per newton. */
export const GIVE_UM_PER_N = 3
/** Least lag of the motor for each newton metre of drag: no arc sine is below its sine. */
export const LAG_UM_PER_NM = 4
/** Torque of the motor over the move and at the feed of the cut. */
export const TOP_NM = 5
export const CUTTING_NM = 6
export const COLUMNS = 8

/** Rows of figures in one piece of memory: there are millions of them, and an object for each takes three times as long. */
export class Rows {
  figures = new Float64Array(64 * COLUMNS)
  length = 0

  /** Where the row after the last begins; it is there to be written, and is kept once it is counted. */
  next(): number {
    if ((this.length + 1) * COLUMNS > this.figures.length) {
      const longer = new Float64Array(2 * this.figures.length)
      longer.set(this.figures)
      this.figures = longer
    }
    return this.length * COLUMNS
  }

  at(row: number, column: number): number {
    return this.figures[row * COLUMNS + column] as number
  }

  /** Adds a row that is as good in each figure as the best of some: beaten, all of them are. */
  addBestOf(rows: Rows, from: number, to: number): number {
    const start = this.next()
    const { figures } = this
    for (const column of [EUR, MARGIN, LOST_UM, GIVE_UM_PER_N, LAG_UM_PER_NM]) {
      let best = rows.at(from, column)
      for (let row = from + 1; row < to; row++) {
        const figure = rows.at(row, column)
        if (column === MARGIN ? figure > best : figure < best) best = figure
      }
      figures[start + column] = best
    }
    return this.length++
  }
}

/** A screw on bearings, whichever way its ends are held. */
interface OnBearings {
  screw: ScrewLevel
  bearing: BearingLevel
}

/** A screw on the kindest of its bearings. */
export class Meeting {
  readonly #screw: ScrewLevel
  readonly #leastDragNm: number
  readonly #leastBlockMm: number
  readonly #mostStaticN: number
  readonly #tableKgM2: number

  constructor(
    private readonly demand: Demand,
    private readonly torques: Torques,
    held: readonly OnBearings[],
  ) {
    const [{ screw }] = held as [OnBearings]
    // The kindest of the ways to hold its ends: stretched, it does not grow.
    this.#screw = { ...screw, growthUm: least(held, one => one.screw.growthUm) }
    this.#leastDragNm = least(held, ({ bearing }) => bearing.part.dragTorqueNm)
    this.#leastBlockMm = least(held, ({ bearing }) => bearing.part.blockLengthMm)
    this.#mostStaticN = most(held, ({ bearing }) => bearing.part.staticCapacityN)
    this.#tableKgM2 = demand.loadMassKg * (screw.part.leadMm / (2000 * Math.PI)) ** 2
  }

  /** Drag of screw and bearings at least. */
  get leastDragNm(): number {
    return dragOn(this.#screw, this.#leastDragNm)
  }

  /**
   * The best that a link and a motor can come to with the screw, whatever its bearings, written as a row of figures; all but the price.
   *
   * @param whole goes on when a check fails, for the margin; else stops there
   * @returns whether they may hold
   */
  meet(link: LinkFigures, motor: MotorLevel, out: Float64Array, at: number, whole = false): boolean {
    const { demand } = this
    const { part, drivenNm } = motor
    const screw = this.#screw
    const { holds, fails } = demand
    const { ratio } = link
    const { leadMm } = screw.part
    const open = part.loop === 'open'
    const { topNm, cuttingNm } = this.torques.of(motor, ratio)
    const atMotor = ratio * link.efficiency
    const dragNm = screw.preloadDragNm + this.#leastDragNm
    const screwMm = demand.spanMm + link.hubMm + 1.5 * this.#leastBlockMm
    const turning = link.screwInertiaKgM2 + screw.inertiaPerMmKgM2 * screwMm
    const turningKgM2 = link.motorInertiaKgM2 + (demand.brake?.inertiaKgM2 ?? 0) + turning / ratio ** 2
    const alpha = (demand.accelerationMmPerS2 * 2 * Math.PI * ratio) / leadMm
    const speedingNm =
      (screw.acceleratingNm + dragNm) / atMotor + (turningKgM2 + part.rotorInertiaKgM2) * alpha
    const inHand = Math.min(topNm / speedingNm, cuttingNm / ((screw.cuttingNm + dragNm) / atMotor))
    const torque = (inHand / (open ? holds.open : holds.closed)) * (1 + LOOSE)
    let mayHold = torque >= (open ? fails.open : fails.closed)
    if (!mayHold && !whole) return false
    const loadKgM2 = turningKgM2 + this.#tableKgM2 / ratio ** 2
    const inertia = (holds.inertia / (loadKgM2 / part.rotorInertiaKgM2)) * (1 + LOOSE)
    mayHold &&= inertia >= fails.inertia
    if (!mayHold && !whole) return false
    const thrustN = (2000 * Math.PI * drivenNm * ratio * screw.forwardEfficiency) / leadMm
    const bearsN = Math.min(screw.part.staticCapacityN, this.#mostStaticN)
    const stall = (holds.stall / (thrustN / bearsN)) * (1 + LOOSE)
    mayHold &&= stall >= fails.stall
    if (!mayHold && !whole) return false
    const linkGiveUmPerN = screw.linkUmNmPerNRad / link.torsionalStiffnessNmPerRad
    const linkLostUm = link.playUmPerLeadMm * leadMm + 2 * demand.frictionN * linkGiveUmPerN
    const stepUm = open ? (leadMm * 1000) / (part.fullStepsPerRev * ratio) : 0
    const besidesLeadUm = screw.growthUm + linkLostUm / 2 + stepUm / 2
    const budgetMargin = (leadUm: number) =>
      (holds.budget / ((leadUm + besidesLeadUm) / demand.accuracyUm)) * (1 + LOOSE)
    mayHold &&= budgetMargin(screw.leadUm) >= fails.budget
    if (!mayHold && !whole) return false

    out[at + TOP_NM] = topNm
    out[at + CUTTING_NM] = cuttingNm
    out[at + MARGIN] = Math.min(link.margin, torque, inertia, stall, budgetMargin(screw.leadLeftUm))
    out[at + LOST_UM] = linkLostUm
    out[at + GIVE_UM_PER_N] = linkGiveUmPerN
    const lagUm = ((leadMm * 1000) / (Math.PI * ratio)) * (4 / part.fullStepsPerRev)
    out[at + LAG_UM_PER_NM] = open ? lagUm / (atMotor * drivenNm) : 0
    return mayHold
  }
}

/** Screws of one lead turn alike, so their motors are asked once. */
export class Meetings {
  readonly #byLead = new Map<number, Torques>()
  constructor(private readonly demand: Demand) {}

  /** Turns to a screw, with the ways to hold its ends and the bearings that it can have. */
  of(held: readonly [OnBearings, ...OnBearings[]]): Meeting {
    const [{ screw }] = held
    const torques = this.#byLead.get(screw.part.leadMm) ?? new Torques(screw)
    this.#byLead.set(screw.part.leadMm, torques)
    return new Meeting(this.demand, torques, held)
  }
}

/** Torque that friction of the axis, preload and bearings ask of the screw. */
export const dragOn = (screw: ScrewLevel, bearingDragNm: number): number =>
  screw.frictionNm + screw.preloadDragNm + bearingDragNm
