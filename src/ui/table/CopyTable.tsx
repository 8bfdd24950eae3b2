import { chakra } from '@chakra-ui/react'
import { Copy } from 'lucide-react'
import { useState } from 'react'
import { Button } from '../controls'
import { textOf } from '../fields/cells'

/** The older way, for a tablet that has the app from another machine of the shop: there the first one is barred. */
function copiedByHand(text: string): boolean {
  const field = Object.assign(document.createElement('textarea'), { value: text })
  document.body.append(field)
  field.select()
  const copied = document.execCommand('copy')
  field.remove()
  return copied
}

/** Copies a table out, for a spreadsheet; says whether it could. */
export function CopyTable({ label, cells }: { label: string; cells: () => readonly (readonly string[])[] }) {
  const [said, setSaid] = useState('')
  const copy = async () => {
    const text = textOf(cells())
    const copied = await navigator.clipboard?.writeText(text).then(
      () => true,
      () => false,
    )
    setSaid(copied || copiedByHand(text) ? 'Copied.' : 'The browser did not let it be copied.')
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
