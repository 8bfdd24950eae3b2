import { usePathname, useSearchParams } from 'next/navigation'
import { PART_KINDS, type PartKind } from '@/core/document/kinds'
import { STAGES, type Stage } from '@/core/document/stages'
import { firstSheet, type SheetId, sheetsOf } from '@/core/sheets'

/** Pages of a job that are printed, not stages. */
const PAPERS = ['record', 'worksheet', 'evening', 'alignment'] as const
export type Paper = (typeof PAPERS)[number]
const MACHINE = 'machine'
const PART = 'part'
const FOR = 'for'

/** Where in a job the screen is. */
export interface Place {
  jobId: string
  /** None at the place for the whole machine. */
  axisId: string | null
  stage: Stage | Paper
  /** The sheet of the stage; its first one where left out. Paper has none. */
  sheet?: SheetId | null
  /** The field that is wanted there: it has the keyboard as soon as its sheet is open. */
  field?: string
  /** The part to look at, on the sheet of parts. */
  part?: { kind: PartKind; id: string }
  /** What a paper is asked for, such as a sub-assembly. */
  asked?: string
}

/** Whether a place of a job is a page to print. */
export const isPaper = (text: string | undefined): text is Paper =>
  (PAPERS as readonly string[]).includes(text ?? '')
const isStage = (text: string | undefined): text is Stage =>
  (STAGES as readonly string[]).includes(text ?? '')

/** The sheet of a stage by its id; none where the stage has no such sheet. */
const sheetIn = (stage: Stage, id: string | undefined): SheetId | null =>
  sheetsOf(stage).find(sheet => sheet.id === id)?.id ?? null

/** The address of a place. */
export function addressOf({ jobId, axisId, stage, sheet, part, asked: wanted }: Place): string {
  const job = `/job/${encodeURIComponent(jobId)}`
  if (stage === MACHINE) return `${job}/${MACHINE}/${sheet ?? firstSheet(MACHINE)}`
  if (!axisId) return job
  const axis = `${job}/${encodeURIComponent(axisId)}/${stage}`
  if (isPaper(stage)) return wanted ? `${axis}?${FOR}=${encodeURIComponent(wanted)}` : axis
  const asked = part ? `?${PART}=${encodeURIComponent(`${part.kind}:${part.id}`)}` : ''
  return `${axis}/${sheet ?? firstSheet(stage)}${asked}`
}

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
