import type { Metadata } from 'next'
import { connection } from 'next/server'
import { JobScreen } from '@/stages/shell/JobScreen'

export const metadata: Metadata = { title: 'Job' }

export default async function JobPage() {
  await connection()
  return <JobScreen demo={process.env.DUSK_DEMO === '1'} />
}
