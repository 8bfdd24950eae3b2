import dynamic from 'next/dynamic'
import { useRouter } from 'next/navigation'
import { useCallback, useState } from 'react'
import { DropAnywhere } from '@/ui/DropAnywhere'

const ImportDialog = dynamic(() => import('../home/ImportDialog').then(module => module.ImportDialog), {
  ssr: false,
})
const PartsFileDialog = dynamic(
  () => import('../job/parts/PartsFileDialog').then(module => module.PartsFileDialog),
  { ssr: false },
)

/** In an open job, a dropped file of parts goes into it, and a dropped job comes in beside it. */
export function DroppedFile() {
  const router = useRouter()
  const [file, setFile] = useState<{ file: File; ending: string } | null>(null)
  const take = useCallback((dropped: File, ending: string) => {
    if (ending !== 'json' && ending !== 'csv')
      return `${dropped.name}: takes a job file or a backup (.json), or parts of your own (.csv).`
    setFile({ file: dropped, ending })
    return null
  }, [])
  const close = () => setFile(null)
  return (
    <>
      <DropAnywhere takes="a job file, a backup, or a file of parts" onFile={take} />
      {file?.ending === 'csv' && <PartsFileDialog file={file.file} onClose={close} />}
      {file?.ending === 'json' && (
        <ImportDialog
          file={file.file}
          onClose={close}
          onImported={jobIds => {
            close()
            router.push(jobIds.length === 1 ? `/job/${encodeURIComponent(jobIds[0] as string)}` : '/')
          }}
        />
      )}
    </>
  )
}
