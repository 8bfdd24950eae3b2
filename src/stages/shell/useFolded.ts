import { useCallback } from 'react'
import type { Stage } from '@/core/document/stages'
import { useKept } from '../job/useKept'

type ByStage = Partial<Record<Stage, 'folded' | 'open'>>

const byStageIn = (kept: unknown): ByStage =>
  typeof kept === 'object' && kept !== null ? (kept as ByStage) : {}

/**
 * Whether the drive line is folded on a stage: by itself where the stage lays nothing on it, and as it was last folded or
 * opened by hand on that stage.
 */
export function useFolded(stage: Stage, hasSomething: boolean) {
  const [byStage, keep] = useKept('dusk-drive-line', byStageIn)
  const chosen = byStage[stage]
  const folded = chosen === undefined ? !hasSomething : chosen === 'folded'
  const fold = useCallback(
    (next: boolean) => keep({ ...byStage, [stage]: next ? 'folded' : 'open' }),
    [stage, byStage, keep],
  )
  return [folded, fold] as const
}
