/** The name of the error when a piece of the app could not be fetched, even at a second try. */
export const MISSING_PIECE = 'ChunkLoadError'

/** What that means, for whoever sees it. */
export const MISSING_PIECE_WORDS = {
  title: 'A piece of the app did not come',
  why: 'The connection was interrupted, or the app was renewed meanwhile.',
}
