import { useMemo } from 'react'
import type { Axis } from '@/core/document/axis'
import { onAxis } from '@/core/document/edits'
import { newId } from '@/core/document/id'
import type { Job } from '@/core/document/job'
import { blankRow, type RowsField } from '@/core/field/field'
import type { RowActions } from '@/ui/table/RowsTable'
import { useEdit, useJob } from './JobContext'
import { useAxis, useAxisNow } from './useAxis'

/** A table with its rows, and what can be done with them. */
export interface Rows<R extends { id: string }> extends RowActions<R> {
  of: RowsField<R>
  rows: readonly R[]
}

/** Rows that something was typed into, each with what. */
type Typed = (
  rows: readonly { id: string }[],
) => readonly (readonly [id: string, part: Record<string, unknown>])[]
type Make = (label: string, run: (rows: never[]) => void, mergeKey?: string, typed?: Typed) => void

/** What can be done with the rows of a table, by a way to edit them. */
export function rowActions<R extends { id: string }>(
  of: RowsField<R>,
  make: Make,
  fresh?: (rows: readonly R[]) => Partial<R>,
): RowActions<R> {
  const name = of.label
  const change = (label: string, run: (rows: R[]) => void, mergeKey?: string, typed?: Typed) =>
    make(label, run as (rows: never[]) => void, mergeKey, typed)
  return {
    onChange: (id, part, mergeKey) =>
      change(
        [...Object.keys(part).map(key => of.of[key]?.label ?? key), name.toLowerCase()].join(', '),
        draft => {
          const row = draft.find(one => one.id === id)
          if (row) Object.assign(row, part)
        },
        mergeKey,
        () => [[id, part]],
      ),
    onAdd: () =>
      change(`${name} added`, draft => {
        draft.push(blankRow(of, newId(), fresh?.(draft)))
      }),
    onFill: (from, filled) => {
      const parts = filled.slice(0, of.most - from)
      change(
        `${name}s pasted`,
        draft => {
          for (const [index, part] of parts.entries()) {
            if (!draft[from + index]) draft.push(blankRow(of, newId(), fresh?.(draft)))
            Object.assign(draft[from + index] as R, part)
          }
        },
        undefined,
        rows => parts.map((part, index) => [rows[from + index]?.id ?? '', part]),
      )
    },
    onRemove: id =>
      change(`${name} taken out`, draft => {
        const place = draft.findIndex(one => one.id === id)
        if (place >= 0) draft.splice(place, 1)
      }),
  }
}

/**
 * The rows of a table of the axis at work, and what a table needs to change them, each by its id. It renders again only
 * when these rows change, whatever other sheets do.
 *
 * @param pick where the rows are; the same function every time
 * @param fresh what a new row starts with besides what its description says
 */
export function useRows<R extends { id: string }>(
  of: RowsField<R>,
  pick: (axis: Axis) => R[],
  fresh?: (rows: readonly R[]) => Partial<R>,
): Rows<R> {
  const rows = useAxis(pick)
  const axisNow = useAxisNow()
  const edit = useEdit()
  const actions = useMemo(
    () =>
      rowActions(
        of,
        (label, run, mergeKey) =>
          edit(onAxis(axisNow(), label, draft => run(pick(draft) as never[]), { mergeKey })),
        fresh,
      ),
    [of, pick, fresh, edit, axisNow],
  )
  return { of, rows, ...actions }
}

/** The same, for rows of the whole job. */
export function useJobRows<R extends { id: string }>(
  of: RowsField<R>,
  pick: (job: Job) => R[],
  fresh?: (rows: readonly R[]) => Partial<R>,
): Rows<R> {
  const rows = useJob(pick)
  const edit = useEdit()
  const actions = useMemo(
    () =>
      rowActions(
        of,
        (label, run, mergeKey) => edit({ label, mergeKey, run: job => run(pick(job) as never[]) }),
        fresh,
      ),
    [of, pick, fresh, edit],
  )
  return { of, rows, ...actions }
}

/** An edit of the axis as it stands when it is made, by a field's label. */
export function useChange() {
  const axisNow = useAxisNow()
  const edit = useEdit()
  return useMemo(
    () => (label: string, run: (axis: Axis) => void, mergeKey?: string) =>
      edit(onAxis(axisNow(), label, run, { mergeKey })),
    [axisNow, edit],
  )
}
