import { useEffect, useRef } from 'react'
import { GAUGE_RANGE_UM } from '@/core/practice/trainer/trainingBench'

/** How the machine stands in the picture. */
export interface Pose {
  /** Where the nut was sent. */
  readonly commandMm: number
  /** How far the table stands from it. */
  readonly tableOffUm: number
  /** Turns of the screw by hand or by half. */
  readonly halfTurns: number
  /** What the needle shows; null where the tip touches nothing. */
  readonly needleUm: number | null
}

/** A move is drawn within this time, however long it takes on the machine. */
const [SHORT_MS, LONG_MS, LONG_MM] = [260, 900, 200]
const UM_PER_MM = 1000

/** Between two poses: the nut goes evenly, the table stays until its play is taken up. */
export function poseBetween(from: Pose, to: Pose, share: number): Pose {
  const commandMm = from.commandMm + (to.commandMm - from.commandMm) * share
  const isSent = to.commandMm !== from.commandMm
  const tableOffUm = isSent
    ? takenUp(from, to, commandMm)
    : from.tableOffUm + (to.tableOffUm - from.tableOffUm) * share
  const place = (pose: Pose) => pose.commandMm * UM_PER_MM + pose.tableOffUm
  const halfTurns = from.halfTurns + (to.halfTurns - from.halfTurns) * share
  const here = commandMm * UM_PER_MM + tableOffUm
  // While it comes, the needle stands off by as much as the table does.
  const coming = isSent ? here - place(to) : 0
  const shown =
    to.needleUm === null
      ? null
      : isSent
        ? to.needleUm + coming
        : (from.needleUm ?? to.needleUm) + (to.needleUm - (from.needleUm ?? to.needleUm)) * share
  return {
    commandMm,
    tableOffUm,
    halfTurns,
    needleUm: shown === null || Math.abs(shown) > GAUGE_RANGE_UM ? null : shown,
  }
}

/** The table behind a nut that goes: pushed on only once the nut has come up to it. */
function takenUp(from: Pose, to: Pose, commandMm: number): number {
  const at = from.commandMm * UM_PER_MM + from.tableOffUm
  const nut = commandMm * UM_PER_MM
  const pushed = nut + to.tableOffUm
  return (to.commandMm > from.commandMm ? Math.max(at, pushed) : Math.min(at, pushed)) - nut
}

const durationMs = (from: Pose, to: Pose) => {
  const mm = Math.abs(to.commandMm - from.commandMm)
  return SHORT_MS + (LONG_MS - SHORT_MS) * Math.min(1, mm / LONG_MM)
}

/**
 * Draws a machine as it goes to a pose, frame by frame; at once where motion is not wanted. What is read does not wait for it.
 *
 * @param draw puts one pose into the picture
 */
export function useMoving(pose: Pose, draw: (pose: Pose) => void): void {
  const drawn = useRef<Pose | null>(null)
  useEffect(() => {
    const from = drawn.current
    const put = (next: Pose) => {
      drawn.current = next
      draw(next)
    }
    const isStill = window.matchMedia('(prefers-reduced-motion: reduce)').matches
    if (!from || isStill || document.hidden) return put(pose)
    const begun = performance.now()
    const lasts = durationMs(from, pose)
    let frame = requestAnimationFrame(function next(now) {
      const share = Math.min(1, Math.max(0, (now - begun) / lasts))
      put(share < 1 ? poseBetween(from, pose, share) : pose)
      if (share < 1) frame = requestAnimationFrame(next)
    })
    return () => cancelAnimationFrame(frame)
  }, [pose, draw])
}
