import { useCallback, useState } from 'react'

/** What a browser that keeps nothing, or keeps something else's, remembers is nothing. */
function read<T>(key: string, take: (kept: unknown) => T): T {
  try {
    const text = localStorage.getItem(key) ?? 'null'
    // What was kept as it is, before all was kept as JSON.
    return take(/^\w+$/.test(text) && text !== 'null' ? text : JSON.parse(text))
  } catch {
    return take(null)
  }
}

/**
 * A choice that this browser remembers, beside every job.
 *
 * @param key under which it is kept
 * @param take what is kept, made sure of; it is given null where nothing is
 */
export function useKept<T>(key: string, take: (kept: unknown) => T): [T, (next: T) => void] {
  const [value, setValue] = useState(() => read(key, take))
  const keep = useCallback(
    (next: T) => {
      setValue(next)
      try {
        localStorage.setItem(key, JSON.stringify(next))
      } catch {
        // It holds all the same, for as long as this tab is open.
      }
    },
    [key],
  )
  return [value, keep]
}
