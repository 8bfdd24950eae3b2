import { chakra } from '@chakra-ui/react'
import { FileDown, Trash2 } from 'lucide-react'
import { useState } from 'react'
import { PART_KINDS, type PartKind } from '@/core/document/kinds'
import type { CsvStyle } from '@/core/formats/csv'
import { fileName } from '@/core/formats/fileName'
import { MOST_SHOP_PARTS } from '@/core/machine/parts'
import { printFixed } from '@/core/units/print'
import { getDatabase } from '@/store/database'
import { errorWords } from '@/store/errorWords'
import { dropShopParts, useShopParts } from '@/store/shopParts'
import { Button } from '@/ui/controls'
import { Notice } from '@/ui/frame/Notice'
import { Modal } from '@/ui/Modal'
import { DataTable } from '@/ui/table/DataTable'
import { download } from '../../job/download'
import { KIND_WORDS } from '../../job/kindWords'

/** The shop's own list, which stands in this browser beside every machine: how long it is, as files, and taken out. */
export function ShopList({ style }: { style: CsvStyle }) {
  const shopParts = useShopParts()
  const [leaving, setLeaving] = useState<PartKind | null>(null)
  const [failure, setFailure] = useState<string | null>(null)
  const kinds = PART_KINDS.filter(kind => shopParts[kind].length > 0)
  const save = async (kind: PartKind) => {
    const { writePartsCsv } = await import('@/core/formats/partsCsv')
    download(
      fileName(`shop list ${KIND_WORDS[kind]}`, 'csv'),
      writePartsCsv(kind, shopParts[kind] as never, style),
      'text/csv;charset=utf-8',
    )
  }
  const takeOut = async (kind: PartKind) => {
    setLeaving(null)
    try {
      await dropShopParts(getDatabase(), kind)
    } catch (error) {
      setFailure(errorWords(error))
    }
  }
  const count = (kind: PartKind) => printFixed(shopParts[kind].length, 0)
  return (
    <chakra.section aria-label="The shop's list" mt="4" pt="3" borderTopWidth="1px">
      <chakra.h3 fontWeight={700}>The shop’s list</chakra.h3>
      <chakra.p color="quiet" mb="2">
        A catalogue of up to {printFixed(MOST_SHOP_PARTS, 0)} parts of a kind, taken from files as above. It
        stands in this browser beside every machine, in the parts to choose from and in the search; what a
        machine takes of it is kept with that machine. A backup of the jobs does not hold it: keep its files.
      </chakra.p>
      {failure && <Notice title="Nothing was taken out.">{failure}</Notice>}
      {kinds.length === 0 ? (
        <chakra.p>Nothing in it yet.</chakra.p>
      ) : (
        <DataTable
          label="The shop's list"
          columns={[
            { id: 'kind', head: 'Kind', cell: ({ kind }) => <strong>{KIND_WORDS[kind]}</strong> },
            { id: 'count', head: 'Parts', figures: true, cell: ({ kind }) => count(kind) },
            {
              id: 'do',
              head: <chakra.span srOnly>Save or take out</chakra.span>,
              cell: ({ kind }) => (
                <chakra.span display="flex" justifyContent="flex-end" gap="2">
                  <Button
                    variant="outline"
                    aria-label={`Save the ${KIND_WORDS[kind]} of the shop's list as a file`}
                    onClick={() => void save(kind)}
                  >
                    <FileDown size={16} aria-hidden /> Save as a file
                  </Button>
                  <Button
                    variant="quiet"
                    aria-label={`Take the ${KIND_WORDS[kind]} out of the shop's list`}
                    onClick={() => setLeaving(kind)}
                  >
                    <Trash2 size={16} aria-hidden /> Take out
                  </Button>
                </chakra.span>
              ),
            },
          ]}
          rows={kinds.map(kind => ({ kind }))}
          rowId={({ kind }) => kind}
        />
      )}
      {leaving && (
        <Modal
          title={`Take ${count(leaving)} parts out of the shop's list?`}
          open
          onClose={() => setLeaving(null)}
          closeLabel="Leave them"
          actions={
            <Button variant="lamp" onClick={() => void takeOut(leaving)}>
              Take them out
            </Button>
          }
        >
          <p>
            All of the {KIND_WORDS[leaving]}. This cannot be undone: save them as a file first. Machines keep
            what they have taken.
          </p>
        </Modal>
      )}
    </chakra.section>
  )
}
