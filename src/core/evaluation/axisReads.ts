import { AXIS_FIELDS, type Axis, type OwnLimits } from '../document/axis'
import { DIMENSIONS, type DimensionKey } from '../document/dimensions'

// Which parts of an axis a piece of work has read: one bit a part, so that to join and to compare is a few machine words.

/** A part of an axis, as a bit in one of the words. */
interface Part {
  readonly word: number
  readonly bit: number
}
/** Thirty bits a word: the engine keeps those as small integers. */
const BITS_A_WORD = 30

/** Parts of an axis that were read or that have changed, as words of bits. */
export type PartSet = number[]
const noParts = (): PartSet => [0, 0, 0, 0, 0, 0, 0, 0, 0, 0]
const WORDS = noParts().length

let parts = 0
/** A part of its own; when there are no more bits, the last one stands for all that come after it. */
function newPart(): Part {
  const at = Math.min(parts, WORDS * BITS_A_WORD - 1)
  parts += 1
  return { word: Math.floor(at / BITS_A_WORD), bit: 1 << (at % BITS_A_WORD) }
}

const addTo = (set: PartSet, { word, bit }: Part) => {
  set[word] = (set[word] as number) | bit
}
const isIn = (set: PartSet, { word, bit }: Part): boolean => ((set[word] as number) & bit) !== 0

/** Whether two sets have a part in common. */
export function meet(one: PartSet, other: PartSet): boolean {
  for (let word = 0; word < WORDS; word++) if ((one[word] as number) & (other[word] as number)) return true
  return false
}

/** One worked figure: which calculation, what went in and what came out. */
export interface Figure {
  calculation: string
  inputs: Record<string, unknown>
  outputs: Record<string, unknown>
}
interface Named {
  name: string
  figure: Figure
}

/** What a piece of work read of the axis, and the figures that it or what it asked for worked out, in their order. */
export class Reads {
  readonly parts: PartSet = noParts()
  private readonly worked: (Named | Reads)[] = []

  read(part: Part) {
    addTo(this.parts, part)
  }
  add(name: string, figure: Figure) {
    this.worked.push({ name, figure })
  }
  /** What other work read counts as read by this one. */
  join(other: Reads) {
    this.joinParts(other)
    this.worked.push(other)
  }
  joinParts({ parts: more }: Reads) {
    const { parts: own } = this
    for (let word = 0; word < WORDS; word++) own[word] = (own[word] as number) | (more[word] as number)
  }
  /** The figures behind it by name, in the order in which they were first asked for; of one worked out again, the last. */
  get figures(): Map<string, Figure> {
    const found = new Map<string, Figure>()
    const seen = new Set<Reads>()
    const gather = (reads: Reads) => {
      if (seen.has(reads)) return
      seen.add(reads)
      for (const one of reads.worked) {
        if (one instanceof Reads) gather(one)
        else found.set(one.name, one.figure)
      }
    }
    gather(this)
    return found
  }
  /** The dimensions that it rests on, in the order in which they are measured. */
  get dimensions(): DimensionKey[] {
    return DIMENSION_KEYS.filter(key => isIn(this.parts, RESTS_ON[key]))
  }
}

const DIMENSION_KEYS = Object.keys(DIMENSIONS) as DimensionKey[]
const RESTS_ON = Object.fromEntries(DIMENSION_KEYS.map(key => [key, newPart()])) as Record<DimensionKey, Part>
const LIMITS = new Map<string, Part>()
function limitPart(key: string): Part {
  const known = LIMITS.get(key)
  if (known) return known
  const part = newPart()
  LIMITS.set(key, part)
  return part
}
/** All of it at once, for what goes through an axis whatever it holds. */
const WHOLE = newPart()

type Values = Readonly<Record<string, unknown>>
interface ReadLog {
  open: Reads | null
}

/** Records of an axis that are read field by field, with the part that each field is. */
const RECORDS: ReadonlyMap<string, ReadonlyMap<string, Part>> = new Map(
  Object.entries(AXIS_FIELDS).flatMap(([name, field]) =>
    field.is === 'record'
      ? [[name, new Map(Object.keys(field.of).map((key): [string, Part] => [key, newPart()]))] as const]
      : [],
  ),
)
/** Everything else of an axis is read as one. */
const OTHERS = new Map<string, Part>()

/** A record whose every field notes that it was read. All of one name are of one class, so that reading stays fast. */
class RecordReader {
  constructor(
    readonly read: Values,
    readonly log: ReadLog,
  ) {}
}
const noting = (key: string, part: Part): PropertyDescriptor => ({
  get(this: RecordReader) {
    this.log.open?.read(part)
    return this.read[key]
  },
})
const RECORD_READERS: ReadonlyMap<string, typeof RecordReader> = new Map(
  [...RECORDS].map(([name, fields]) => {
    const Reader = class extends RecordReader {}
    for (const [key, part] of fields) Object.defineProperty(Reader.prototype, key, noting(key, part))
    return [name, Reader] as const
  }),
)

/** An axis whose every part notes that it was read. It is read like the axis; only it cannot be spread or gone through. */
class AxisReader extends RecordReader {
  private readonly records: Record<string, RecordReader> = {}

  record(name: string, Reader: typeof RecordReader): RecordReader {
    const known = this.records[name]
    if (known) return known
    const reader = new Reader(this.read[name] as Values, this.log)
    this.records[name] = reader
    return reader
  }
}
for (const [name, Reader] of RECORD_READERS)
  Object.defineProperty(AxisReader.prototype, name, {
    get(this: AxisReader) {
      return this.record(name, Reader)
    },
  })

/** What a sheet keeps on an axis becomes a part the first time that it is read. */
Object.setPrototypeOf(
  RecordReader.prototype,
  new Proxy(
    {},
    {
      get(_, key, reader) {
        if (typeof key !== 'string' || key in Object.prototype || !(reader instanceof AxisReader))
          return Reflect.get(Object.prototype, key, reader)
        const part = newPart()
        OTHERS.set(key, part)
        Object.defineProperty(AxisReader.prototype, key, noting(key, part))
        return Reflect.get(reader, key)
      },
    },
  ),
)

/** An axis to be read with note being taken; `log.open` says where. */
export function readerOf(axis: Axis, log: ReadLog): Axis {
  return new AxisReader(axis as unknown as Values, log) as unknown as Axis
}

/** A dimension, noted as one that the figure rests on. */
export function readDimension({ dimensions }: Axis, key: DimensionKey, reads: Reads | null) {
  reads?.read(RESTS_ON[key])
  return dimensions[key]
}

/** A limit that the builder has set; that there is none is noted too. */
export function readLimit(axis: Axis, key: string, reads: Reads | null): OwnLimits | undefined {
  reads?.read(limitPart(key))
  return axis.limits[key]
}

/** Notes that all of an axis was read. */
export const readWhole = (reads: Reads | null) => reads?.read(WHOLE)

/** The parts in which two states of an axis differ; what is the same object is the same. */
export function partsChanged(before: Axis, after: Axis): PartSet {
  const changed = noParts()
  addTo(changed, WHOLE)
  const was = before as unknown as Values
  const now = after as unknown as Values
  for (const [name, fields] of RECORDS) {
    if (was[name] === now[name]) continue
    const old = was[name] as Values
    const young = now[name] as Values
    for (const [key, part] of fields) if (old[key] !== young[key]) addTo(changed, part)
  }
  for (const [key, part] of OTHERS) if (was[key] !== now[key]) addTo(changed, part)
  if (before.limits !== after.limits)
    for (const [key, part] of LIMITS) if (before.limits[key] !== after.limits[key]) addTo(changed, part)
  return changed
}
