import { chakra } from '@chakra-ui/react'
import { GaugeDrawing, type GaugeScene } from '@/ui/drawings/GaugeDrawing'
import { Note } from '@/ui/Note'
import { Explained } from '@/ui/terms/Explained'

/** How readings are taken: the gauge drawn, and what the hands do. */
export function How({ scene, words }: { scene: GaugeScene; words: string }) {
  return (
    <chakra.div
      display="grid"
      gap="3"
      alignItems="center"
      gridTemplateColumns={{ base: '1fr', md: 'minmax(0, 300px) minmax(0, 1fr)' }}
    >
      <GaugeDrawing scene={scene} />
      <Note maxW="68ch" data-note>
        <Explained text={words} />
      </Note>
    </chakra.div>
  )
}
