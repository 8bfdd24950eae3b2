import { format } from 'date-fns'
import { dayWords, momentWords } from './dateWords'

test.each(['2026-11-02T18:30:00.000Z', '2026-01-31T23:59:59.000Z', '2026-09-09T00:05:00.000Z'])(
  '%s is said as it is everywhere else in the app',
  at => {
    expect(dayWords(at)).toBe(format(new Date(at), 'd MMM yyyy'))
    expect(momentWords(at)).toBe(format(new Date(at), 'd MMM yyyy HH:mm'))
  },
)
