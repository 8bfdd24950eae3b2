/** Dusk for the shed, day for sunlight. */
export type Scheme = 'dusk' | 'day'

/** Under this name the browser keeps the chosen scheme, for its pages and, as a cookie, for the server. */
export const SCHEME_KEY = 'dusk-scheme'

/** The scheme that a text names, if it names one. */
export const schemeIn = (text: string | undefined): Scheme | undefined =>
  text === 'dusk' || text === 'day' ? text : undefined

/** Tells the server, for the next page's first frame. */
export function rememberScheme(scheme: Scheme): void {
  // biome-ignore lint/suspicious/noDocumentCookie: the one other way is not to be had over plain http
  document.cookie = `${SCHEME_KEY}=${scheme}; path=/; max-age=31536000; samesite=strict`
}
