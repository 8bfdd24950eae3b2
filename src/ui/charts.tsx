import { chakra } from '@chakra-ui/react'
import { Cell, HeadCell, SideScroll } from './Panel'

const token = (name: string) => `var(--dusk-colors-${name})`

/** The theme's colours as a chart takes them. */
export const chartColors = {
  ink: token('ink'),
  quiet: token('quiet'),
  line: token('line'),
  edge: token('edge'),
  panel: token('panel'),
  lamp: token('lamp'),
  holds: token('holds'),
  close: token('close'),
  fails: token('fails'),
  unknown: token('unknown'),
  brass: token('brass'),
}

/** The figures behind a chart, within reach of the keyboard and of those who would rather read. */
export function ChartFigures({ heads, rows }: { heads: string[]; rows: string[][] }) {
  return (
    <chakra.details fontSize="14px">
      <chakra.summary
        cursor="pointer"
        color="lamp"
        fontWeight={700}
        minH={{ base: '44px', xl: '32px' }}
        display="flex"
        alignItems="center"
      >
        Figures of this chart
      </chakra.summary>
      <SideScroll>
        <chakra.table width="100%">
          <thead>
            <tr>
              {heads.map(head => (
                <HeadCell key={head} textAlign="right">
                  {head}
                </HeadCell>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(row => (
              <tr key={row.join()}>
                {row.map((text, index) => (
                  <Cell key={heads[index]} textAlign="right" fontFamily="mono">
                    {text}
                  </Cell>
                ))}
              </tr>
            ))}
          </tbody>
        </chakra.table>
      </SideScroll>
    </chakra.details>
  )
}
