import { type Calculation, finite } from '../calculation/calculation'
import type { Axis, OwnLimits } from '../document/axis'
import type { DimensionKey } from '../document/dimensions'
import type { PartKind } from '../document/kinds'
import type { Catalogue, PartOf, PartsList } from '../document/parts/types'
import type { Shop } from '../document/shop'
import type { UnitSystem } from '../units/quantity'
import {
  type Figure,
  meet,
  type PartSet,
  partsChanged,
  Reads,
  readDimension,
  readerOf,
  readLimit,
  readWhole,
} from './axisReads'
import { type CheckMap, isOfDrive, judgeCheck, type LazyFinding, type ListedCheck } from './check'
import { byUrgency, type Finding } from './finding'
import type { CheckId } from './ids'
import { type LimitFacts, type Limits, limitsOf } from './limits'
import { NotKnown } from './notKnown'

type Work<T> = (context: EvaluationContext) => T

/** What was worked out, or why it could not be, with what was read for it. */
type Known = { reads: Reads } & (
  | { value: unknown; error?: undefined }
  | { value?: undefined; error: unknown }
)
interface Judged {
  finding: LazyFinding | null
  reads: Reads
}

const NO_CHECKS: CheckMap = new Map()

/**
 * One state of an axis with everything that is worked out for it, each thing once: figures, and findings by the name of
 * their check or all of them. It goes to checks, drawings, what lies on the drive line, paper and the shell alike.
 *
 * It takes note of the parts of the axis that each check and each remembered figure reads: `next` takes over all whose parts
 * are still the same objects.
 */
export class EvaluationContext {
  /** What was worked out without being remembered. */
  private readonly besides = new Reads()
  private readonly memo = new Map<Work<unknown>, Known>()
  private readonly judged = new Map<CheckId, Judged>()
  /** What is taken over of an earlier state when it is asked for: all that read nothing of what has changed since. */
  private earlier: { context: EvaluationContext; changed: PartSet } | null = null
  private sorted: { findings: Finding[]; reads: Reads } | null = null
  private readonly log: { open: Reads | null } = { open: null }
  private readonly reader: Axis

  /**
   * @param state the axis as it stands
   * @param checks those that this axis is held to; a context for figures alone needs none
   */
  constructor(
    private readonly state: Axis,
    readonly catalogue: Catalogue,
    readonly units: UnitSystem = 'mm',
    readonly checks = NO_CHECKS,
  ) {
    this.reader = readerOf(state, this.log)
  }

  /**
   * The axis. While something is worked out or judged, what is read of it is noted: then it can be read, but neither spread
   * nor gone through; `wholeAxis` can.
   */
  get axis(): Axis {
    return this.log.open ? this.reader : this.state
  }

  /** The axis for what needs all of it, whatever it holds: it is worked out anew at every change. */
  get wholeAxis(): Axis {
    readWhole(this.log.open)
    return this.state
  }

  /** Every worked figure by its name. */
  get figures(): Record<string, Figure> {
    this.takeAllOver()
    const all = new Reads()
    all.join(this.besides)
    for (const { reads } of this.memo.values()) all.join(reads)
    for (const { reads } of this.judged.values()) all.join(reads)
    return Object.fromEntries(all.figures)
  }

  /** A dimension as it stands, with where it comes from; it may not be known yet. */
  dimensionAsItIs(key: DimensionKey): Axis['dimensions'][DimensionKey] {
    return readDimension(this.axis, key, this.log.open)
  }

  dimension(key: DimensionKey): number {
    const { value } = this.dimensionAsItIs(key)
    if (value === null) throw new NotKnown({ dimension: key })
    return value
  }

  /** The limits that the builder has set in place of the usual ones. */
  ownLimits(key: string): OwnLimits | undefined {
    return readLimit(this.state, key, this.log.open)
  }

  /** What a check is held to here. */
  limits(facts: LimitFacts): Limits {
    return limitsOf(this.ownLimits(facts.key), facts)
  }

  /** Tools and stock at hand. */
  get shop(): Shop {
    return this.catalogue.shop
  }

  part<K extends PartKind>(kind: K): PartOf[K] {
    const id = this.axis.parts[kind]
    const parts: PartsList = this.catalogue
    const part = id === null ? undefined : parts[kind].get(id)
    if (!part) throw new NotKnown({ part: kind })
    return part
  }

  /**
   * Runs a calculation under a name, so that its working can be shown. Its inputs are not checked again: what is typed or
   * read from a file was checked there, and what follows from it is never what a formula does not take (`figures.test`).
   *
   * @throws InputError naming the output that comes out without end
   */
  figure<I, O>(name: string, calculate: Calculation<I, O>, inputs: I): O {
    const outputs = finite(calculate.compute(inputs))
    const reads = this.log.open ?? this.besides
    reads.add(name, {
      calculation: calculate.id,
      inputs: inputs as Record<string, unknown>,
      outputs: outputs as Record<string, unknown>,
    })
    return outputs
  }

