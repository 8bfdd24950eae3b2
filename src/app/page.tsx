import { connection } from 'next/server'
import { HomeScreen } from '@/stages/home/HomeScreen'

export default async function HomePage() {
  await connection()
  return <HomeScreen demo={process.env.DUSK_DEMO === '1'} />
}
