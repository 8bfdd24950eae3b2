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
