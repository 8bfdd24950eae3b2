import { startTransition, useEffect, useState } from 'react'

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
  // A tab in the background draws no frames, and has nobody who waits.
  if (document.hidden) setTimeout(callNext)
  else requestAnimationFrame(() => setTimeout(callNext))
}

/** Whether it is this one's turn: heavy drawings of one sheet come one after another, so that no frame waits for all of them. */
export function useTurn(): boolean {
  const [call, setCall] = useState<(() => void) | null>(null)
  const [turn, setTurn] = useState(false)
  useEffect(() => {
    const mine = () => setTurn(true)
    setCall(() => mine)
    queue.add(mine)
    if (!current) {
      current = mine
      setTimeout(callNext)
    }
    return () => {
      queue.delete(mine)
      end(mine)
    }
  }, [])
  useEffect(() => {
    if (turn && call) end(call)
  }, [turn, call])
  return turn
}
