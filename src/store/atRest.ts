const busy = new Set<() => Promise<boolean>>()

/**
 * Notes something that may hold what is not saved yet.
 *
 * @param settle saves it; resolves to whether all of it is saved
 * @returns takes the note back
 */
export function noteBusy(settle: () => Promise<boolean>): () => void {
  busy.add(settle)
  return () => void busy.delete(settle)
}

/** Saves what waits in this tab; resolves to whether all of it is saved. */
export async function settleAll(): Promise<boolean> {
  const settled = await Promise.all([...busy].map(settle => settle()))
  return settled.every(Boolean)
}
