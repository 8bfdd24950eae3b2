import { useCallback, useState } from 'react'
import type { Stage } from '@/core/document/stages'
import { useKept } from '../job/useKept'

type ByStage = Partial<Record<Stage, 'folded' | 'open'>>

const byStageIn = (kept: unknown): ByStage =>
  typeof kept === 'object' && kept !== null ? (kept as ByStage) : {}

/**
 * Whether the drive line is folded on a stage: by itself where the stage lays nothing on it, and as it was last folded or
 * opened by hand on that stage. On a narrow screen it is folded until it is opened, for as long as the screen stands.
 */
export function useFolded(stage: Stage, hasSomething: boolean, narrow: boolean) {
  const [byStage, keep] = useKept('dusk-drive-line', byStageIn)
  const [openWhereNarrow, setOpenWhereNarrow] = useState(false)
  const chosen = byStage[stage]
  const folded = narrow ? !openWhereNarrow : chosen === undefined ? !hasSomething : chosen === 'folded'
  const fold = useCallback(
    (next: boolean) => {
      if (narrow) setOpenWhereNarrow(!next)
      else keep({ ...byStage, [stage]: next ? 'folded' : 'open' })
    },
    [stage, byStage, keep, narrow],
  )
  return [folded, fold] as const
}
