/** Whether a text is a moment that there is: February has no 31st. */
export const isMoment = (value: unknown): boolean =>
  typeof value === 'string' &&
  /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?Z$/.test(value) &&
  !Number.isNaN(Date.parse(value)) &&
  new Date(value).toISOString().slice(0, 19) === value.slice(0, 19)

/** Whether a text is a day that there is. */
export const isDay = (value: unknown): boolean =>
  typeof value === 'string' && /^\d{4}-\d\d-\d\d$/.test(value) && isMoment(`${value}T00:00:00Z`)
