/**
 * Sets one field of a record of a draft; where there is no record yet, nothing is set.
 *
 * @example setIn(draft.cable, 'roomMm', 60)
 */
export function setIn<T extends object, K extends keyof T>(
  record: T | null | undefined,
  key: K,
  value: T[K],
): void {
  if (record) record[key] = value
}
