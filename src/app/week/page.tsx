import type { Metadata } from 'next'
import { connection } from 'next/server'
import { WeekScreen } from '@/stages/home/WeekScreen'

export const metadata: Metadata = { title: { absolute: 'This week · Dusk Bench' } }

export default async function WeekPage() {
  await connection()
  return <WeekScreen />
}
