/**
 * An input that has no meaning: says which one, what was got and what is accepted.
 *
 * @example new InputError('leadMm', 0, 'a number over 0 mm').message // 'leadMm: got 0, takes a number over 0 mm'
 */
export class InputError extends Error {
  constructor(
    readonly input: string,
    readonly got: unknown,
    readonly takes: string,
  ) {
    super(`${input}: got ${show(got)}, takes ${takes}`)
    this.name = 'InputError'
  }
}

function show(value: unknown): string {
  if (value === undefined) return 'nothing'
  if (typeof value === 'number') return String(value)
  const text = JSON.stringify(value) ?? String(value)
  return text.length > 60 ? `${text.slice(0, 57)}...` : text
}
