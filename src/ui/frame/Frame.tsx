import { chakra } from '@chakra-ui/react'
import { type ReactNode, type RefObject, useEffect, useRef } from 'react'

interface Props {
  /** On a narrow screen what stands for header and rail while they are folded away: it stays in sight. */
  bar?: ReactNode
  /** Left out where the bar stands for it, like the rail. */
  header: ReactNode
  /** Down the left: the stages, and the sheets of the one in hand. */
  rail: ReactNode
  /** Stays in sight above the sheet; below it where a bar says it is a narrow screen. */
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
export function Frame({ bar, header, rail, top, verdicts, foot, children }: Props) {
  const narrow = bar !== undefined
  const barBox = useRef<HTMLDivElement>(null)
  useCover(barBox, 0, narrow)
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
      gridTemplateRows={{ base: narrow ? 'auto auto auto 1fr' : 'auto auto 1fr', lg: 'auto 1fr' }}
      gridTemplateAreas={{
        base: narrow ? '"bar" "head" "rail" "bench"' : '"head" "rail" "bench"',
        lg: '"head head" "rail bench"',
        xl: areas,
      }}
    >
      {narrow && (
        <chakra.div
          ref={barBox}
          data-top
          data-frame
          gridArea="bar"
          position="sticky"
          top="0"
          zIndex="sticky"
          bg="panel"
          borderBottomWidth="1px"
        >
          {bar}
        </chakra.div>
      )}
      <chakra.header
        data-frame
        gridArea="head"
        bg="panel"
        borderBottomWidth={header ? '1px' : '0'}
        position={{ lg: 'sticky' }}
        top="0"
        zIndex={{ lg: 'sticky' }}
      >
        {header}
      </chakra.header>
      <chakra.div
        data-frame
        gridArea="rail"
        borderRightWidth={{ lg: '1px' }}
        borderBottomWidth={{ base: rail ? '1px' : '0', lg: '0' }}
        minW="0"
      >
        <chakra.div
          position={{ lg: 'sticky' }}
          top={`${HEADER_PX}px`}
          maxH={{ lg: `calc(100dvh - ${HEADER_PX}px)` }}
          overflowY={{ lg: 'auto' }}
          p={{ base: rail ? '1.5' : '0', lg: '2' }}
        >
          {rail}
        </chakra.div>
      </chakra.div>
      <chakra.main
        gridArea="bench"
        minW="0"
        px="3"
        pt={top && !narrow ? undefined : { base: narrow ? '2' : '3', md: '3' }}
        pb={{ base: '16', xl: '3' }}
        display="grid"
        gap="3"
        alignContent="start"
        id="bench"
      >
        {top && !narrow && <Cover>{top}</Cover>}
        {children}
        {top && narrow && (
          <chakra.div data-frame display="grid" gap="1.5" gridTemplateColumns="minmax(0, 1fr)">
            {top}
          </chakra.div>
        )}
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

/** Keeps known to the scrolling how much of the screen is covered at its top, so that a field that takes the keyboard is never under it. */
function useCover(box: RefObject<HTMLElement | null>, abovePx: number, covers: boolean): void {
  useEffect(() => {
    const element = box.current
    if (!element || !covers) return
    const { style } = document.documentElement
    const observer = new ResizeObserver(() =>
      style.setProperty('--cover', `${abovePx + element.offsetHeight}px`),
    )
    observer.observe(element)
    return () => {
      observer.disconnect()
      style.removeProperty('--cover')
    }
  }, [box, abovePx, covers])
}

/** Stays over the top of the sheet while it scrolls. */
function Cover({ children }: { children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null)
  useCover(box, HEADER_PX, true)
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
