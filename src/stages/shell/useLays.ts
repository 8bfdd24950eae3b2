import { useCallback, useEffect, useState } from 'react'
import { type SheetId, sheetOf } from '@/core/sheets'
import type { LaysOf } from '@/core/sheets/overlay'
import type { Lays } from '@/core/sheets/sheet'
import { useLater, withLater } from '../job/later'

/** What sheets lay on the drive line: with what is fetched when the sheet, or its stage, is opened. */
export function useLays(sheet: SheetId): LaysOf {
  const later = useLater()
  const [came, setCame] = useState<{ sheet: SheetId; lays: Lays } | null>(null)
  useEffect(() => {
    let wanted = true
    // Without the server nothing is laid down: the sheet itself says that a piece of the app is missing.
    const { overlayLater } = sheetOf(sheet)
    if (overlayLater)
      withLater(overlayLater).then(
        lays => wanted && setCame({ sheet, lays }),
        () => undefined,
      )
    return () => {
      wanted = false
    }
  }, [sheet])
  return useCallback(
    id => (came?.sheet === id ? came.lays : (later?.laysOf(id) ?? sheetOf(id).overlay)),
    [came, later],
  )
}
