import { chakra } from '@chakra-ui/react'
import {
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFns,
  tableFeatures,
  useTable,
} from '@tanstack/react-table'
import { useVirtualizer } from '@tanstack/react-virtual'
import { Fragment, memo, type ReactNode, useMemo, useRef, useState } from 'react'
import { Button } from '../controls'
import { Cell, HeadCell, SideScroll } from '../Panel'

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns })

/** One column of a table. */
export interface TableColumn<R> {
  id: string
  head: ReactNode
  cell: (row: R, index: number) => ReactNode
  /** Figures stand at the right, in the typewriter face. */
  figures?: boolean
  /** What the column is sorted by; where any column has it, heads are buttons. */
  value?: (row: R) => string | number
  widthPx?: number
  title?: (row: R) => string | undefined
}

interface Props<R> {
  label?: string
  columns: readonly TableColumn<R>[]
  rows: readonly R[]
  rowId: (row: R) => string
  /** The table scrolls sideways below this width. */
  leastPx?: number
  /** A row that says the sum, or the one that is worst. */
  isStrong?: (row: R) => boolean
  /** A row that is chosen. */
  isMarked?: (row: R) => boolean
  /** A row that stays first, however the table is sorted. */
  isFirst?: (row: R) => boolean
  /** Stands under a row, over the whole width. */
  detail?: (row: R, index: number) => ReactNode
  /** Attributes of a row, such as its name for those who do not see the table. */
  rowProps?: (row: R, index: number) => Record<string, string | undefined>
  /** The column that the table is sorted by at first. */
  sortedBy?: string
  /** Shows so many rows at first. */
  most?: number
  hideHead?: boolean
  /** Columns keep to their widths, whatever stands in them. */
  fixed?: boolean
  fontSize?: string
  /** Nothing in its cells takes the keyboard: the table itself is scrolled by it. */
  inert?: boolean
}

/** From so many rows on only those in sight are laid out. */
const VIRTUAL_FROM = 60
const ROW_PX = 48
const SCROLL_PX = 640

/** Every table of the app: heads, sorting where it is asked for, and long lists that lay out only what is in sight. */
export function DataTable<R extends object>({
  label,
  columns,
  rows,
  rowId,
  leastPx,
  isFirst,
  sortedBy,
  most,
  hideHead,
  fixed,
  fontSize = '14px',
  inert,
  ...row
}: Props<R>) {
  const helper = useMemo(() => createColumnHelper<typeof features, R>(), [])
  const defined = useMemo(
    () =>
      helper.columns(
        columns.map(({ id, value }) =>
          helper.accessor(one => (value ? value(one) : ''), {
            id,
            header: id,
            enableSorting: value !== undefined,
          }),
        ),
      ),
    [helper, columns],
  )
  const [initialState] = useState({ sorting: sortedBy ? [{ id: sortedBy, desc: false }] : [] })
  const table = useTable({ features, columns: defined, data: rows as R[], getRowId: rowId, initialState })
  const sorted = table.getRowModel().rows.map(({ original }) => original)
  const ordered = isFirst ? [...sorted.filter(isFirst), ...sorted.filter(one => !isFirst(one))] : sorted
  const shown = most === undefined ? ordered : ordered.slice(0, most)
  const sorts = columns.some(({ value }) => value)
  return (
    <TableScroll count={shown.length} name={inert ? label : undefined}>
      {(from, to, abovePx, belowPx) => (
        <chakra.table
          width="100%"
          tableLayout={fixed ? 'fixed' : undefined}
          fontSize={fontSize}
          minW={leastPx && `${leastPx}px`}
          aria-label={label}
        >
          {!hideHead &&
            (sorts ? (
              <thead>
                <tr>
                  {columns.map(column =>
                    column.value ? (
                      <SortHead key={column.id} column={table.getColumn(column.id)} figures={column.figures}>
                        {column.head}
                      </SortHead>
                    ) : (
                      <PlainHead key={column.id} column={column} />
                    ),
                  )}
                </tr>
              </thead>
            ) : (
              <PlainHeads columns={columns} />
            ))}
          <tbody>
            {abovePx > 0 && <Spacer px={abovePx} />}
            {shown.slice(from, to).map((one, index) => (
              <TableRow key={rowId(one)} one={one} index={from + index} columns={columns} {...row} />
            ))}
            {belowPx > 0 && <Spacer px={belowPx} />}
          </tbody>
        </chakra.table>
      )}
    </TableScroll>
  )
}

