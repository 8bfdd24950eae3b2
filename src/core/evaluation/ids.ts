// What sheets, checks and limits there are is written into these by the lists that are derived from the folders of the
// sheets; a misspelt id does not compile, from the check to the card.

// biome-ignore lint/suspicious/noEmptyInterface: filled by sheets.generated.ts
export interface SheetIds {}
// biome-ignore lint/suspicious/noEmptyInterface: filled by sheets.generated.ts
export interface CheckIds {}
// biome-ignore lint/suspicious/noEmptyInterface: filled by sheets.generated.ts
export interface LimitKeys {}

export type SheetId = keyof SheetIds
export type CheckId = keyof CheckIds
export type LimitKey = keyof LimitKeys

/** The names of a record, in its order, with their type. @example keysOf({ a: 1 }) // ['a'] */
export const keysOf = <K extends string>(record: Readonly<Partial<Record<K, unknown>>>): K[] =>
  Object.keys(record) as K[]
