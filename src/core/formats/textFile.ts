/** How letters may stand in a file that is not Unicode, as whoever saved it may know them. */
export const ENCODINGS = {
  'windows-1252': 'Western European',
  'windows-1250': 'Central European',
  'windows-1251': 'Cyrillic',
  'windows-1253': 'Greek',
} as const
export type Encoding = keyof typeof ENCODINGS

/** A file that is no text, or a damaged one. */
export class TextFileError extends Error {
  override name = 'TextFileError'
}

/** A file whose letters can be read in several ways: somebody has to say which. */
export class UnsureTextError extends TextFileError {
  override name = 'UnsureTextError'
  constructor(
    /** A line of it that has such letters, as each way reads it. */
    readonly samples: Readonly<Partial<Record<Encoding, string>>>,
  ) {
    super(
      `The file is not in Unicode, and its letters can be read in several ways: ${Object.entries(samples)
        .map(([encoding, sample]) => `${encoding} “${sample}”`)
        .join(', ')}.`,
    )
  }
}

/** So much of a line shows which way is right. */
const SAMPLE_LENGTH = 60
/** So much of a file tells whether it has two bytes a letter. */
const LOOKED_AT = 4096

/**
 * The text of a file: Unicode with and without its mark, or as it is said to be. No letter is lost in silence.
 *
 * @param encoding of a file that is not Unicode, once somebody has said which
 * @throws UnsureTextError with a sample of each way, where nothing in the file says which it is
 * @throws TextFileError where it is no text, or torn
 * @example decodeText(new Uint8Array([0xef, 0xbb, 0xbf, 0x4d])) // 'M'
 */
export function decodeText(bytes: Uint8Array, encoding?: Encoding): string {
  const wide = wideEncoding(bytes)
  if (wide) {
    const text = decoded(bytes, wide)
    if (text === null) throw new TextFileError('The file is torn: it ends in the middle of a letter.')
    return whole(text)
  }
  if (bytes.subarray(0, LOOKED_AT).includes(0))
    throw new TextFileError('Got a file that is no text, takes one that a text editor can open.')
  const unicode = decoded(bytes, 'utf-8')
  if (unicode !== null) return whole(unicode)
  if (encoding) {
    const text = decoded(bytes, encoding)
    if (text === null) throw new TextFileError(`The file has letters that ${encoding} does not have.`)
    return text
  }
  const line = firstOddLine(bytes)
  // A way that has not every letter of the file is none.
  const ways = Object.keys(ENCODINGS).filter(one => decoded(bytes, one) !== null)
  throw new UnsureTextError(
    Object.fromEntries(ways.map(one => [one, (decoded(line, one) ?? '').trim().slice(0, SAMPLE_LENGTH)])),
  )
}

/** The text of bytes; null where they are none in that encoding. */
function decoded(bytes: Uint8Array, encoding: string): string | null {
  try {
    return new TextDecoder(encoding, { fatal: true }).decode(bytes)
  } catch {
    return null
  }
}

/** Two bytes a letter: by its mark, or by every other byte of what is mostly plain letters being none. */
function wideEncoding(bytes: Uint8Array): 'utf-16le' | 'utf-16be' | null {
  const [first, second] = bytes
  if (first === 0xff && second === 0xfe) return 'utf-16le'
  if (first === 0xfe && second === 0xff) return 'utf-16be'
  const looked = bytes.subarray(0, LOOKED_AT)
  const zeros = [0, 0]
  looked.forEach((byte, index) => {
    if (byte === 0) zeros[index % 2] = (zeros[index % 2] ?? 0) + 1
  })
  const [even = 0, odd = 0] = zeros
  const many = looked.length / 5
  if (odd > many && even === 0) return 'utf-16le'
  return even > many && odd === 0 ? 'utf-16be' : null
}

/** A text in which no letter was lost on its way here. @throws TextFileError that says in which line one was */
function whole(text: string): string {
  const at = text.indexOf('\ufffd')
  if (at < 0) return text
  throw new TextFileError(
    `Line ${text.slice(0, at).split(/\r\n|\r|\n/).length} has a sign in place of a letter that was lost when the file was last saved (“${text
      .slice(Math.max(0, at - 20), at + 20)
      .replace(/\s+/g, ' ')
      .trim()}”): save it as Unicode from where it came.`,
  )
}

/** The first line with a byte that is no plain letter. */
function firstOddLine(bytes: Uint8Array): Uint8Array {
  const at = bytes.findIndex(byte => byte > 127)
  const isEnd = (byte: number | undefined) => byte === 10 || byte === 13
  let from = at
  while (from > 0 && !isEnd(bytes[from - 1]) && at - from < SAMPLE_LENGTH / 2) from--
  let to = at
  while (to < bytes.length && !isEnd(bytes[to])) to++
  return bytes.subarray(from, to)
}
