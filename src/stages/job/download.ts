/** Hands a text or bytes to the builder as a file. */
export function download(name: string, content: BlobPart, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }))
  const link = Object.assign(document.createElement('a'), { href: url, download: name })
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/**
 * A file name out of a job's name: letters without their accents, digits and dashes.
 *
 * @example fileName('Skarrow 8', 'json') // 'skarrow-8.json'
 */
export const fileName = (name: string, ending: string): string =>
  `${
    name
      .normalize('NFKD')
      .replace(/\p{M}/gu, '')
      .replace(/[^A-Za-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .toLowerCase() || 'job'
  }.${ending}`
