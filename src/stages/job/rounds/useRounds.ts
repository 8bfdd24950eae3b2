import { useMemo } from 'react'
import { newId } from '@/core/document/id'
import {
  changeRound,
  lastRound,
  newRound,
  type Round,
  type Rounds,
  startRound,
  stationsOf,
} from '@/core/machine/align/rounds'
import { useEdit, useJob } from '../JobContext'
import { useAxis, useAxisNow } from '../useAxis'
import { rowActions } from '../useRows'

/** The rounds of a sheet on the axis at work, and what can be done with the last of them. */
export function useRounds<R extends Round>(rounds: Rounds<R>) {
  const all = useAxis(rounds.pick)
  const axisNow = useAxisNow()
  const edit = useEdit()
  const shop = useJob(job => job.shop)
  const round = all.at(-1)
  const actions = useMemo(
    () =>
      rowActions(stationsOf(rounds), (label, run, mergeKey) => {
        const axis = axisNow()
        const id = lastRound(rounds, axis)?.id
        edit({
          label: `${label}, axis ${axis.name}`,
          mergeKey,
          run: job => {
            const draft = job.axes.find(one => one.id === axis.id)
            const stations = draft && rounds.pick(draft).find(one => one.id === id)?.stations
            if (stations) run(stations as never[])
          },
        })
      }),
    [rounds, axisNow, edit],
  )
  return {
    all,
    round,
    isClosed: round?.finishedAt != null,
    actions,
    start: () => {
      const axis = axisNow()
      edit(startRound(rounds, axis, newRound(rounds, axis, shop, newId, new Date().toISOString())))
    },
    change: (change: Partial<R>, mergeKey?: string) => {
      if (round) edit(changeRound(rounds, axisNow(), round.id, change, mergeKey))
    },
  }
}
