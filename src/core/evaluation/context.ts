import type { Calculation } from '../calculation/calculation'
import type { Axis } from '../document/axis'
import type { DimensionKey } from '../document/dimensions'
import type { PartKind } from '../document/kinds'
import type { Catalogue, PartOf, PartsList } from '../document/parts/types'
import type { Shop } from '../document/shop'
import type { UnitSystem } from '../units/quantity'
import { isOfDrive, judgeCheck, type ListedCheck } from './check'
import { byUrgency, type Finding } from './finding'
import { NotKnown } from './notKnown'

/** One worked figure: which calculation, what went in and what came out. */
export interface Figure {
  calculation: string
  inputs: Record<string, unknown>
  outputs: Record<string, unknown>
}

interface Reads {
  dimensions: Set<DimensionKey>
  figures: Set<string>
}
const noReads = (): Reads => ({ dimensions: new Set(), figures: new Set() })

type Work<T> = (context: EvaluationContext) => T

const NO_CHECKS: ReadonlyMap<string, ListedCheck> = new Map()

/**
 * One state of an axis with everything that is worked out for it, each thing once: figures, and findings by the name of
 * their check or all of them. It goes to checks, drawings, what lies on the drive line, paper and the shell alike.
 *
 * `watch` runs a piece of work and tells which dimensions were read and which figures were worked out for
 * it, also those that an earlier piece of work had already worked out.
 */
export class EvaluationContext {
  readonly figures: Record<string, Figure> = {}
  private readonly memo = new Map<Work<unknown>, { value: unknown; reads: Reads }>()
  private readonly judged = new Map<string, Finding | null>()
  private sorted: Finding[] | null = null
  private open: Reads = noReads()

  /** @param checks those that this axis is held to; a context for figures alone needs none */
  constructor(
    readonly axis: Axis,
    readonly catalogue: Catalogue,
    readonly units: UnitSystem = 'mm',
    private readonly checks = NO_CHECKS,
  ) {}

  dimension(key: DimensionKey): number {
    this.open.dimensions.add(key)
    const { value } = this.axis.dimensions[key]
    if (value === null) throw new NotKnown({ dimension: key })
    return value
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

  /** Runs a calculation under a name, so that its working can be shown. */
  figure<I, O>(name: string, calculate: Calculation<I, O>, inputs: I): O {
    const outputs = calculate(inputs)
    this.figures[name] = {
      calculation: calculate.id,
      inputs: inputs as Record<string, unknown>,
      outputs: outputs as Record<string, unknown>,
    }
    this.open.figures.add(name)
    return outputs
  }

  /** Works something out the first time it is asked for; the function itself is what it is known by. */
  remember<T>(work: Work<T>): T {
    const known = this.memo.get(work)
    if (known) {
      this.join(known.reads)
      return known.value as T
    }
    const { value, reads } = this.watch(() => work(this))
    this.memo.set(work, { value, reads })
    return value
  }

  /** Runs work and tells what it read; also when it fails, the reads count for whoever asked. */
  watch<T>(work: () => T): { value: T; reads: Reads } {
    const outer = this.open
    const reads = noReads()
    this.open = reads
    try {
      return { value: work(), reads }
    } finally {
      this.open = outer
      this.join(reads)
    }
  }

  /**
   * The finding of one check, without judging the rest; null where the check does not apply to this axis.
   *
   * @throws Error when this context holds no such check
   */
  finding(checkId: string): Finding | null {
    const known = this.judged.get(checkId)
    if (known !== undefined) return known
    const check = this.checks.get(checkId)
    if (!check) throw new Error(`finding: got ${checkId}, takes one of ${[...this.checks.keys()].join(', ')}`)
    const finding = judgeCheck(this, check)
    this.judged.set(checkId, finding)
    return finding
  }

  /** The checks that this axis is held to. */
  get checkIds(): Iterable<string> {
    return this.checks.keys()
  }

  /** Whether this axis is held to a check here. */
  isHeldTo(checkId: string): boolean {
    return this.checks.has(checkId)
  }

  /** Every finding, worst first; checks that do not apply are left out. */
  get findings(): Finding[] {
    if (!this.sorted) {
      const all: Finding[] = []
      for (const checkId of this.checks.keys()) {
        const finding = this.finding(checkId)
        if (finding) all.push(finding)
      }
      this.sorted = byUrgency(all)
    }
    return this.sorted
  }

  /** Works something out of this axis with other readings: what that reads and works out counts as this one's. */
  aside<T>(axis: Axis, name: string, work: Work<T>): T {
    const other = this.with(axis)
    const reads = noReads()
    other.open = reads
    try {
      return work(other)
    } finally {
      for (const dimension of reads.dimensions) this.open.dimensions.add(dimension)
      for (const figure of reads.figures) {
        const own = `${name}.${figure}`
        this.figures[own] = other.figures[figure] as Figure
        this.open.figures.add(own)
      }
    }
  }

  /** The same axis with something changed, to be judged by the same checks. */
  with(axis: Axis): EvaluationContext {
    return new EvaluationContext(axis, this.catalogue, this.units, this.checks)
  }

  /** Findings about the drive and the parts it is made of alone: what a search and a choice of parts go by. */
  get driveFindings(): Finding[] {
    const found: Finding[] = []
    for (const [checkId, check] of this.checks) {
      const finding = isOfDrive(check) ? this.finding(checkId) : null
      if (finding) found.push(finding)
    }
    return found
  }

  private join(reads: Reads) {
    const { dimensions, figures } = this.open
    // Asking for the size first is cheaper than an iterator that has nothing to give: most reads are few.
    if (reads.dimensions.size) for (const key of reads.dimensions) dimensions.add(key)
    if (reads.figures.size) for (const name of reads.figures) figures.add(name)
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
