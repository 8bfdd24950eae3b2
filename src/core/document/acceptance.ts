import {
  blankRecord,
  day,
  dayOrNone,
  map,
  plain,
  record,
  rows,
  type ValueOf,
  words,
  wordsOrNone,
} from '../field/field'

/** What is still to be done when a machine is handed over, agreed by both. */
export const OPEN_POINTS = rows(
  'Open point',
  { what: words('What is still open', 160, ''), byDay: dayOrNone('By') },
  { most: 40 },
)

/** When a machine is proved again once it is accepted. */
export const REPROOFS = ['ten-hours', 'half-year'] as const
export type ReproofKind = (typeof REPROOFS)[number]

/** Who hands a machine over to whom, in what state, and when it is proved again. */
export const ACCEPTANCE = record('Acceptance', {
  serialNumber: wordsOrNone('Serial number', 60),
  customer: wordsOrNone('Made for', 80),
  place: wordsOrNone('Where it stands', 80),
  testedBy: wordsOrNone('Tested by', 60),
  acceptedBy: wordsOrNone('Accepted by', 60),
  acceptedDay: dayOrNone('Accepted on'),
  hoursAWeek: plain('It runs so many hours a week', [0.1, 168], { orNone: true, unit: 'h' }),
  remarks: wordsOrNone('Remarks', 600),
  points: OPEN_POINTS,
  reproved: map('Proved again', day('On'), /^(ten-hours|half-year)$/),
})
export type Acceptance = ValueOf<typeof ACCEPTANCE>

/** A machine that nobody has taken over yet. */
export const NOT_ACCEPTED: Acceptance = blankRecord(ACCEPTANCE.of)
