import { JobScreen } from '@/stages/JobScreen'

export default function JobPage() {
  return <JobScreen />
}
