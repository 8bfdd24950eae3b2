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

/** Drives up to one height that nothing of that height or less beats on the other three, cheapest first. */
export class Shelf {
  length = 0
  prices = new Float64Array(64)
  margins = new Float64Array(64)
  lost = new Float64Array(64)
  private lastToBeat = 0

  /** The least price of a drive here that is at least as good in margin and lost motion. */
  cheapest(margin: number, lostMotionUm: number): number {
    const { length, margins, lost } = this
    for (let i = 0; i < length; i++)
      if ((margins[i] as number) >= margin && (lost[i] as number) <= lostMotionUm)
        return this.prices[i] as number
    return Number.POSITIVE_INFINITY
  }

  /** Whether a cheaper drive here is no worse in margin and lost motion. */
  beats(priceEur: number, margin: number, lostMotionUm: number): boolean {
    const { length, prices, margins, lost } = this
    // What beat one drive will beat the next: it is asked first.
    const first = this.lastToBeat
    if (
      first < length &&
      (prices[first] as number) < priceEur &&
      (margins[first] as number) >= margin &&
      (lost[first] as number) <= lostMotionUm
    )
      return true
    for (let i = 0; i < length; i++) {
      if ((prices[i] as number) >= priceEur) return false
      if ((margins[i] as number) < margin || (lost[i] as number) > lostMotionUm) continue
      this.lastToBeat = i
      return true
    }
    return false
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

  private append(priceEur: number, margin: number, lostMotionUm: number): void {
    if (this.length === this.prices.length) this.grow()
    this.prices[this.length] = priceEur
    this.margins[this.length] = margin
    this.lost[this.length++] = lostMotionUm
  }

  put(priceEur: number, margin: number, lostMotionUm: number): void {
    if (this.cheapest(margin, lostMotionUm) <= priceEur) return
    let kept = 0
    let place = -1
    const { prices, margins, lost, length } = this
    for (let i = 0; i < length; i++) {
      const price = prices[i] as number
      if (price >= priceEur && (margins[i] as number) <= margin && (lost[i] as number) >= lostMotionUm)
        continue
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
  }

  private grow() {
    this.prices = twice(this.prices)
    this.margins = twice(this.margins)
    this.lost = twice(this.lost)
  }
}

/** The drives that nothing beats so far, of a few known heights. */
export class ParetoSet<T extends Merits> {
  private points: T[] = []
  private tidyAt = 500
  private readonly heightsMm: number[]
  private readonly shelves: Shelf[]

  constructor(heightsMm: Iterable<number>) {
    this.heightsMm = [...new Set(heightsMm)].toSorted((a, b) => a - b)
    this.shelves = this.heightsMm.map(() => new Shelf())
  }

  /** Where drives of a height stand; asked for once, then used for every drive of that height. */
  shelf(heightMm: number): number {
    return this.heightsMm.indexOf(heightMm)
  }

  /** The least price at which a drive as good as this, and as low, is known. */
  cheapest(shelf: number, margin: number, lostMotionUm: number): number {
    return (this.shelves[shelf] as Shelf).cheapest(margin, lostMotionUm)
  }

  /** Drives up to a height, as far as they matter to drives within bounds of margin and lost motion. */
  rivals(shelf: number, mostMargin: number, leastLostUm: number): Shelf {
    return Shelf.of(this.shelves[shelf] as Shelf, mostMargin, leastLostUm)
  }

  /** Takes a drive, unless one that is known beats it. */
  offer(shelf: number, point: T): void {
    const { priceEur, margin, lostMotionUm } = point
    if (this.cheapest(shelf, margin, lostMotionUm) < priceEur) return
    this.points.push(point)
    for (let i = shelf; i < this.shelves.length; i++)
      (this.shelves[i] as Shelf).put(priceEur, margin, lostMotionUm)
    if (this.points.length > this.tidyAt) this.tidy()
  }

  /** Drops what has been beaten since it came. */
  private tidy(): void {
    const { points } = this
    this.points = points.filter(point => !points.some(other => beats(other, point)))
    this.tidyAt = 2 * this.points.length + 500
  }

  get all(): readonly T[] {
    this.tidy()
    return this.points
  }
}
