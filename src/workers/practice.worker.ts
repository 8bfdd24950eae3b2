import './locale'
import { expose } from 'comlink'
import { askFor } from '@/core/evaluation/check'
import { NotKnown } from '@/core/evaluation/notKnown'
import { rehearsalOf, supposable } from '@/core/practice/rehearse'
import { readingOf } from '@/core/practice/sheets'
import { madeChecks, searchExercise, searchVerdict } from '@/core/practice/trainer/findIt'
import { twinOf } from '@/core/practice/twin'
import type { PracticeWorker } from './protocol'

const worker: PracticeWorker = {
  rehearse({ axis, sheet, rehearsal, at, ...job }) {
    const name = readingOf(sheet, axis)
    if (!name) throw new Error(`rehearse: got ${sheet}, takes a sheet that is read`)
    try {
      return {
        ...rehearsalOf(job, axis, name)(rehearsal, at),
        supposable: supposable(job, axis, name),
      }
    } catch (error) {
      if (error instanceof NotKnown) return { ask: askFor(error.missing) }
      throw error
    }
  },
  twin: ({ axis, ...job }, at) => twinOf(job, axis, at),
  search: searchExercise,
  made: madeChecks,
  searchVerdict,
}
expose(worker)
