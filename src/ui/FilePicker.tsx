import { chakra } from '@chakra-ui/react'
import { type ReactNode, useRef } from 'react'
import { Button } from './controls'

interface Props {
  /** What the file is called to those who do not see the button. */
  label: string
  /** Kinds of file that the dialog offers first. */
  accept: string
  onFile: (file: File) => void
  children: ReactNode
}

/** A button that asks for a file; the same file can be picked again. */
export function FilePicker({ label, accept, onFile, children }: Props) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <Button variant="outline" onClick={() => input.current?.click()}>
        {children}
      </Button>
      <chakra.input
        ref={input}
        type="file"
        accept={accept}
        srOnly
        tabIndex={-1}
        aria-label={label}
        onChange={event => {
          const file = event.currentTarget.files?.[0]
          event.currentTarget.value = ''
          if (file) onFile(file)
        }}
      />
    </>
  )
}
