/** The fonts that go into a PDF, the app's own first; then letters of other scripts. They are fetched when one is made. */
const FILES = [
  new URL(
    '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-400-normal.woff',
    import.meta.url,
  ),
  new URL(
    '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-ext-400-normal.woff',
    import.meta.url,
  ),
  new URL('@fontsource/noto-sans/files/noto-sans-latin-ext-400-normal.woff', import.meta.url),
  new URL('@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff', import.meta.url),
  new URL('@fontsource/noto-sans/files/noto-sans-cyrillic-400-normal.woff', import.meta.url),
  new URL('@fontsource/noto-sans/files/noto-sans-vietnamese-400-normal.woff', import.meta.url),
  new URL('@fontsource/noto-sans/files/noto-sans-devanagari-400-normal.woff', import.meta.url),
]

/** @throws Error when a font cannot be had */
export const pdfFonts = (): Promise<Uint8Array[]> =>
  Promise.all(
    FILES.map(async url => {
      const answer = await fetch(url)
      if (!answer.ok) throw new Error(`the font for it did not come (${answer.status})`)
      return new Uint8Array(await answer.arrayBuffer())
    }),
  )
