import { evenRandom } from '../calculation/evenRandom'
import { runs } from '../calculation/fixtures/runs'
import { CalendarError } from './calendarError'
import { readDaysOff } from './daysOff'

const WINDOW = { fromDay: '2026-11-26', untilDay: '2028-11-26', most: 400 }
const ids = () => {
  let next = 0
  return () => `id-${next++}`
}
const event = (...lines: string[]) => ['BEGIN:VEVENT', ...lines, 'END:VEVENT'].join('\r\n')
const calendar = (...events: string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', ...events, 'END:VCALENDAR', ''].join('\r\n')
const read = (text: string, window = WINDOW) => readDaysOff(text, window, ids())
const days = (...events: string[]) =>
  read(calendar(...events)).rows.map(({ fromDay, toDay }) => [fromDay, toDay])
const day = (of: string) => `DTSTART;VALUE=DATE:${of}`

describe('whole days', () => {
  test.each<[string, string[], string[][]]>([
    ['a day', [day('20261224')], [['2026-12-24', '2026-12-24']]],
    [
      'three, the last not counted',
      [day('20261224'), 'DTEND;VALUE=DATE:20261227'],
      [['2026-12-24', '2026-12-26']],
    ],
    ['a length in days', [day('20261224'), 'DURATION:P3D'], [['2026-12-24', '2026-12-26']]],
    ['a week', [day('20261224'), 'DURATION:P1W'], [['2026-12-24', '2026-12-30']]],
    ['one that runs today', [day('20261101'), 'DTEND;VALUE=DATE:20261201'], [['2026-11-01', '2026-11-30']]],
    [
      'midnight to midnight',
      ['DTSTART:20261224T000000', 'DTEND:20261226T000000'],
      [['2026-12-24', '2026-12-25']],
    ],
    [
      'the same, in a time zone',
      ['DTSTART;TZID=Europe/Berlin:20261224T000000', 'DURATION:P1D'],
      [['2026-12-24', '2026-12-24']],
    ],
    ['hours', ['DTSTART:20261224T100000', 'DTEND:20261224T113000'], []],
    ['called off', [day('20261224'), 'STATUS:CANCELLED'], []],
    ['that block nothing', [day('20261224'), 'TRANSP:TRANSPARENT'], []],
    ['over long ago', [day('20201224')], []],
  ])('%s', (_, lines, rows) => {
    expect(days(event('UID:1', ...lines))).toEqual(rows)
  })

  test('what was left out is told', () => {
    const found = read(
      calendar(
        event('UID:1', 'DTSTART:20261224T100000', 'DTEND:20261224T113000'),
        event('UID:2', day('20261224'), 'STATUS:CANCELLED'),
        event('UID:3', day('20261225'), 'SUMMARY:Away\\, with \\nthe boat'),
      ),
    )
    expect(found).toMatchObject({ withHours: 1, free: 1, beyond: null })
    expect(found.rows).toEqual([
      { id: 'id-0', fromDay: '2026-12-25', toDay: '2026-12-25', why: 'Away, with  the boat' },
    ])
  })
})

describe('what comes again', () => {
  test('goes on for the whole plan, from long ago, and straight to the first day that is wanted', () => {
    const weekly = days(event('UID:1', day('20050107'), 'RRULE:FREQ=WEEKLY'))
    expect(weekly).toHaveLength(105)
    expect(weekly[0]).toEqual(['2026-11-27', '2026-11-27'])
    expect(weekly.at(-1)).toEqual(['2028-11-24', '2028-11-24'])
    expect(days(event('UID:1', day('19040229'), 'RRULE:FREQ=YEARLY'))).toEqual([['2028-02-29', '2028-02-29']])
    // 1142 weeks lie between them.
    expect(days(event('UID:1', day('20050107'), 'RRULE:FREQ=WEEKLY;INTERVAL=2'))[0]?.[0]).toBe('2026-11-27')
    expect(days(event('UID:1', day('20050107'), 'RRULE:FREQ=WEEKLY;INTERVAL=3'))[0]?.[0]).toBe('2026-12-04')
  })

  test.each<[string, string[], number, string[]]>([
    ['so many times', ['RRULE:FREQ=DAILY;INTERVAL=10;COUNT=3'], 3, ['2026-12-21', '2026-12-21']],
    ['until a day', ['RRULE:FREQ=WEEKLY;UNTIL=20261222'], 4, ['2026-12-22', '2026-12-22']],
    ['until a moment', ['RRULE:FREQ=WEEKLY;UNTIL=20261222T000000Z'], 4, ['2026-12-22', '2026-12-22']],
    ['the last Friday', ['RRULE:FREQ=MONTHLY;BYDAY=-1FR;COUNT=3'], 4, ['2027-02-26', '2027-02-26']],
    [
      'but not on one day',
      ['RRULE:FREQ=WEEKLY;COUNT=4', 'EXDATE;VALUE=DATE:20261208'],
      3,
      ['2026-12-22', '2026-12-22'],
    ],
    ['on other days as well', ['RDATE;VALUE=DATE:20261210,20261212'], 3, ['2026-12-12', '2026-12-12']],
    ['never', ['RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30'], 1, ['2026-12-01', '2026-12-01']],
  ])('%s', (_, lines, count, last) => {
    const rows = days(event('UID:1', day('20261201'), ...lines))
    expect(rows).toHaveLength(count)
    expect(rows.at(-1)).toEqual(last)
  })

  test('one that was moved counts where it was moved to, one that was called off not at all', () => {
    const rule = event('UID:1', day('20261201'), 'RRULE:FREQ=WEEKLY;COUNT=3', 'SUMMARY:Off')
    const moved = event('UID:1', 'RECURRENCE-ID;VALUE=DATE:20261208', day('20261210'), 'SUMMARY:Off')
    const gone = event('UID:1', 'RECURRENCE-ID;VALUE=DATE:20261215', day('20261215'), 'STATUS:CANCELLED')
    for (const all of [
      [rule, moved, gone],
      [gone, moved, rule],
    ])
      expect(days(...all)).toEqual([
        ['2026-12-01', '2026-12-01'],
        ['2026-12-10', '2026-12-10'],
      ])
  })

  test('days of one reason that touch are one stretch, and of two versions the later counts', () => {
    expect(days(event('UID:1', day('20261221'), 'RRULE:FREQ=DAILY;COUNT=5'))).toEqual([
      ['2026-12-21', '2026-12-25'],
    ])
    const versions = ['20261224', '20261226'].map((of, sequence) =>
      event('UID:1', day(of), `SEQUENCE:${sequence}`),
    )
    expect(days(...versions)).toEqual([['2026-12-26', '2026-12-26']])
    expect(days(...versions.toReversed())).toEqual([['2026-12-26', '2026-12-26']])
  })
})

test('several calendars in one file, folded lines, and one that calls off', () => {
  const one = calendar(event('UID:1', day('20261224'), 'SUMMARY:A long', '  reason'))
  const other = calendar('METHOD:CANCEL', event('UID:2', day('20261228')))
  const found = read(one + other.replaceAll('\r\n', '\n'))
  expect(found.rows.map(({ why }) => why)).toEqual(['A long reason'])
  expect(found.free).toBe(1)
})

test('what the plan does not take any more is told, with its day', () => {
  const found = read(calendar(event('UID:1', day('20261201'), 'RRULE:FREQ=WEEKLY')), { ...WINDOW, most: 10 })
  expect(found.rows).toHaveLength(10)
  expect(found.beyond).toEqual({ count: 94, fromDay: '2027-02-09' })
})

describe('is refused, with its line', () => {
  test.each<[string, string, string]>([
    ['a text', 'Not a calendar', 'no calendar'],
    ['nothing', '', 'no calendar'],
    ['an empty calendar', calendar(), 'without events'],
    ['a huge file', 'x'.repeat(2_000_001), 'too large: got 2.0 MB'],
    ['a day that does not exist', calendar(event('UID:1', day('20260230'))), 'Line 5, DTSTART: got 20260230'],
    ['words for a day', calendar(event('UID:1', day('next week'))), 'Line 5, DTSTART: got next week'],
    [
      'an exception on no day',
      calendar(event('UID:1', day('20261201'), 'EXDATE:20261301')),
      'Line 6, EXDATE',
    ],
    ['no beginning', calendar(event('UID:1')), 'Line 3: got an event without DTSTART'],
    [
      'an end before it',
      calendar(event('UID:1', day('20261201'), 'DTEND;VALUE=DATE:20261101')),
      'Line 6, DTEND',
    ],
    [
      'a length without end',
      calendar(event('UID:1', day('20261201'), 'DURATION:P9999999999D')),
      'Line 6, DURATION',
    ],
    [
      'a length of thirty years',
      calendar(event('UID:1', day('20261201'), 'DURATION:P9999D')),
      'Line 6, DURATION',
    ],
    [
      'every second',
      calendar(event('UID:1', day('20261201'), 'RRULE:FREQ=SECONDLY')),
      'Line 6, RRULE: got FREQ=SECONDLY',
    ],
    [
      'steps backwards',
      calendar(event('UID:1', day('20261201'), 'RRULE:FREQ=DAILY;INTERVAL=-1')),
      'INTERVAL=-1',
    ],
    [
      'the second of one day',
      calendar(event('UID:1', day('20261201'), 'RRULE:FREQ=DAILY;BYSETPOS=2')),
      'BYSETPOS=2',
    ],
    [
      'half a file',
      calendar(event('UID:1', day('20261201'))).slice(0, 60),
      'begins on line 3: it looks cut short',
    ],
  ])('%s', (_, text, words) => {
    expect(() => read(text)).toThrow(CalendarError)
    expect(() => read(text)).toThrow(words)
  })
})

test('damaged ones take no time, and give days within what is asked for or say what is wrong', () => {
  const sound = calendar(
    event('UID:1', day('20050107'), 'RRULE:FREQ=WEEKLY;BYDAY=MO,FR;INTERVAL=2', 'EXDATE;VALUE=DATE:20270101'),
    event('UID:2', day('20261224'), 'DURATION:P3D', 'RRULE:FREQ=YEARLY;BYMONTH=12', 'SUMMARY:Away'),
    event('UID:3', 'DTSTART:20261127T000000', 'DTEND:20261128T000000', 'RDATE:20270105T000000'),
    event('UID:3', 'RECURRENCE-ID:20270105T000000', 'DTSTART:20270106T000000', 'DTEND:20270107T000000'),
  )
  const random = evenRandom(30)
  const pick = (most: number) => Math.floor(random() * most)
  let slowest = 0
  for (let trial = 0; trial < runs(10_000, 600); trial++) {
    let text = sound
    for (let hits = 1 + pick(3); hits > 0; hits--) {
      const at = pick(text.length)
      const put = [
        '',
        '9',
        '-',
        '0',
        '\n',
        'DAILY',
        ';',
        '99999999',
        '\u2212',
        'MO',
        text.slice(pick(at + 1), at),
      ][pick(11)]
      text = text.slice(0, at) + put + text.slice(at + pick(4))
    }
    const begun = performance.now()
    try {
      for (const { fromDay, toDay } of read(text).rows) {
        expect(fromDay <= WINDOW.untilDay && toDay >= WINDOW.fromDay && fromDay <= toDay).toBe(true)
        expect(toDay).toMatch(/^\d{4}-\d\d-\d\d$/)
      }
    } catch (error) {
      if (!(error instanceof CalendarError)) throw error
    }
    slowest = Math.max(slowest, performance.now() - begun)
  }
  expect(slowest).toBeLessThan(2000)
})
