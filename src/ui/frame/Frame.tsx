import { chakra } from '@chakra-ui/react'
import { type ReactNode, useEffect, useRef } from 'react'

interface Props {
  header: ReactNode
  /** Down the left: the stages, and the sheets of the one in hand. */
  rail: ReactNode
  /** Stays in sight above the sheet. */
  top: ReactNode
  /** At the right where there is room; left out where the sheet takes it. */
  verdicts: ReactNode
  /** Fixed at the foot of a screen that has no room for the verdicts. */
  foot: ReactNode
  children: ReactNode
}

/** The header's height on a wide screen, where it stays in sight. */
const HEADER_PX = 57

/** Stages down the left, axes across the top, drive line above, one sheet below it, verdicts at the right or the foot. */
export function Frame({ header, rail, top, verdicts, foot, children }: Props) {
  const areas = verdicts ? '"head head head" "rail bench verdicts"' : '"head head" "rail bench"'
  return (
    <chakra.div
      data-sheets
      display="grid"
      minH="100dvh"
      gridTemplateColumns={{
        base: 'minmax(0, 1fr)',
        lg: '190px minmax(0, 1fr)',
        xl: verdicts ? '190px minmax(0, 1fr) 304px' : '190px minmax(0, 1fr)',
      }}
      gridTemplateRows={{ base: 'auto auto 1fr', lg: 'auto 1fr' }}
      gridTemplateAreas={{
        base: '"head" "rail" "bench"',
        lg: '"head head" "rail bench"',
        xl: areas,
      }}
    >
      <chakra.header
        data-frame
        gridArea="head"
        bg="panel"
        borderBottomWidth="1px"
        position={{ lg: 'sticky' }}
        top="0"
        zIndex="sticky"
      >
        {header}
      </chakra.header>
      <chakra.div
        data-frame
        gridArea="rail"
        borderRightWidth={{ lg: '1px' }}
        borderBottomWidth={{ base: '1px', lg: 0 }}
        minW="0"
      >
        <chakra.div
          position={{ lg: 'sticky' }}
          top={`${HEADER_PX}px`}
          maxH={{ lg: `calc(100dvh - ${HEADER_PX}px)` }}
          overflowY={{ lg: 'auto' }}
          p={{ base: '1.5', lg: '2' }}
        >
          {rail}
        </chakra.div>
      </chakra.div>
      <chakra.main
        gridArea="bench"
        minW="0"
        px="3"
        pt={top ? undefined : '3'}
        pb={{ base: '16', xl: '3' }}
        display="grid"
        gap="3"
        alignContent="start"
        id="bench"
      >
        {top && <Cover>{top}</Cover>}
        {children}
      </chakra.main>
      {verdicts && (
        <chakra.aside
          data-frame
          gridArea="verdicts"
          aria-label="Verdicts"
          minW="0"
          position="sticky"
          top={`${HEADER_PX}px`}
          alignSelf="start"
        >
          <chakra.div
            p="3"
            pl="0"
            // Words that come and go stand at its foot: what they cover can be scrolled above them.
            pb="140px"
            height={`calc(100dvh - ${HEADER_PX}px)`}
            overflowY="auto"
            // Of a size of its own and no grid item, so that a verdict that grows does not lay out the page again.
            contain="strict"
            willChange="transform"
          >
            {verdicts}
          </chakra.div>
        </chakra.aside>
      )}
      <div data-frame>{foot}</div>
    </chakra.div>
  )
}

/**
 * Stays over the top of the sheet while it scrolls, and keeps its height known to the scrolling, so that a field that
 * takes the keyboard is never under it.
 */
function Cover({ children }: { children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null)
  useEffect(() => {
    const element = box.current
    if (!element) return
    const { style } = document.documentElement
    const observer = new ResizeObserver(() =>
      style.setProperty('--cover', `${HEADER_PX + element.offsetHeight}px`),
    )
    observer.observe(element)
    return () => {
      observer.disconnect()
      style.removeProperty('--cover')
    }
  }, [])
  return (
    <chakra.div
      ref={box}
      data-top
      data-frame
      position="sticky"
      top={{ base: 0, lg: `${HEADER_PX}px` }}
      zIndex="1"
      bg="canvas"
      pt="2"
      pb="1"
      display="grid"
      gap="1.5"
      gridTemplateColumns="minmax(0, 1fr)"
    >
      {children}
    </chakra.div>
  )
}
