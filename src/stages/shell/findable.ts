import type { Axis } from '@/core/document/axis'
import { PART_KINDS } from '@/core/document/kinds'
import { STAGE_WORDS } from '@/core/document/stages'
import type { EvaluationContext } from '@/core/evaluation/context'
import { type Finding, STATE_WORDS } from '@/core/evaluation/finding'
import { SHEETS } from '@/core/sheets'
import { registry } from '@/core/sheets/registry'
import type { JobRow } from '@/store/database'
import type { Action } from '@/ui/frame/Palette'
import type { Place } from '../job/address'
import { KIND_WORDS } from '../job/kindWords'
import { addressOf, go } from '../job/place'

interface Findable {
  context: EvaluationContext
  findings: readonly Finding[]
  axes: readonly Pick<Axis, 'id' | 'name' | 'title'>[]
  jobs: readonly Pick<JobRow, 'id' | 'job' | 'deletedAt'>[]
  place: Place & { axisId: string }
}

/** All that can be gone to by its name: sheets, verdicts, parts, calculations, jobs. */
export function findable({ context, findings, jobs, place }: Findable): Action[] {
  const { jobId, axisId } = place
  const { catalogue, axis } = context
  return [
    ...SHEETS.map(
      ({ id, stage, title }): Action => ({
        id: `sheet-${id}`,
        group: 'Sheets',
        label: `${title}, ${STAGE_WORDS[stage].label}`,
        run: () => go({ jobId, axisId, stage, sheet: id }),
      }),
    ),
    ...findings.map(
      ({ checkId, title, state, stage, sheet }): Action => ({
        id: `verdict-${checkId}`,
        group: `Verdicts of axis ${axis.name}`,
        label: `${title}: ${STATE_WORDS[state].toLowerCase()}`,
        run: () => go({ jobId, axisId, stage, sheet }),
      }),
    ),
    ...PART_KINDS.flatMap(kind =>
      [...catalogue[kind].values()].map(
        ({ id, name }): Action => ({
          id: `part-${kind}-${id}`,
          group: 'Parts',
          label: `${name}, ${KIND_WORDS[kind].toLowerCase()}`,
          run: () => go({ jobId, axisId, stage: 'size', sheet: 'parts', part: { kind, id } }),
        }),
      ),
    ),
    ...[...registry.values()].map(
      ({ id, title }): Action => ({
        id: `calculation-${id}`,
        group: 'Calculations',
        label: title,
        run: () => window.location.assign(`/reference#${encodeURIComponent(id)}`),
      }),
    ),
    ...jobs
      .filter(row => !row.deletedAt && row.id !== jobId)
      .map(
        (row): Action => ({
          id: `job-${row.id}`,
          group: 'Jobs',
          label: row.job.name,
          run: () =>
            window.location.assign(
              addressOf({ jobId: row.id, axisId: row.job.axes[0]?.id ?? null, stage: 'survey' }),
            ),
        }),
      ),
  ]
}
