import { chakra } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import { Button } from './controls'
import { Notice } from './frame/Notice'

interface Props {
  /** What can be dropped here, in words. */
  takes: string
  /** Takes a file by its ending, or says why not. */
  onFile: (file: File, ending: string) => string | null
}

const hasFiles = (event: DragEvent) => event.dataTransfer?.types.includes('Files') === true

/** Takes a file that is dropped anywhere on the page; what cannot be taken is said, and the page stays. */
export function DropAnywhere({ takes, onFile }: Props) {
  const [over, setOver] = useState(false)
  const [refused, setRefused] = useState<string | null>(null)
  useEffect(() => {
    const onOver = (event: DragEvent) => {
      if (!hasFiles(event)) return
      event.preventDefault()
      setOver(true)
    }
    const onLeave = (event: DragEvent) => event.relatedTarget === null && setOver(false)
    const onDrop = (event: DragEvent) => {
      if (!hasFiles(event)) return
      event.preventDefault()
      setOver(false)
      const [file, second] = event.dataTransfer?.files ?? []
      if (second) setRefused('One file at a time.')
      else if (file) setRefused(onFile(file, file.name.split('.').at(-1)?.toLowerCase() ?? ''))
    }
    addEventListener('dragover', onOver)
    addEventListener('dragleave', onLeave)
    addEventListener('drop', onDrop)
    return () => {
      removeEventListener('dragover', onOver)
      removeEventListener('dragleave', onLeave)
      removeEventListener('drop', onDrop)
    }
  }, [onFile])
  return (
    <>
      {over && (
        <chakra.div
          position="fixed"
          inset="2"
          zIndex="modal"
          display="grid"
          placeItems="center"
          borderWidth="3px"
          borderStyle="dashed"
          borderColor="lamp"
          borderRadius="8px"
          pointerEvents="none"
        >
          <chakra.p bg="raised" px="5" py="3" borderRadius="8px" fontSize="18px" fontWeight={700}>
            Drop it: {takes}
          </chakra.p>
        </chakra.div>
      )}
      {refused && (
        <chakra.div position="fixed" insetInline="3" bottom="3" zIndex="toast" maxW="760px" mx="auto">
          <Notice
            title="That file was not taken."
            actions={<Button onClick={() => setRefused(null)}>Close</Button>}
          >
            <chakra.span overflowWrap="anywhere">{refused}</chakra.span>
          </Notice>
        </chakra.div>
      )}
    </>
  )
}