const PlainHead = <R extends object>({ column }: { column: TableColumn<R> }) => (
  <HeadCell textAlign={column.figures ? 'right' : 'left'} width={column.widthPx && `${column.widthPx}px`}>
    {column.head}
  </HeadCell>
)

/** The heads of a table that is not sorted: they change with its columns alone. */
const PlainHeads = memo(function PlainHeads({ columns }: { columns: readonly TableColumn<never>[] }) {
  return (
    <thead>
      <tr>
        {columns.map(column => (
          <PlainHead key={column.id} column={column} />
        ))}
      </tr>
    </thead>
  )
}) as <R extends object>(props: { columns: readonly TableColumn<R>[] }) => ReactNode

const Spacer = ({ px }: { px: number }) => <tr style={{ height: px }} />

/** Scrolls sideways; a long table scrolls in itself and lays out only the rows in sight. */
function TableScroll({
  count,
  name,
  children,
}: {
  count: number
  name?: string
  children: (from: number, to: number, abovePx: number, belowPx: number) => ReactNode
}) {
  const box = useRef<HTMLDivElement>(null)
  const isLong = count >= VIRTUAL_FROM
  const virtual = useVirtualizer({
    count,
    enabled: isLong,
    getScrollElement: () => box.current,
    estimateSize: () => ROW_PX,
    overscan: 8,
  })
  if (!isLong)
    return (
      <SideScroll {...(name && { tabIndex: 0, role: 'region', 'aria-label': `${name}, to scroll` })}>
        {children(0, count, 0, 0)}
      </SideScroll>
    )
  const items = virtual.getVirtualItems()
  const from = items[0]?.index ?? 0
  const to = (items.at(-1)?.index ?? Math.min(count, 24)) + 1
  return (
    // Scrolled by the keyboard too.
    <SideScroll
      ref={box}
      maxH={`${SCROLL_PX}px`}
      overflowY="auto"
      tabIndex={0}
      role="region"
      aria-label="Long list"
    >
      {children(from, to, from * ROW_PX, Math.max(0, count - to) * ROW_PX)}
    </SideScroll>
  )
}

interface SortProps {
  column: { getIsSorted: () => false | 'asc' | 'desc'; getToggleSortingHandler: () => unknown } | undefined
  figures?: boolean
  children: ReactNode
}

function SortHead({ column, figures, children }: SortProps) {
  const sorted = column?.getIsSorted()
  return (
    <HeadCell
      aria-sort={sorted ? (sorted === 'asc' ? 'ascending' : 'descending') : 'none'}
      py="0"
      textAlign={figures ? 'right' : 'left'}
    >
      <Button
        variant="quiet"
        px="1"
        ml="-1"
        fontSize="13px"
        color="quiet"
        onClick={column?.getToggleSortingHandler() as () => void}
      >
        {children}
        <span aria-hidden="true">{sorted === 'asc' ? '▲' : sorted === 'desc' ? '▼' : ''}</span>
      </Button>
    </HeadCell>
  )
}

type RowProps<R> = Pick<Props<R>, 'columns' | 'isStrong' | 'isMarked' | 'detail' | 'rowProps'> & {
  one: R
  index: number
}

function TableRowOf<R extends object>({
  one,
  index,
  columns,
  isStrong,
  isMarked,
  detail,
  rowProps,
}: RowProps<R>) {
  const under = detail?.(one, index)
  return (
    <Fragment>
      <chakra.tr
        fontWeight={isStrong?.(one) ? 700 : undefined}
        bg={isMarked?.(one) ? 'raised' : undefined}
        {...rowProps?.(one, index)}
      >
        {columns.map(column => (
          <Cell
            key={column.id}
            textAlign={column.figures ? 'right' : undefined}
            fontFamily={column.figures ? 'mono' : undefined}
            whiteSpace={column.figures ? 'nowrap' : undefined}
            title={column.title?.(one)}
          >
            {column.cell(one, index)}
          </Cell>
        ))}
      </chakra.tr>
      {under && (
        <tr>
          <Cell colSpan={columns.length} bg="raised" borderTopWidth="0">
            {under}
          </Cell>
        </tr>
      )}
    </Fragment>
  )
}

/** A row is drawn again only when it, or how its table is laid out, changes. */
const TableRow = memo(TableRowOf) as typeof TableRowOf
