import { useCallback, useState } from 'react'
import type { Stage } from '@/core/document/stages'

const KEY = 'dusk-drive-line'

type ByStage = Partial<Record<Stage, 'folded' | 'open'>>

/** What a browser that keeps nothing, or something else's, remembers is nothing. */
function remembered(): ByStage {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '{}')
    return typeof kept === 'object' && kept !== null ? (kept as ByStage) : {}
  } catch {
    return {}
  }
}

/**
 * Whether the drive line is folded on a stage: by itself where the stage lays nothing on it, and as it was last folded or
 * opened by hand on that stage.
 */
export function useFolded(stage: Stage, hasSomething: boolean) {
  const [byStage, setByStage] = useState(remembered)
  const chosen = byStage[stage]
  const folded = chosen === undefined ? !hasSomething : chosen === 'folded'
  const fold = useCallback(
    (next: boolean) =>
      setByStage(before => {
        const after: ByStage = { ...before, [stage]: next ? 'folded' : 'open' }
        try {
          localStorage.setItem(KEY, JSON.stringify(after))
        } catch {
          // It is folded all the same, for as long as this tab is open.
        }
        return after
      }),
    [stage],
  )
  return [folded, fold] as const
}
