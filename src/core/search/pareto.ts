/** What drives are weighed by: cheaper, more in hand, less lost motion, lower under the table. */
export interface Merits {
  priceEur: number
  margin: number
  lostMotionUm: number
  heightMm: number
}

/**
 * Whether one drive beats another: nowhere worse, and somewhere better.
 *
 * @example beats({ priceEur: 1, margin: 2, lostMotionUm: 3, heightMm: 4 }, { priceEur: 2, margin: 2, lostMotionUm: 3, heightMm: 4 }) // true
 */
export const beats = (a: Merits, b: Merits): boolean =>
  a.priceEur <= b.priceEur &&
  a.margin >= b.margin &&
  a.lostMotionUm <= b.lostMotionUm &&
  a.heightMm <= b.heightMm &&
  (a.priceEur < b.priceEur ||
    a.margin > b.margin ||
    a.lostMotionUm < b.lostMotionUm ||
    a.heightMm < b.heightMm)

function twice(from: Float64Array<ArrayBuffer>) {
  const to = new Float64Array(2 * from.length)
  to.set(from)
  return to
}

/** So many drives of a shelf are asked at once, by the best margin and the least lost motion among them. */
const BLOCK = 16

/** Drives up to one height that nothing of that height or less beats on the other three, cheapest first. */
export class Shelf {
  length = 0
  prices = new Float64Array(64)
  margins = new Float64Array(64)
  lost = new Float64Array(64)
  /** The best of each block: what beats none of it by these is beaten by none of it. */
  private blockMargins = new Float64Array(64 / BLOCK)
  private blockLost = new Float64Array(64 / BLOCK)
  private lastToBeat = 0

  /** The first drive here below a price that is at least as good in margin and lost motion; as many as there are where none is. */
  private firstAsGood(belowEur: number, margin: number, lostMotionUm: number): number {
    const { length, prices, margins, lost, blockMargins, blockLost } = this
    for (let block = 0, from = 0; from < length; block++, from += BLOCK) {
      if ((prices[from] as number) >= belowEur) return length
      if ((blockMargins[block] as number) < margin || (blockLost[block] as number) > lostMotionUm) continue
      const end = Math.min(from + BLOCK, length)
      for (let i = from; i < end; i++)
        if ((margins[i] as number) >= margin && (lost[i] as number) <= lostMotionUm) return i
    }
    return length
  }

  /** The least price of a drive here that is at least as good in margin and lost motion. */
  cheapest(margin: number, lostMotionUm: number): number {
    const first = this.firstAsGood(Number.POSITIVE_INFINITY, margin, lostMotionUm)
    return first < this.length ? (this.prices[first] as number) : Number.POSITIVE_INFINITY
  }

  /** Whether this very drive stands here: nothing beats it. */
  has(priceEur: number, margin: number, lostMotionUm: number): boolean {
    const first = this.firstAsGood(Number.POSITIVE_INFINITY, margin, lostMotionUm)
    return (
      first < this.length &&
      this.prices[first] === priceEur &&
      this.margins[first] === margin &&
      this.lost[first] === lostMotionUm
    )
  }

  /** Whether a cheaper drive here is no worse in margin and lost motion. */
  beats(priceEur: number, margin: number, lostMotionUm: number): boolean {
    const { prices, margins, lost } = this
    // What beat one drive will beat the next: it is asked first.
    const last = this.lastToBeat
    if (
      last < this.length &&
      (prices[last] as number) < priceEur &&
      (margins[last] as number) >= margin &&
      (lost[last] as number) <= lostMotionUm
    )
      return true
    const first = this.firstAsGood(priceEur, margin, lostMotionUm)
    if (first === this.length || (prices[first] as number) >= priceEur) return false
    this.lastToBeat = first
    return true
  }

  /** What of a shelf is left to say of drives of at most this margin and at least this lost motion. */
  static of(all: Shelf, mostMargin: number, leastLostUm: number): Shelf {
    const few = new Shelf()
    for (let i = 0; i < all.length; i++) {
      const margin = Math.min(all.margins[i] as number, mostMargin)
      const lostMotionUm = Math.max(all.lost[i] as number, leastLostUm)
      // Cheapest first: what stands there already cannot be beaten by what comes.
      if (few.cheapest(margin, lostMotionUm) < Number.POSITIVE_INFINITY) continue
      few.append(all.prices[i] as number, margin, lostMotionUm)
      if (margin === mostMargin && lostMotionUm === leastLostUm) break
    }
    return few
  }

