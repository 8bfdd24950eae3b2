import { useEffect } from 'react'
import { watchGaugeKeys } from '@/ui/fields/gaugeKeys'
import { readyToasts } from '@/ui/toasts'

/** A gauge that types like a keyboard is read whether or not a field is in hand. */
export function useGaugeKeys(): void {
  useEffect(() => watchGaugeKeys(typed => void tellLost(typed)), [])
}

async function tellLost(typed: string): Promise<void> {
  readyToasts()
  const { toaster } = await import('@/ui/toaster')
  toaster.create({
    type: 'warning',
    title: `Not taken: ${typed}`,
    description: 'No reading is open for it. Start a round, or empty the reading that it should stand in.',
  })
}
