import { useEffect, useState } from 'react'
import { Note } from '@/ui/Note'

const WORDS = {
  asked: '',
  on: 'The screen stays on while this is shown.',
  off: 'This browser lets the screen go dark: set the tablet itself to stay on.',
}

/** Keeps the screen from going dark where the browser can, and says which. */
export function ScreenStaysOn() {
  const [state, setState] = useState<keyof typeof WORDS>('asked')
  useEffect(() => {
    let lock: WakeLockSentinel | null = null
    let ended = false
    // It is let go whenever the tab goes out of sight, and asked for again when it is back.
    const ask = async () => {
      if (document.hidden) return
      try {
        lock = await navigator.wakeLock.request('screen')
        if (ended) await lock.release()
        else setState('on')
      } catch {
        setState('off')
      }
    }
    void ask()
    document.addEventListener('visibilitychange', ask)
    return () => {
      ended = true
      document.removeEventListener('visibilitychange', ask)
      void lock?.release()
    }
  }, [])
  return (
    <Note role="status" data-hand>
      {WORDS[state]}
    </Note>
  )
}
