import { writePageMarks } from '@/core/drawing/pageMarks'
import type { PaperBlock, PaperCell } from '@/core/drawing/paper'
import type { JobFile } from '@/core/formats/writeJobFile'
import { catalogueOf } from '@/core/machine/parts'
import { evaluateAxis } from '@/core/sheets/evaluateAxis'
import { RECORD_CAUTION, recordOf, recordTitle } from '@/core/sheets/record'
import { dayWords } from '@/core/units/dateWords'

const SIGNS: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }
const safe = (text: string) => text.replace(/[&<>"]/g, sign => SIGNS[sign] ?? sign)

const STYLE = `
body{margin:8mm auto;max-width:182mm;font:10.5pt/1.35 sans-serif;color:#1a222c;background:#fff}
article+article{break-before:page}
header{display:flex;justify-content:space-between;align-items:baseline;gap:6mm;border-bottom:.5mm solid}
h1{margin:0;font-size:16pt;overflow-wrap:anywhere}
h2{margin:3mm 0 .5mm;font-size:10.5pt;break-after:avoid}
table{width:100%;border-collapse:collapse}
td{padding:.5mm 2mm .5mm 0;border-top:.2mm solid #c9c9c9;vertical-align:top}
tr{break-inside:avoid}
.half{display:inline-block;width:49%;vertical-align:top}
.half td:last-child:not(:first-child){text-align:right}
p{margin:.5mm 0}
@media print{body{margin:0;max-width:none}}`

const cell = (of: PaperCell): string =>
  typeof of === 'string'
    ? safe(of)
    : `<b>${safe(of.strong)}</b> ${safe(of.text ?? '')}${of.note ? `<br>${safe(of.note)}` : ''}`

const section = ({ title, rows, empty, half }: PaperBlock): string => {
  const table = rows.map(row => `<tr>${row.map(one => `<td>${cell(one)}</td>`).join('')}</tr>`).join('\n')
  return `<section${half ? ' class="half"' : ''}><h2>${safe(title)}</h2>
${rows.length > 0 ? `<table>${table}</table>` : `<p>${safe(empty)}</p>`}</section>`
}

/**
 * The record of every axis of a job, or of one, as a page that any browser opens and prints; nothing in it is fetched.
 *
 * @param axisNames of the axes that are wanted
 */
export function recordHtml({ job, entries }: JobFile, axisNames: readonly string[]): string {
  const catalogue = catalogueOf(job)
  const day = dayWords(new Date().toISOString())
  const articles = job.axes
    .filter(({ name }) => axisNames.includes(name))
    .map(axis => {
      const context = evaluateAxis(axis, catalogue, job.units)
      return `<article><header><h1>${safe(recordTitle(job, context))}</h1><span>${day}</span></header>
${recordOf(context, entries, job).map(section).join('\n')}
<p><small>${safe(RECORD_CAUTION)}</small></p></article>`
    })
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>${safe(job.name)}, record</title>
<style>${STYLE}
${writePageMarks(`${job.name}, axes ${axisNames.join(', ')}`, day).replace(/</g, '\\3c ')}</style></head>
<body>
${articles.join('\n')}
</body></html>
`
}
