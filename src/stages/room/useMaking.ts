import type { Making } from '@/core/job/making'
import { setMaking } from '@/core/job/makingCommands'
import { useAxis, useAxisNow, useEdit } from '../bench'

/** What is made to fit the axis as it stands now, and a way to change it. */
export function useMaking() {
  const making = useAxis(axis => axis.making)
  const axisNow = useAxisNow()
  const edit = useEdit()
  const change = (label: string, run: (making: Making) => void, mergeKey?: string) =>
    edit(setMaking(axisNow(), label, run, mergeKey))
  return { making, change }
}
