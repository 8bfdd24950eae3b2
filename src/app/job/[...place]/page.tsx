import { JobScreen } from '@/stages/shell/JobScreen'

export default function JobPage() {
  return <JobScreen />
}
