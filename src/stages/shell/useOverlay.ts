import { useCallback, useEffect, useState } from 'react'
import type { SheetId } from '@/core/sheets'
import { FIRST } from '@/core/sheets/first.generated'
import type { OverlayFor } from '@/core/sheets/overlay'
import type { DrawOverlay } from '@/core/sheets/sheet'
import { useLater, withLater } from '../job/later'
import { OVERLAYS_ASKED } from '../sheets/overlays.generated'

/** What draws the overlays of sheets: with what is fetched when the sheet, or its stage, is opened. */
export function useOverlay(sheet: SheetId): OverlayFor {
  const later = useLater()
  const [came, setCame] = useState<{ sheet: SheetId; draw: DrawOverlay } | null>(null)
  useEffect(() => {
    let wanted = true
    const load = OVERLAYS_ASKED[sheet]
    // Without the server nothing is drawn: the sheet itself says that a piece of the app is missing.
    if (load)
      withLater(load).then(
        draw => wanted && setCame({ sheet, draw }),
        () => undefined,
      )
    return () => {
      wanted = false
    }
  }, [sheet])
  return useCallback(
    id => (came?.sheet === id ? came.draw : (later?.overlayFor(id) ?? FIRST[id]?.overlay)),
    [came, later],
  )
}
