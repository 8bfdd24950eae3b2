import { Image } from 'lucide-react'
import { useRef } from 'react'
import { fileName } from '@/core/formats/fileName'
import { afterFrame } from '@/ui/afterFrame'
import { chartPicture, colorOnPage, type LegendLine } from '@/ui/chart/chartPicture'
import { Button } from '@/ui/controls'
import { download } from './download'
import { useJob } from './JobContext'
import { useAxis } from './useAxis'

/** Saves the chart that stands just before it as a picture that any program opens. */
export function SaveChart({ name, legend }: { name: string; legend: readonly LegendLine[] }) {
  const button = useRef<HTMLButtonElement>(null)
  const machine = useJob(job => job.name)
  const axis = useAxis(one => one.name)
  const save = async () => {
    const place = button.current?.parentElement
    // It is drawn in turns: a picture of it is taken when all of it stands.
    while (place?.isConnected && place.querySelector('[aria-busy=true]'))
      await new Promise<void>(done => void afterFrame(done))
    const drawn = place?.querySelector('svg.recharts-surface')
    if (!drawn) return
    const title = `${machine}, axis ${axis}: ${name}`
    download(
      fileName(`${machine} ${axis} ${name}`, 'svg'),
      chartPicture(drawn as SVGSVGElement, title, legend, colorOnPage),
      'image/svg+xml',
    )
  }
  return (
    <Button
      ref={button}
      variant="quiet"
      justifySelf="start"
      aria-label={`Save the picture: ${name}`}
      onClick={save}
    >
      <Image size={16} aria-hidden /> Save the picture
    </Button>
  )
}
