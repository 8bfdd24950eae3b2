/** A file name of every system has room for this and an id. */
const LONGEST_NAME = 60
/** Names that one of the systems keeps for its devices. */
const TAKEN = /^(con|prn|aux|nul|com\d|lpt\d)$/

/** Letters of any script, Latin ones without their accents, digits and dashes. */
const plain = (words: string) =>
  Array.from(
    words
      .normalize('NFKD')
      .replace(/(?<=\p{Script=Latin})\p{M}+/gu, '')
      .normalize('NFC')
      .replace(/[^\p{L}\p{M}\p{N}]+/gu, '-')
      .toLowerCase(),
  )
    .slice(0, LONGEST_NAME)
    .join('')
    .replace(/^-+|-+$/g, '')

/**
 * A file name out of what a file is about: of machine, axis and thing, whatever script they are written in.
 *
 * @example fileName('Skarrow 8', 'json') // 'skarrow-8.json'
 * @example fileName('Фрезерный станок, X', 'dxf') // 'фрезерный-станок-x.dxf'
 */
export function fileName(about: string, ending: string): string {
  const name = plain(about) || 'job'
  return `${TAKEN.test(name) ? `${name}-` : name}.${ending}`
}

/**
 * A file name that no other job has: with its whole id, in which capitals are told apart where a system does not.
 *
 * @example fileNameOfJob('Skarrow 8', 'demo-A') // 'skarrow-8-demo-_a.json'
 */
export const fileNameOfJob = (name: string, id: string): string =>
  `${plain(name) || 'job'}-${id.replace(/[^a-z0-9-]/g, sign =>
    /[A-Z]/.test(sign) ? `_${sign.toLowerCase()}` : `_${sign.codePointAt(0)?.toString(16)}_`,
  )}.json`
