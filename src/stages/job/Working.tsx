import type { ComponentProps } from 'react'
import { registry } from '@/core/sheets/registry'
import { WorkingPanel } from '@/ui/working/WorkingPanel'

/** The working panel with the calculations of every sheet. */
export const Working = (props: Omit<ComponentProps<typeof WorkingPanel>, 'calculations'>) => (
  <WorkingPanel {...props} calculations={registry} />
)
