import type { Metadata } from 'next'
import { Reference } from '@/ui/reference/Reference'

export const metadata: Metadata = { title: 'Reference · Dusk Bench' }

export default function ReferencePage() {
  return <Reference />
}
