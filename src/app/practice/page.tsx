import type { Metadata } from 'next'
import { connection } from 'next/server'
import { PracticeScreen } from '@/stages/practice/PracticeScreen'

export const metadata: Metadata = { title: { absolute: 'Practise · Dusk Bench' } }

export default async function PracticePage() {
  await connection()
  return <PracticeScreen />
}
