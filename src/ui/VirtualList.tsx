import { chakra } from '@chakra-ui/react'
import { useVirtualizer } from '@tanstack/react-virtual'
import { type ReactNode, useRef } from 'react'
import { SideScroll } from './Panel'

interface Props<T> {
  label: string
  rows: readonly T[]
  rowId: (row: T) => string
  /** How high a row is, as long as it was not seen. */
  estimatePx: number
  children: (row: T) => ReactNode
}

/** So much of the screen a long list takes. */
const HEIGHT = 'max(320px, calc(100dvh - 420px))'

/** A list of any length that scrolls in itself, by the keyboard too: only what is in sight is laid out. */
export function VirtualList<T>({ label, rows, rowId, estimatePx, children }: Props<T>) {
  const box = useRef<HTMLDivElement>(null)
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: () => estimatePx,
    getItemKey: index => rowId(rows[index] as T),
    overscan: 6,
  })
  return (
    <SideScroll ref={box} role="region" aria-label={label} tabIndex={0} maxH={HEIGHT} overflowY="auto" pr="1">
      <chakra.ul position="relative" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map(({ index, key, start }) => (
          <chakra.li
            key={key}
            ref={virtual.measureElement}
            data-index={index}
            aria-setsize={rows.length}
            aria-posinset={index + 1}
            position="absolute"
            top="0"
            left="0"
            width="100%"
            style={{ transform: `translateY(${start}px)` }}
          >
            {children(rows[index] as T)}
          </chakra.li>
        ))}
      </chakra.ul>
    </SideScroll>
  )
}
