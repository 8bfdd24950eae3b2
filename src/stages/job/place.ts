import { usePathname } from 'next/navigation'
import { STAGES, type Stage } from '@/core/document/stages'
import type { SheetId } from '@/core/sheets'

/** Pages of a job that are printed, not stages. */
const PAPERS = ['record', 'worksheet'] as const

/** Where in a job the screen is. */
export interface Place {
  jobId: string
  axisId: string | null
  stage: Stage | (typeof PAPERS)[number]
}

const isStage = (text: string | undefined): text is Place['stage'] =>
  (PAPERS as readonly string[]).includes(text ?? '') || (STAGES as readonly string[]).includes(text ?? '')

/** The address of a place. */
export const addressOf = ({ jobId, axisId, stage }: Place): string =>
  `/job/${encodeURIComponent(jobId)}${axisId ? `/${encodeURIComponent(axisId)}/${stage}` : ''}`

/** The place that the address bar names; null outside a job. */
export function usePlace(): Place | null {
  const [, root, jobId, axisId, stage] = (usePathname() ?? '').split('/').map(decodeURIComponent)
  if (root !== 'job' || !jobId) return null
  return { jobId, axisId: axisId ?? null, stage: isStage(stage) ? stage : 'survey' }
}

/** Goes to a place without asking the server for anything. */
export const go = (place: Place): void => window.history.pushState(null, '', addressOf(place))

/** Where a sheet stands on its stage, to go to it. */
export const sheetPlace = (sheet: SheetId): string => `sheet-${sheet}`

/** Brings a sheet into sight, as soon as its stage is there. */
export function goToSheet(sheet: SheetId): void {
  const goOn = (triesLeft: number) => {
    const place = document.getElementById(sheetPlace(sheet))
    if (place) place.scrollIntoView({ block: 'start' })
    else if (triesLeft > 0) requestAnimationFrame(() => goOn(triesLeft - 1))
  }
  goOn(60)
}