  /** Works something out the first time it is asked for; the function itself is what it is known by. */
  remember<T>(work: Work<T>): T {
    let known = this.memo.get(work) ?? this.takenOver(work)
    if (known) this.log.open?.join(known.reads)
    else {
      const reads = new Reads()
      known = this.tried(work, reads)
      this.memo.set(work, known)
    }
    if (known.error !== undefined) throw known.error
    return known.value as T
  }

  private takenOver(work: Work<unknown>): Known | undefined {
    const known = this.earlier?.context.memo.get(work)
    if (!known || meet(known.reads.parts, this.earlier?.changed as PartSet)) return undefined
    this.memo.set(work, known)
    return known
  }

  private judgedBefore(checkId: CheckId): Judged | undefined {
    const { earlier } = this
    const known = earlier?.context.judged.get(checkId)
    // What the words of a finding read is known once they are made.
    known?.finding?.sentence
    if (!known || meet(known.reads.parts, earlier?.changed as PartSet)) return undefined
    this.judged.set(checkId, known)
    return known
  }

  /** Takes over what is left of the earlier state, and lets go of it. */
  private takeAllOver() {
    const { earlier } = this
    if (!earlier) return
    for (const work of earlier.context.memo.keys()) this.memo.get(work) ?? this.takenOver(work)
    for (const checkId of earlier.context.judged.keys())
      this.judged.get(checkId) ?? this.judgedBefore(checkId)
    this.earlier = null
  }

  private tried(work: Work<unknown>, reads: Reads): Known {
    try {
      return { value: this.noting(reads, () => work(this)), error: undefined, reads }
    } catch (error) {
      return { value: undefined, error, reads }
    }
  }

  /** Runs work and notes what it reads; also when it fails, that counts for whoever asked. */
  noting<T>(reads: Reads, work: () => T): T {
    const outer = this.log.open
    this.log.open = reads
    try {
      return work()
    } finally {
      this.log.open = outer
      outer?.join(reads)
    }
  }

  /**
   * The finding of one check, without judging the rest; null where the check does not apply to this axis.
   *
   * @throws Error when this context holds no such check
   */
  finding(checkId: CheckId): Finding | null {
    const known = this.judged.get(checkId) ?? this.judgedBefore(checkId)
    if (known) {
      this.log.open?.join(known.reads)
      return known.finding
    }
    const check = this.checks.get(checkId)
    if (!check) throw new Error(`finding: got ${checkId}, takes one of ${[...this.checks.keys()].join(', ')}`)
    const reads = new Reads()
    const finding = this.noting(reads, () => judgeCheck(this, check, this.state, reads))
    this.judged.set(checkId, { finding, reads })
    return finding
  }

  /** The checks that this axis is held to. */
  get checkIds(): Iterable<CheckId> {
    return this.checks.keys()
  }

  /** Whether this axis is held to a check here. */
  isHeldTo(checkId: CheckId): boolean {
    return this.checks.has(checkId)
  }

  /** Every finding, worst first; checks that do not apply are left out. */
  get findings(): Finding[] {
    if (this.sorted) this.log.open?.join(this.sorted.reads)
    else {
      const reads = new Reads()
      const findings = this.noting(reads, () => this.findingsOf(() => true))
      this.sorted = { findings: byUrgency(findings), reads }
    }
    return this.sorted.findings
  }

  /**
   * Works something out of this axis with other readings: what that reads and works out counts as this one's.
   *
   * @param change makes each part of the other axis of the same part of this one, and of nothing else
   */
  withAxis<T>(change: (axis: Axis) => Axis, name: string, work: Work<T>): T {
    const other = this.with(change(this.state))
    const reads = new Reads()
    try {
      return other.noting(reads, () => work(other))
    } finally {
      const own = this.log.open ?? this.besides
      own.joinParts(reads)
      for (const [figure, worked] of reads.figures) own.add(`${name}.${figure}`, worked)
    }
  }

  /** The same axis with something changed, to be judged by the same checks. */
  with(axis: Axis): EvaluationContext {
    return new EvaluationContext(axis, this.catalogue, this.units, this.checks)
  }

  /**
   * The next state of the axis, or another that was made of it: every figure and finding whose parts are the same is taken
   * over, only the others are worked out when they are asked for.
   */
  next(axis: Axis): EvaluationContext {
    if (axis === this.state) return this
    const next = this.with(axis)
    this.takeAllOver()
    next.earlier = { context: this, changed: partsChanged(this.state, axis) }
    return next
  }

  /** Findings about the drive and the parts it is made of alone: what a search and a choice of parts go by. */
  get driveFindings(): Finding[] {
    return this.findingsOf(isOfDrive)
  }

  private findingsOf(is: (check: ListedCheck) => boolean): Finding[] {
    const found: Finding[] = []
    for (const [checkId, check] of this.checks) {
      const finding = is(check) ? this.finding(checkId) : null
      if (finding) found.push(finding)
    }
    return found
  }
}

/**
 * A figure that a context works out once, however many ask for it.
 *
 * @example const travel = remembered(t => t.figure('travel', travelBudget, …)); travel(context)
 */
export const remembered =
  <T>(work: Work<T>): Work<T> =>
  context =>
    context.remember(work)
