import { chakra } from '@chakra-ui/react'
import type { ComponentProps } from 'react'
import { LineFigure } from '@/ui/chart/LineFigure'
import { SaveChart } from './SaveChart'

/** Lines over a scale, with the button that saves them as a picture. */
export function SavedLines({ name, ...lines }: ComponentProps<typeof LineFigure> & { name: string }) {
  return (
    <chakra.div display="grid" gridTemplateColumns="minmax(0, 1fr)">
      <LineFigure {...lines} />
      <SaveChart name={name} legend={lines.series.filter(({ unnamed }) => !unnamed)} />
    </chakra.div>
  )
}
