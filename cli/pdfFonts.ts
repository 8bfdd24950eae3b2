import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'

const resolve = createRequire(`${process.cwd()}/package.json`).resolve
const face = (family: string, letters: string) =>
  resolve(`@fontsource/${family}/files/${family}-${letters}-400-normal.woff`)

/** The fonts that go into a PDF, in the order in which the app asks them for a letter. */
export const pdfFonts = (): Uint8Array[] =>
  [
    face('atkinson-hyperlegible', 'latin'),
    face('atkinson-hyperlegible', 'latin-ext'),
    ...['latin-ext', 'greek', 'cyrillic', 'vietnamese', 'devanagari'].map(letters =>
      face('noto-sans', letters),
    ),
  ].map(path => new Uint8Array(readFileSync(path)))
