import type { PartKind } from '@/core/document/kinds'
import type { Stage } from '@/core/document/stages'
import type { SheetId } from '@/core/sheets'

/** Pages of a job that are printed, not stages. */
const PAPERS = ['record', 'worksheet', 'evening', 'alignment', 'handover', 'cutPart'] as const
export type Paper = (typeof PAPERS)[number]
export const MACHINE = 'machine'
export const PART = 'part'
export const FOR = 'for'

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
/** The address of a place as far as it is known: where the sheet is left out, the screen opens with the first of its stage. */
export function addressAsKnown({ jobId, axisId, stage, sheet, part, asked: wanted }: Place): string {
  const job = `/job/${encodeURIComponent(jobId)}`
  const of = sheet ? `/${sheet}` : ''
  if (stage === MACHINE) return `${job}/${MACHINE}${of}`
  if (!axisId) return job
  const axis = `${job}/${encodeURIComponent(axisId)}/${stage}`
  if (isPaper(stage)) return wanted ? `${axis}?${FOR}=${encodeURIComponent(wanted)}` : axis
  return `${axis}${of}${part ? `?${PART}=${encodeURIComponent(`${part.kind}:${part.id}`)}` : ''}`
}
