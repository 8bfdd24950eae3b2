import { useEffect, useState } from 'react'

let queue: (() => void)[] = []
let isCalling = false

/** Calls the next in the queue, and goes on when what it drew is on the screen. */
function callNext(): void {
  const next = queue.shift()
  isCalling = next !== undefined
  if (!next) return
  next()
  // A tab in the background draws no frames, and has nobody who waits.
  const goOn = () => setTimeout(callNext)
  if (document.hidden) goOn()
  else requestAnimationFrame(goOn)
}

/** Whether it is this one's turn: heavy drawings of one sheet come one after another, so that no frame waits for all of them. */
export function useTurn(): boolean {
  const [turn, setTurn] = useState(false)
  useEffect(() => {
    const call = () => setTurn(true)
    queue.push(call)
    if (!isCalling) {
      isCalling = true
      setTimeout(callNext)
    }
    return () => {
      queue = queue.filter(one => one !== call)
    }
  }, [])
  return turn
}
