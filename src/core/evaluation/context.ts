import type { Calculation } from '../calculation/calculation'
import type { DimensionKey } from '../document/dimensions'
import type { Axis, PartKind } from '../document/job'
import type { Catalogue, PartOf, PartsList } from '../machine/parts'
import type { Shop } from '../sheets/making'

/** What is missing before a figure can be had: a dimension to measure, or a part to choose. */
export type Missing = { dimension: DimensionKey } | { part: PartKind }

/** Thrown by a figure that needs something nobody knows yet. */
export class NotKnown extends Error {
  readonly missing: Missing
  constructor(missing: Missing) {
    // Thrown at every key stroke while parts are open: remembering where from would cost more than the judging.
    const limit = Error.stackTraceLimit
    Error.stackTraceLimit = 0
    super('not known yet')
    Error.stackTraceLimit = limit
    this.name = 'NotKnown'
    this.missing = missing
  }
}

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

/**
 * One pass over an axis: works out each figure once, and remembers what every result rests on.
 *
 * `watch` runs a piece of work and tells which dimensions were read and which figures were worked out for
 * it, also those that an earlier piece of work had already worked out.
 */
export class Trace {
  readonly figures: Record<string, Figure> = {}
  private readonly memo = new Map<string, { value: unknown; reads: Reads }>()
  private open: Reads = noReads()

  constructor(
    readonly axis: Axis,
    private readonly catalogue: Catalogue,
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

  /** Works something out the first time it is asked for. */
  once<T>(name: string, work: () => T): T {
    const known = this.memo.get(name)
    if (known) {
      this.join(known.reads)
      return known.value as T
    }
    const { value, reads } = this.watch(work)
    this.memo.set(name, { value, reads })
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

  private join(reads: Reads) {
    for (const key of reads.dimensions) this.open.dimensions.add(key)
    for (const name of reads.figures) this.open.figures.add(name)
  }
}
