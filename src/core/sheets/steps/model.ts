import { map, moment } from '../../field/field'

/** When each step of the build was ticked, by the step's id. */
export const TICKS = map('Ticks', moment('Done'), /^[a-z0-9.-]{1,60}$/)

declare module '../../document/axis' {
  interface SheetFields {
    ticks: Record<string, string>
  }
}
