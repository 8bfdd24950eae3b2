/** A cell on paper: words, or what stands out, words, and a note under them. */
export type PaperCell = string | { strong: string; text?: string; note?: string }

/** A titled table on paper, or what is said where there is nothing. */
export interface PaperBlock {
  /** The record is handed on; the work sheet goes to the machine, and so does the sheet of the build. */
  on: 'record' | 'worksheet' | 'build' | 'align'
  title: string
  rows: PaperCell[][]
  empty: string
  /** Whether it is narrow: two such stand side by side, and their last column to the right. */
  half?: true
}
