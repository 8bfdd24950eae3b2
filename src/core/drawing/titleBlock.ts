import { box, line, type Mark, words } from './drawing'
import { cutToWidth } from './letterWidths'

/** A field of a title block: what it is, small, and under it what stands in it. */
export interface BlockField {
  label: string
  text: string
  /** Its share of the width. */
  share: number
}

const LABEL_MM = 1.5
const TEXT_MM = 2.4
export const BLOCK_MM = 9

/** A row of fields in a frame, after ISO 7200: whose it is, what it is, who answers for it, when, at what scale, which sheet. */
export function titleBlock(fields: readonly BlockField[], x: number, y: number, widthMm: number): Mark[] {
  const whole = fields.reduce((sum, { share }) => sum + share, 0)
  let left = x
  return [
    ...box('words', x, y, widthMm, BLOCK_MM),
    ...fields.flatMap(({ label, text, share }, index): Mark[] => {
      const width = (widthMm * share) / whole
      const at = left
      left += width
      return [
        ...(index > 0 ? [line('words', at, y, at, y + BLOCK_MM)] : []),
        words(at + 1, y + BLOCK_MM - LABEL_MM - 0.9, label, LABEL_MM),
        words(at + 1, y + 1.6, cutToWidth(text, width - 2, TEXT_MM), TEXT_MM),
      ]
    }),
  ]
}
