import type { Metadata } from 'next'
import { connection } from 'next/server'
import { HomeScreen } from '@/stages/home/HomeScreen'

export const metadata: Metadata = { title: { absolute: 'Machines under conversion · Dusk Bench' } }

export default async function HomePage() {
  await connection()
  return <HomeScreen demo={process.env.DUSK_DEMO === '1'} />
}
