/** Where readings are typed: the next one of a test, cells of a table, else any field of the sheet's readings. */
const PLACES = [
  '#sheet [data-next-reading] input',
  '#sheet [data-enough] input[data-quantity]:not(:disabled)',
  '#sheet [data-cell] input[data-quantity]:not(:disabled)',
  '#sheet [data-readings] input[data-quantity]:not(:disabled)',
]
const TRIES = 60
/** What folds and comes up around a sheet that was just begun has done so by then. */
const SETTLED_FRAMES = 30

/** Gives the keyboard to the first reading that is empty, once the sheet that was just begun stands there. */
export function focusFirstReading(tries = TRIES): void {
  requestAnimationFrame(() => {
    for (const place of PLACES) {
      const turnOf = (field: HTMLInputElement) =>
        Number(field.closest<HTMLElement>('[data-turn]')?.dataset.turn ?? 0)
      const [empty] = [...document.querySelectorAll<HTMLInputElement>(place)]
        .filter(({ value }) => value === '')
        .toSorted((a, b) => turnOf(a) - turnOf(b))
      if (empty) {
        empty.focus()
        return keepInSight(empty)
      }
    }
    if (tries > 0) focusFirstReading(tries - 1)
  })
}

/** What folds or comes up beside a field that has the keyboard must not push it out of sight. */
function keepInSight(field: HTMLElement, frames = SETTLED_FRAMES): void {
  if (frames === 0 || document.activeElement !== field) return
  field.scrollIntoView({ block: 'nearest' })
  requestAnimationFrame(() => keepInSight(field, frames - 1))
}
