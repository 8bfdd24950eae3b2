import { useCallback, useMemo } from 'react'
import { newId } from '@/core/document/id'
import { withGauge } from '@/core/document/shop'
import { GAUGE_STEP } from '@/core/readings/model'
import type { Round } from '@/core/sheets/shared/rounds/model'
import {
  changeRound,
  lastRound,
  newRound,
  noteReadings,
  type Rounds,
  startRound,
  stationsOf,
} from '@/core/sheets/shared/rounds/rounds'
import { focusFirstReading } from '@/ui/fields/focusFirst'
import { useEdit, useJob } from '../JobContext'
import { useAxis, useAxisNow } from '../useAxis'
import { useCatalogue } from '../useEvaluation'
import { rowActions } from '../useRows'

/** The rounds of a sheet on the axis at work, and what can be done with the last of them. */
export function useRounds<R extends Round>(rounds: Rounds<R>) {
  const all = useAxis(rounds.pick)
  const axisNow = useAxisNow()
  const edit = useEdit()
  const round = all.at(-1)
  const actions = useMemo(
    () =>
      rowActions(stationsOf(rounds), (label, run, mergeKey, typed) => {
        const axis = axisNow()
        const id = lastRound(rounds, axis)?.id
        edit({
          label: `${label}, axis ${axis.name}`,
          mergeKey,
          run: (job, at) => {
            const draft = job.axes.find(one => one.id === axis.id)
            const into = draft && rounds.pick(draft).find(one => one.id === id)
            if (!into) return
            run(into.stations as never[])
            for (const [rowId, part] of typed?.(into.stations) ?? [])
              noteReadings(rounds, into, rowId, part, at)
          },
        })
      }),
    [rounds, axisNow, edit],
  )
  /** Sets a field of the last round; a gauge that is named is the shop's from then on. */
  const put = useCallback(
    (key: keyof R & string, value: unknown, mergeKey?: string) => {
      const axis = axisNow()
      const id = lastRound(rounds, axis)?.id
      if (!id) return
      const change = changeRound(rounds, axis, id, { [key]: value } as Partial<R>, mergeKey)
      // Calipers are no indicator: their step is not what the next sheet starts with.
      const isIndicator = rounds.of.of[key] === GAUGE_STEP
      edit(isIndicator ? withGauge(change, value as number | null) : change)
    },
    [rounds, axisNow, edit],
  )
  return { all, round, isClosed: round?.finishedAt != null, actions, put }
}

/** Whether there is a round and whether the last one is closed: it is not drawn again at the keys of a reading. */
export function useLastRound<R extends Round>(rounds: Rounds<R>) {
  const count = useAxis(axis => rounds.pick(axis).length)
  const isClosed = useAxis(axis => lastRound(rounds, axis)?.finishedAt != null)
  const axisNow = useAxisNow()
  const edit = useEdit()
  const shop = useJob(job => job.shop)
  const catalogue = useCatalogue()
  const start = () => {
    const axis = axisNow()
    edit(startRound(rounds, axis, newRound(rounds, axis, shop, newId, new Date().toISOString(), catalogue)))
    focusFirstReading()
  }
  return { count, isClosed, start }
}
