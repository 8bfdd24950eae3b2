import { GRAVITY_M_PER_S2 } from '../../calculation/constants'
import { evenRandom, normalFrom } from '../../calculation/evenRandom'
import { MM_PER_INCH } from '../../units/quantity'

// The hand at the gauge: how a true value becomes a figure in a table.

/** What a hand can get wrong; each at most once in what it reads. */
export const SLIPS = [
  'creeping-base',
  'knock',
  'reversed-gauge',
  'lost-minus',
  'wrong-unit',
  'slipped-digit',
  'kilograms-for-newtons',
] as const
export type Slip = (typeof SLIPS)[number]

export interface Gauge {
  /** Its step, in the unit that it shows; 0 reads all. */
  readonly step: number
  /** Deviation of one reading by hand, in that unit. */
  readonly spread: number
}

/**
 * A hand that reads one table: with its own spread, and at most one slip somewhere in it.
 *
 * @example new Hand(1, null).read(12.3, { step: 1, spread: 0 }) // 12
 */
export class Hand {
  private readonly normal: () => number
  private readonly creepPerReading: number
  private readonly at: number
  private readonly knock: number
  private taken = 0

  /**
   * @param slip what goes wrong; null reads right
   * @param size of what creeps or is knocked, in the unit of the readings
   * @param among of how many readings the slip falls on one
   */
  constructor(
    seed: number,
    readonly slip: Slip | null,
    size = 0,
    among = 10,
  ) {
    const random = evenRandom(seed)
    this.normal = normalFrom(random)
    const sign = random() < 0.5 ? -1 : 1
    this.at = Math.floor(random() * among)
    this.creepPerReading = slip === 'creeping-base' ? (sign * size) / Math.max(1, among - 1) : 0
    this.knock = slip === 'knock' ? sign * size : 0
  }

  /** A reading of an indicator, which counts from where it was set to zero. */
  read(value: number, gauge: Gauge): number {
    const index = this.taken
    this.taken += 1
    const moved = this.creepPerReading * index + (index >= this.at ? this.knock : 0)
    const seen = stepped(value + moved + gauge.spread * this.normal(), gauge.step)
    return this.written(this.slip === 'reversed-gauge' ? -seen : seen, index)
  }

  /** What its dial shows as a finger pushes the tip in. */
  tipLifted(): 'more' | 'less' {
    return this.slip === 'reversed-gauge' ? 'less' : 'more'
  }

  /** A reading of something with a zero of its own: a scale, a driver, calipers. */
  measure(value: number, gauge: Gauge): number {
    const index = this.taken
    this.taken += 1
    const seen = Math.max(0, stepped(value + gauge.spread * this.normal(), gauge.step))
    return this.written(seen, index)
  }

  /** A reading of a spring scale, which may show kilograms. */
  pull(newtons: number, gauge: Gauge): number {
    return this.force(this.measure(newtons, gauge))
  }

  /** A reading of a thermometer: nothing else of it goes wrong. */
  temperature(degreesC: number, { step, spread }: Gauge): number {
    return stepped(degreesC + spread * this.normal(), step)
  }

  /** A force that is set by a scale: what stands in the table for it. */
  force(newtons: number): number {
    return this.slip === 'kilograms-for-newtons' ? round(newtons / GRAVITY_M_PER_S2) : newtons
  }

  private written(seen: number, index: number): number {
    switch (this.slip) {
      case 'lost-minus':
        return index >= this.at ? Math.abs(seen) : seen
      case 'wrong-unit':
        return round(seen / MM_PER_INCH)
      case 'slipped-digit':
        return index === this.at ? seen * 10 : seen
      default:
        return seen
    }
  }
}

const stepped = (value: number, step: number) => (step > 0 ? round(Math.round(value / step) * step) : value)
/** Without the dust of binary figures. */
const round = (value: number) => Number(value.toPrecision(12))
