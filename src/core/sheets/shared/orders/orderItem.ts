/** Something that a conversion needs and that may have to be bought. */
export interface OrderItem {
  /** The same for the same thing in every job, such as `screw:M8 x 40 8.8`. */
  key: string
  what: string
  count: number
  /** Names of the axes that it is for; none where it is for all. */
  axes: string[]
  neededBy: 'room' | 'build'
  /** What each is cut or turned to, where that differs by axis. */
  lengths?: { axis: string; count: number; lengthMm: number }[]
  /** Price of one as its sheet says, where there is one. */
  sheetEur: number | null
}
