import type { Metadata } from 'next'
import { JobScreen } from '@/stages/shell/JobScreen'

export const metadata: Metadata = { title: 'Job' }

export default function JobPage() {
  return <JobScreen />
}
