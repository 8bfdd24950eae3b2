import type { Axis } from '@/core/document/axis'
import { type Edit, isEmptyChange, runEdit } from '@/core/document/edit'
import { newId } from '@/core/document/id'
import type { Job } from '@/core/document/job'
import { LOADING, type OpenJob, type SessionState } from './session'

/**
 * A job of which one table is rehearsed: it is edited like one that is open, in memory alone. Nothing of it is ever stored,
 * logged or sent to another tab, and nothing but the table can be changed.
 */
export class RehearsalSession implements OpenJob {
  private state: SessionState
  private readonly listeners = new Set<() => void>()
  readonly isTyping = false
  readonly isReading = false

  /**
   * @param job with the rehearsed axis in it
   * @param table the part of that axis that is rehearsed
   * @param onRefused told when something else was to be changed
   */
  constructor(
    job: Job,
    private readonly axisId: string,
    private readonly table: keyof Axis,
    private readonly onRefused: () => void,
  ) {
    this.state = { ...LOADING, status: 'ready', job }
  }

  readonly getState = (): SessionState => this.state

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => void this.listeners.delete(listener)
  }

  readonly edit = (edit: Edit): string | null => {
    const before = this.state.job as Job
    const { job, change } = runEdit(before, edit, { id: newId(), at: new Date().toISOString() })
    if (isEmptyChange(change)) return null
    if (!this.isOfTable(before, job)) {
      this.onRefused()
      return null
    }
    this.state = { ...this.state, job }
    for (const listener of this.listeners) listener()
    return change.id
  }

  /** There is no history: nothing was done. */
  readonly undoOne = async () => 'It was only rehearsed.'

  private isOfTable(before: Job, after: Job): boolean {
    const changed = (one: object, other: object) =>
      Object.keys({ ...one, ...other }).filter(
        key => (one as Record<string, unknown>)[key] !== (other as Record<string, unknown>)[key],
      )
    const axisOf = ({ axes }: Job) => axes.find(({ id }) => id === this.axisId) as Axis
    // The gauge of the shop is noted with the step of a table.
    const ofJob = changed(before, after).every(key => key === 'axes' || key === 'shop')
    const others = before.axes.every((axis, index) => axis.id === this.axisId || axis === after.axes[index])
    return ofJob && others && changed(axisOf(before), axisOf(after)).every(key => key === this.table)
  }
}
