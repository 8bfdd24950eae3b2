import { usePathname, useSearchParams } from 'next/navigation'
import { PART_KINDS, type PartKind } from '@/core/document/kinds'
import { STAGES, type Stage } from '@/core/document/stages'
import { firstSheet, type SheetId, sheetsOf } from '@/core/sheets'
import { addressAsKnown, FOR, isPaper, MACHINE, PART, type Place } from './address'

const isStage = (text: string | undefined): text is Stage =>
  (STAGES as readonly string[]).includes(text ?? '')

/** The sheet of a stage by its id; none where the stage has no such sheet. */
const sheetIn = (stage: Stage, id: string | undefined): SheetId | null =>
  sheetsOf(stage).find(sheet => sheet.id === id)?.id ?? null

/** The address of a place. */
export const addressOf = (place: Place): string =>
  addressAsKnown(isPaper(place.stage) ? place : { ...place, sheet: place.sheet ?? firstSheet(place.stage) })

/** The place that an address names; null outside a job. What it leaves out, or has wrong, is none. */
export function placeAt(path: string): Place | null {
  const [, root, jobId, second, third, fourth] = path.split('/').map(decodeURIComponent)
  if (root !== 'job' || !jobId) return null
  // An axis could be called so too, in a file from elsewhere: its stages tell it apart.
  if (second === MACHINE && !isStage(third) && !isPaper(third))
    return { jobId, axisId: null, stage: MACHINE, sheet: sheetIn(MACHINE, third) }
  const stage = isStage(third) || isPaper(third) ? third : 'survey'
  return {
    jobId,
    axisId: second ?? null,
    stage,
    sheet: isPaper(stage) ? null : sheetIn(stage, fourth),
  }
}

/** The place that the address bar names; null outside a job. */
export const usePlace = (): Place | null => placeAt(usePathname() ?? '')

/** The part that the address asks to look at, with its kind. */
export function useAskedPart(): { kind: PartKind; id: string } | null {
  const [kind, ...id] = (useSearchParams()?.get(PART) ?? '').split(':')
  const known = PART_KINDS.find(one => one === kind)
  return known ? { kind: known, id: id.join(':') } : null
}

/** What the address asks a paper for. */
export const useAskedFor = (): string | null => useSearchParams()?.get(FOR) ?? null

let wanted: string | null = null

/** The field of a sheet by its name, to type in. */
const fieldIn = (box: ParentNode, field: string) =>
  box.querySelector<HTMLElement>(`[data-field="${CSS.escape(field)}"] :is(input, select)`)

/** A sheet that has not come by then was cut off, or has no such field. */
const COMES_WITHIN_MS = 5000

/**
 * Puts the keyboard into the field that was asked for: at once, or as soon as its sheet has come, unless the builder has
 * gone on to another one meanwhile. Tells whether it is there.
 */
export function focusWanted(box: Node & ParentNode): boolean {
  const name = wanted
  wanted = null
  if (name === null) return false
  const field = fieldIn(box, name)
  field?.focus()
  if (field) return true
  const watch = new MutationObserver(() => {
    const come = fieldIn(box, name)
    if (!come) return
    watch.disconnect()
    if (!document.activeElement?.matches('input, select, textarea')) come.focus()
  })
  watch.observe(box, { childList: true, subtree: true })
  setTimeout(() => watch.disconnect(), COMES_WITHIN_MS)
  return false
}

/** Goes to a place without asking the server for anything. */
export function go(place: Place): void {
  const address = addressOf(place)
  wanted = place.field ?? null
  if (address !== window.location.pathname + window.location.search)
    window.history.pushState(null, '', address)
  else focusWanted(document)
}
