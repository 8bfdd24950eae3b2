import { type ReactNode, useEffect, useRef } from 'react'
import { SideScroll } from './Panel'

interface Props {
  label: string
  /** Whatever is marked so (`data-in-hand`) stands at the top when the list comes up. */
  startsInHand?: boolean
  /** What stands above it on the screen. */
  abovePx?: number
  children: ReactNode
}

/** A long list that scrolls in itself, by the keyboard too, so that its sheet stays a screen or two. */
export function ScrollBox({ label, startsInHand, abovePx = 460, children }: Props) {
  const box = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const own = box.current
    const inHand = startsInHand ? own?.querySelector<HTMLElement>('[data-in-hand]') : null
    if (own && inHand) own.scrollTop = inHand.offsetTop - 8
  }, [startsInHand])
  return (
    // Scrolled by the keyboard too.
    <SideScroll
      ref={box}
      role="region"
      aria-label={label}
      tabIndex={0}
      maxH={`max(340px, calc(100dvh - ${abovePx}px))`}
      overflowY="auto"
      pr="1"
    >
      {children}
    </SideScroll>
  )
}
