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

/** Puts the keyboard into the field that was asked for, if this sheet has it; tells whether it has. */
export function focusWanted(box: ParentNode): boolean {
  const field = wanted === null ? null : fieldIn(box, wanted)
  wanted = null
  field?.focus()
  return field !== null
}

/** Goes to a place without asking the server for anything. */
export function go(place: Place): void {
  const address = addressOf(place)
  wanted = place.field ?? null
  if (address !== window.location.pathname + window.location.search)
    window.history.pushState(null, '', address)
  else focusWanted(document)
}