  /** Looks anew at the blocks from the one with a drive on. */
  private summarise(from: number): void {
    const { length, margins, lost, blockMargins, blockLost } = this
    for (let block = Math.floor(from / BLOCK); block * BLOCK < length; block++) {
      let margin = 0
      let least = Number.POSITIVE_INFINITY
      const end = Math.min((block + 1) * BLOCK, length)
      for (let i = block * BLOCK; i < end; i++) {
        margin = Math.max(margin, margins[i] as number)
        least = Math.min(least, lost[i] as number)
      }
      blockMargins[block] = margin
      blockLost[block] = least
    }
  }

  private append(priceEur: number, margin: number, lostMotionUm: number): void {
    if (this.length === this.prices.length) this.grow()
    this.prices[this.length] = priceEur
    this.margins[this.length] = margin
    this.lost[this.length++] = lostMotionUm
    this.summarise(this.length - 1)
  }

  put(priceEur: number, margin: number, lostMotionUm: number): void {
    if (this.cheapest(margin, lostMotionUm) <= priceEur) return
    let kept = 0
    let place = -1
    let changedFrom = this.length
    const { prices, margins, lost, length } = this
    for (let i = 0; i < length; i++) {
      const price = prices[i] as number
      if (price >= priceEur && (margins[i] as number) <= margin && (lost[i] as number) >= lostMotionUm) {
        changedFrom = Math.min(changedFrom, kept)
        continue
      }
      if (place < 0 && price > priceEur) place = kept
      prices[kept] = price
      margins[kept] = margins[i] as number
      lost[kept] = lost[i] as number
      kept++
    }
    if (place < 0) place = kept
    if (kept === prices.length) this.grow()
    this.prices.copyWithin(place + 1, place, kept)
    this.margins.copyWithin(place + 1, place, kept)
    this.lost.copyWithin(place + 1, place, kept)
    this.prices[place] = priceEur
    this.margins[place] = margin
    this.lost[place] = lostMotionUm
    this.length = kept + 1
    this.summarise(Math.min(changedFrom, place))
  }

  private grow() {
    this.prices = twice(this.prices)
    this.margins = twice(this.margins)
    this.lost = twice(this.lost)
    this.blockMargins = twice(this.blockMargins)
    this.blockLost = twice(this.blockLost)
  }
}

/** The drives that nothing beats so far, of a few known heights. */
export class ParetoSet<T extends Merits> {
  private points: T[] = []
  private tidyAt = 500
  private readonly heightsMm: number[]
  private readonly shelves: Shelf[]
  private readonly shelfOf: ReadonlyMap<number, number>

  constructor(heightsMm: Iterable<number>) {
    this.heightsMm = [...new Set(heightsMm)].toSorted((a, b) => a - b)
    this.shelves = this.heightsMm.map(() => new Shelf())
    this.shelfOf = new Map(this.heightsMm.map((heightMm, shelf) => [heightMm, shelf]))
  }

  /** Where drives of a height stand; asked for once, then used for every drive of that height. */
  shelf(heightMm: number): number {
    return this.shelfOf.get(heightMm) as number
  }

  /** The least price at which a drive as good as this, and as low, is known. */
  cheapest(shelf: number, margin: number, lostMotionUm: number): number {
    return (this.shelves[shelf] as Shelf).cheapest(margin, lostMotionUm)
  }

  /** Drives up to a height, as far as they matter to drives within bounds of margin and lost motion. */
  rivals(shelf: number, mostMargin: number, leastLostUm: number): Shelf {
    return Shelf.of(this.shelves[shelf] as Shelf, mostMargin, leastLostUm)
  }

  /** Lets a drive that is to come beat others already. */
  expect(shelf: number, { priceEur, margin, lostMotionUm }: Merits): void {
    for (let i = shelf; i < this.shelves.length; i++)
      (this.shelves[i] as Shelf).put(priceEur, margin, lostMotionUm)
  }

  /** Takes a drive, unless one that is known beats it. */
  offer(shelf: number, point: T): void {
    const { priceEur, margin, lostMotionUm } = point
    if (this.cheapest(shelf, margin, lostMotionUm) < priceEur) return
    this.points.push(point)
    this.expect(shelf, point)
    if (this.points.length > this.tidyAt) this.tidy()
  }

  /** Whether nothing known beats a drive that was offered: it stands on its shelf, and nothing as good on the one below. */
  private stands({ priceEur, margin, lostMotionUm, heightMm }: T): boolean {
    const shelf = this.shelf(heightMm)
    if (!(this.shelves[shelf] as Shelf).has(priceEur, margin, lostMotionUm)) return false
    return shelf === 0 || this.cheapest(shelf - 1, margin, lostMotionUm) > priceEur
  }

  /** Drops what has been beaten since it came. */
  private tidy(): void {
    this.points = this.points.filter(point => this.stands(point))
    this.tidyAt = 2 * this.points.length + 500
  }

  get all(): readonly T[] {
    this.tidy()
    return this.points
  }
}
