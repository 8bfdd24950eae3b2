import { fieldsIn } from './useDraft'

/** What a gauge that types like a keyboard begins a reading with. */
const BEGINS = /^[\d+\-.,]$/

/** A gauge types its line at once: what comes later is somebody's hand. */
const LINE_MS = 1500

const takesKeys = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.matches('textarea, select, input:not([type="checkbox"], [type="radio"], [type="range"])') ||
    target.isContentEditable)

/** Whether a table of readings stands on the sheet, or the one reading that a test asks for next. */
const isRead = () =>
  document.querySelector(
    '#sheet :is([data-turn] input[data-quantity="smallLength"], [data-next-reading] input)',
  ) !== null

/** The reading whose turn it is: the next one of a test, or the first empty one of the tables. */
function nextReading(): HTMLInputElement | undefined {
  const asked = document.querySelector<HTMLInputElement>('#sheet [data-next-reading] input')
  if (asked) return asked
  return [...document.querySelectorAll<HTMLElement>('#sheet [data-readings]')]
    .flatMap(fieldsIn)
    .find(({ value, dataset, parentElement }) =>
      value === '' && dataset.quantity === 'smallLength' ? parentElement?.closest('[data-turn]') : false,
    )
}

/**
 * Lets a gauge that types like a keyboard be read with no field in hand: its figure goes to the reading whose turn it is.
 * Where none is left, what it types is kept from the buttons that Enter would press, and told.
 *
 * @param onLost is given what was typed and went nowhere
 * @returns ends it
 */
export function watchGaugeKeys(onLost: (typed: string) => void): () => void {
  let lost: string | null = null
  let lastAt = 0
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.timeStamp - lastAt > LINE_MS) lost = null
    lastAt = event.timeStamp
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return
    if (takesKeys(event.target) || document.querySelector('[role="dialog"]')) {
      lost = null
      return
    }
    if (lost === null && (!BEGINS.test(event.key) || !isRead())) return
    const field = lost === null ? nextReading() : undefined
    if (field) {
      // The key itself goes where the keyboard is once this was answered.
      field.focus()
      return
    }
    event.preventDefault()
    event.stopImmediatePropagation()
    if (event.key === 'Enter' || event.key === 'Tab') {
      onLost(lost ?? '')
      lost = null
    } else if (event.key === 'Escape') lost = null
    else if (event.key.length === 1) lost = (lost ?? '') + event.key
  }
  window.addEventListener('keydown', onKeyDown, true)
  return () => window.removeEventListener('keydown', onKeyDown, true)
}
