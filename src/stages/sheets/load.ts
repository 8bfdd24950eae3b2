import dynamic from 'next/dynamic'
import type { ComponentType } from 'react'
import { withLater } from '../job/later'

/** A panel that comes when it is opened. */
export const whenAsked = (load: () => Promise<ComponentType>) => dynamic(load, { ssr: false })

/** A panel that comes when it is opened, after all that sheets judge by: what it shows rests on that. */
export const withChecks = (load: () => Promise<ComponentType>) => whenAsked(() => withLater(load))
