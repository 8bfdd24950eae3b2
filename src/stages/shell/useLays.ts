import { useEffect, useState } from 'react'
import { type SheetId, sheetOf } from '@/core/sheets'
import type { Lays } from '@/core/sheets/sheet'

/** What a sheet lays on the drive line, where that is fetched when the sheet is opened; null until it is here. */
export function useLays(sheet: SheetId): Lays | null {
  const [came, setCame] = useState<{ sheet: SheetId; lays: Lays } | null>(null)
  useEffect(() => {
    let wanted = true
    // Without the server nothing is laid down: the sheet itself says that a piece of the app is missing.
    sheetOf(sheet)
      .overlayLater?.()
      .then(
        lays => wanted && setCame({ sheet, lays }),
        () => undefined,
      )
    return () => {
      wanted = false
    }
  }, [sheet])
  return came?.sheet === sheet ? came.lays : null
}
