import type { BoltedJoint } from '../../machine/joints/model'
import { DOWELS } from '../../machine/joints/slip'
import { THREADS } from '../../machine/joints/threadTable'

/** Dowels in joints that are to have them, by their size. */
export const dowelOrders = (joints: readonly BoltedJoint[], screws: number) =>
  joints
    .filter(({ located }) => located)
    .map(({ thread }) => {
      const mm = Math.round(THREADS[thread].diameterMm)
      return {
        key: `dowel:${mm}`,
        what: `Dowel pins ${mm} mm, hardened, with drill and reamer`,
        count: DOWELS * screws,
        neededBy: 'build' as const,
        sheetEur: null,
      }
    })
