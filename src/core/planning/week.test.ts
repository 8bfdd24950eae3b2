import { demoJobs } from '../demo'
import { catalogueOf } from '../machine/parts'
import { DAY_MINUTES, dayAfter } from './days'
import { planJob } from './plan'
import { WEEK_DAYS, weekOf } from './week'

const NOW = { day: '2026-11-26', minute: 17 * 60 }

test.each(demoJobs().map(({ job }) => [job.name, job] as const))(
  'the week of %s lies within its hours',
  (_, job) => {
    const catalogue = catalogueOf(job)
    const planned = planJob(job, catalogue, NOW)
    if (planned.kind !== 'plan') throw new Error(`No plan: ${planned.reason}`)
    const { lines, hours } = weekOf(job, catalogue, planned, NOW)
    const days = Array.from({ length: WEEK_DAYS }, (__, at) => dayAfter(NOW.day, at))
    expect(lines.length).toBeGreaterThan(0)
    for (const line of lines) expect(days).toContain(line.day)
    // No day has more work of one machine than it has hours.
    for (const day of days) {
      const work = lines.reduce((sum, line) => sum + (line.day === day ? (line.minutes ?? 0) : 0), 0)
      expect(work).toBeLessThanOrEqual(hours[day] ?? 0)
    }
    // No more is laid into it than the whole plan has for hands, and what comes later is not said to come now.
    const inAll = lines.reduce((sum, { minutes }) => sum + (minutes ?? 0), 0)
    expect(inAll).toBeGreaterThan(0)
    expect(inAll).toBeLessThanOrEqual(planned.handsMinutes)
    const comes = planned.tasks.filter(
      ({ key, finishMinute }) => key.includes('.parcel:') && finishMinute < WEEK_DAYS * DAY_MINUTES,
    )
    expect(lines.filter(({ text }) => text.startsWith('Comes'))).toHaveLength(comes.length)
  },
)
