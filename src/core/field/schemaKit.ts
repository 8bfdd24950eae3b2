import { array, boolean, lazy, mixed, number, type ObjectShape, object, type Schema, string } from 'yup'

// Pieces that schemas are put together from; each says which field is wrong, what was got and what is taken.

/** A message that says which field, what was got and what is accepted. */
export const gotAndTakes =
  (takes: string) =>
  ({ path, value }: { path: string; value?: unknown }) => {
    const got = value === undefined ? 'nothing' : JSON.stringify(value)
    return `${path || 'the file'}: got ${got.length > 60 ? `${got.slice(0, 57)}...` : got}, takes ${takes}`
  }

export const shape = (fields: ObjectShape): Schema => {
  const takes = gotAndTakes(`an object with ${Object.keys(fields).join(', ')}`)
  return object(fields)
    .noUnknown(
      ({ path, unknown }) =>
        `${path || 'the file'}: got the unknown field ${unknown}, takes ${Object.keys(fields).join(', ')}`,
    )
    .strict()
    .default(undefined)
    .typeError(takes)
    .nonNullable(takes)
    .required(takes) as unknown as Schema
}
export const listOf = (item: Schema, most: number) => {
  const takes = gotAndTakes(`a list of at most ${most}`)
  return array(item).strict().typeError(takes).required(takes).max(most, takes)
}
export const numeric = (min: number, max: number) => {
  const takes = gotAndTakes(`a number from ${min} to ${max}`)
  return number().strict().typeError(takes).required(takes).min(min, takes).max(max, takes)
}
export const wholeNumber = (min: number, max: number) => {
  const takes = gotAndTakes(`a whole number from ${min} to ${max}`)
  return number().strict().typeError(takes).required(takes).integer(takes).min(min, takes).max(max, takes)
}
export const orNull = (min: number, max: number) => {
  const takes = gotAndTakes(`a number from ${min} to ${max}, or null`)
  return number().strict().nullable().typeError(takes).defined(takes).min(min, takes).max(max, takes)
}
export const text = (most: number) => {
  const takes = gotAndTakes(`a text of 1 to ${most} characters`)
  return string().strict().typeError(takes).required(takes).max(most, takes)
}
export const textOrNull = (most: number) => {
  const takes = gotAndTakes(`a text of at most ${most} characters, or null`)
  return string().strict().nullable().typeError(takes).defined(takes).max(most, takes)
}
export const oneOf = (values: readonly (string | number)[]) => {
  const takes = gotAndTakes(`one of ${values.join(', ')}`)
  return mixed()
    .required(takes)
    .oneOf([...values], takes)
}
export const yesNo = () => {
  const takes = gotAndTakes('true or false')
  return boolean().strict().typeError(takes).required(takes)
}
export const moment = () => {
  const takes = gotAndTakes('a date and time such as 2026-11-02T18:30:00.000Z')
  return text(30).matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?Z$/, takes)
}
export const momentOrNull = () =>
  lazy(value => (value === null ? mixed().nullable() : moment())) as unknown as Schema

export const fields = <T extends object>(facts: T, of: (key: keyof T) => Schema) =>
  shape(Object.fromEntries(Object.keys(facts).map(key => [key, of(key as keyof T)])))
