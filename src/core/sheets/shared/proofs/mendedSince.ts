/** A search for a fault, as far as its end goes. */
interface Search {
  mended: string | null
  finishedAt: string | null
}

/** When something was last mended on an axis by its searches; readings from before it say nothing any more. */
export const mendedSince = ({ faultSearches }: { faultSearches: readonly Search[] }): string | null =>
  faultSearches.filter(({ mended }) => mended !== null).at(-1)?.finishedAt ?? null
