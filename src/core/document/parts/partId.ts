/**
 * An id for a part that comes without one, made of its name.
 *
 * @param taken ids that other parts have
 * @example idFor('Ball screw, from the attic', new Set()) // 'own-ball-screw-from-the-attic'
 */
export function idFor(name: string, taken: ReadonlySet<string>): string {
  const words = name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 44)
  const base = `own-${words}`.replace(/-+$/, '')
  let id = base
  for (let n = 2; taken.has(id); n++) id = `${base}-${n}`
  return id
}
