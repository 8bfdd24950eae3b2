import { startTransition, useEffect, useState } from 'react'
import { afterFrame } from '../afterFrame'

const queue = new Set<() => void>()
let current: (() => void) | null = null

function callNext(): void {
  const [next] = queue
  current = next ?? null
  if (!next) return
  queue.delete(next)
  // In small pieces, between which keys and clicks are answered.
  startTransition(next)
}

/** Goes on after whoever's turn it was, when what it drew is on the screen. */
function end(call: () => void): void {
  if (current !== call) return
  afterFrame(callNext)
}

/**
 * How many of its turns have come: heavy drawings of one sheet come one after another, each in so many turns, so that no
 * frame waits for all of them.
 */
export function useTurns(count: number): number {
  const [passed, setPassed] = useState(0)
  useEffect(() => {
    if (passed >= count) return
    const mine = () => setPassed(passed + 1)
    queue.add(mine)
    if (!current) {
      current = mine
      setTimeout(callNext)
    }
    // Also when it was drawn, and the next turn is asked for.
    return () => {
      queue.delete(mine)
      end(mine)
    }
  }, [passed, count])
  return passed
}
