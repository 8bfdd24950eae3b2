import { type KeyboardEvent, useEffect, useRef, useState } from 'react'
import { parseQuantity } from '@/core/units/parse'
import { printField, say } from '@/core/units/print'
import type { QuantityKind, Unit, UnitSystem } from '@/core/units/quantity'

export interface QuantityRules {
  kind: QuantityKind
  units: UnitSystem
  min: number
  max: number
  /** What a figure without a unit is in, where that is another unit than the job's. */
  typedIn?: Unit
  /** Whether the field may be left empty. */
  optional?: boolean
  /** An emptied field counts only when it is left: where that takes a row away from under the typing hand. */
  clearOnLeave?: boolean
  /** Whether typing what stands there already counts, as where it says that an assumed figure was measured. */
  confirms?: boolean
}

type Reading = { ok: true; value: number | null } | { ok: false; message: string }

/** Reads a typed text against the rules of a field. */
export function readDraft(
  text: string,
  { kind, units, typedIn, min, max, optional }: QuantityRules,
): Reading {
  if (text.trim() === '' && optional) return { ok: true, value: null }
  const parsed = parseQuantity(text, kind, units, typedIn)
  if (!parsed.ok) return parsed
  if (parsed.value < min || parsed.value > max)
    return {
      ok: false,
      message: `Got ${say(parsed.value, kind, units)}. Takes ${say(min, kind, units)} to ${say(max, kind, units)}.`,
    }
  return parsed
}

let focusCount = 0

/**
 * The text of a quantity field while it is typed in.
 *
 * Every readable value is passed on at once, so that verdicts follow the keys and a closed tab loses nothing;
 * what cannot be read stays as typed, with its error beside it. All passing-on of one visit to the field
 * shares a merge key, so that one undo takes it back. When another tab changes the value meanwhile, nothing is
 * passed on until the builder has decided.
 */
export function useDraft(
  value: number | null,
  rules: QuantityRules,
  onValue: (value: number | null, mergeKey: string) => void,
) {
  const shown = value === null ? '' : printField(value, rules.kind, rules.units, rules.typedIn)
  const [draft, setDraft] = useState<string | null>(null)
  const [message, setMessage] = useState<string | null>(null)
  const [elsewhere, setElsewhere] = useState(false)
  const [followed, setFollowed] = useState(0)
  const passed = useRef(value)
  const held = useRef(value)
  const mergeKey = useRef('')
  const typed = useRef(false)

  useEffect(() => {
    if (draft === null) {
      passed.current = value
      return
    }
    if (Object.is(passed.current, value)) return
    if (!typed.current) {
      // Nothing typed yet: follow the other tab.
      passed.current = value
      setDraft(printIfAny(value, rules))
      setFollowed(count => count + 1)
    } else setElsewhere(true)
  }, [value, draft, rules])

  const pass = (text: string) => {
    const reading = readDraft(text, rules)
    // Half a number that turned out to be none is taken back: "12" on the way to "12 furlongs".
    put(reading.ok ? reading.value : held.current)
    return reading
  }
  /** Typing the figure that stands there says that it is so. */
  const confirm = () => {
    if (rules.confirms && typed.current && value !== null) onValue(value, mergeKey.current)
    typed.current = false
  }
  const put = (next: number | null) => {
    if (Object.is(next, passed.current)) return
    passed.current = next
    onValue(next, mergeKey.current)
  }

  return {
    /** Whether it is being typed in. */
    isOpen: draft !== null,
    text: draft ?? shown,
    message: elsewhere
      ? `Another tab set this to ${value === null ? 'nothing' : say(value, rules.kind, rules.units)} meanwhile. Enter puts yours in, Escape keeps theirs.`
      : message,
    /** The value as far as it can be read, for showing it in the other unit. */
    reading: draft === null ? ({ ok: true, value } as Reading) : readDraft(draft, rules),
    focus() {
      focusCount += 1
      mergeKey.current = `field-${Date.now()}-${focusCount}`
      passed.current = value
      held.current = value
      // What was left unreadable is still the builder's when he comes back to it.
      typed.current = draft !== null
      setDraft(previous => previous ?? shown)
    },
    type(text: string) {
      typed.current = true
      setDraft(text)
      setMessage(null)
      if (elsewhere || text === shown || (rules.clearOnLeave && text.trim() === '')) return
      pass(text)
    },
    /** A key that types something, also where the text comes out the same and no change is told. */
    touch() {
      typed.current = true
    },
    /** Leaves the field: a readable draft becomes the printed value, an unreadable one stays with its error. */
    leave() {
      if (draft === null || elsewhere) return
      const reading = draft === shown ? ({ ok: true, value } as Reading) : pass(draft)
      if (draft === shown) confirm()
      if (reading.ok) setDraft(null)
      setMessage(reading.ok ? null : reading.message)
    },
    /** Enter: settles the field; true when it is fine to go on to the next one. */
    enter(): boolean {
      if (draft === null) return true
      passed.current = value
      const reading = draft === shown ? ({ ok: true, value } as Reading) : pass(draft)
      if (draft === shown) confirm()
      setElsewhere(false)
      setMessage(reading.ok ? null : reading.message)
      if (reading.ok) setDraft(null)
      return reading.ok
    },
    /** Puts back what the field held when it was entered, or what another tab has set since. */
    escape() {
      passed.current = value
      if (elsewhere) setDraft(shown)
      else {
        put(held.current)
        setDraft(printIfAny(held.current, rules))
      }
      typed.current = false
      setMessage(null)
      setElsewhere(false)
    },
    /** Counts how often another tab changed what stands in the field before anything was typed. */
    followed,
  }
}

const printIfAny = (value: number | null, rules: QuantityRules) =>
  value === null ? '' : printField(value, rules.kind, rules.units, rules.typedIn)

/** When a reading's turn comes in the procedure; in the order of the page where none is said. */
const turnOf = (field: HTMLElement) => Number(field.closest<HTMLElement>('[data-turn]')?.dataset.turn ?? 0)

export const fieldsIn = (group: ParentNode): HTMLInputElement[] =>
  [...group.querySelectorAll<HTMLInputElement>('input[data-quantity]:not(:disabled)')].toSorted(
    (a, b) => turnOf(a) - turnOf(b),
  )

/**
 * Moves to the next reading of the group that a field stands in. After the last one, or once the group has as many as it asks
 * for, it goes to the first that is empty of the groups after it; where there is none, it goes on; the last reading of all is left.
 */
export function focusNext(event: KeyboardEvent<HTMLInputElement>): void {
  const field = event.currentTarget
  const group = field.closest<HTMLElement>('[data-readings]')
  const fields = fieldsIn(group ?? document)
  const next = fields[fields.indexOf(field) + 1]
  const enough = Number(group?.dataset.enough ?? Number.POSITIVE_INFINITY)
  // Another column that is full is not gone over again.
  const inTable = field.closest('[data-cell]') !== null
  const goesOn = next && (!inTable || turnOf(next) === turnOf(field) || next.value === '')
  if (goesOn && turnOf(next) < enough) {
    next.focus()
    return
  }
  const groups = [...document.querySelectorAll<HTMLElement>('#sheet [data-readings]')]
  const after = group ? groups.slice(groups.indexOf(group) + 1) : []
  const empty = after.flatMap(fieldsIn).find(({ value }) => value === '')
  const onward = empty ?? (group?.dataset.enough ? next : undefined)
  if (onward) onward.focus()
  // After the last of all a gauge that types goes on over nothing: see watchGaugeKeys.
  else if (turnOf(field) > 0) field.blur()
}
