import type { Axis } from '@/core/job/types'
import type { UnitSystem } from '@/core/units/quantity'
import type { WayOut } from '@/core/verdicts/waysOut'

/** What the worker can be asked to work out. */
export interface BenchWorker {
  waysOut: (axis: Axis, units: UnitSystem, checkId: string) => WayOut[]
}
