import { chakra } from '@chakra-ui/react'
import { Copy } from 'lucide-react'
import { useState } from 'react'
import { Button } from '../controls'
import { textOf } from '../fields/cells'

/** Copies a table out, for a spreadsheet; says whether it could. */
export function CopyTable({ label, cells }: { label: string; cells: () => readonly (readonly string[])[] }) {
  const [said, setSaid] = useState('')
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(textOf(cells()))
      setSaid('Copied.')
    } catch {
      setSaid('The browser did not let it be copied.')
    }
  }
  return (
    <>
      <Button variant="quiet" aria-label={`Copy the table: ${label}`} onClick={() => void copy()}>
        <Copy size={16} aria-hidden /> Copy the table
      </Button>
      <chakra.span role="status" fontSize="13px" color="quiet">
        {said}
      </chakra.span>
    </>
  )
}
