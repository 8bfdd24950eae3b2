import type { Metadata } from 'next'
import { Lost } from '@/stages/home/Lost'

export const metadata: Metadata = { title: 'No such page' }

export default function NotFound() {
  return <Lost />
}
