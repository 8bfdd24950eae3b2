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

/** Drives up to one height that nothing of that height or less beats on the other three, cheapest first. */
class Shelf {
  length = 0
  prices = new Float64Array(64)
  margins = new Float64Array(64)
  lost = new Float64Array(64)

  /** The least price of a drive here that is at least as good in margin and lost motion. */
  cheapest(margin: number, lostMotionUm: number): number {
    const { length, margins, lost } = this
    for (let i = 0; i < length; i++)
      if ((margins[i] as number) >= margin && (lost[i] as number) <= lostMotionUm)
        return this.prices[i] as number
    return Number.POSITIVE_INFINITY
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
    const twice = (from: Float64Array) => {
      const to = new Float64Array(2 * from.length)
      to.set(from)
      return to
    }
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
