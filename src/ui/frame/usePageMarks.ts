import { useEffect } from 'react'
import { dayWords } from '@/core/units/dateWords'

/** A text as CSS has it in quotes. */
const quoted = (text: string) =>
  `"${text.replace(/["\\\n\r\f]/g, sign => `\\${(sign.codePointAt(0) ?? 32).toString(16)} `)}"`

/**
 * Sets what stands at the edge of every page that is printed: what it is about, the day, and which page of how many.
 *
 * A browser that does not know the boxes of a page's margin leaves them out: the paper has its head besides.
 */
export function usePageMarks(about: string): void {
  useEffect(() => {
    const marks = new CSSStyleSheet()
    const box = (place: string, content: string) =>
      `@${place}{content:${content};font:9pt "Atkinson Hyperlegible",sans-serif;color:#1a222c}`
    marks.replaceSync(
      `@page{margin:15mm 14mm;${box('top-left', quoted(about))}${box(
        'bottom-left',
        quoted(dayWords(new Date().toISOString())),
      )}${box('bottom-right', '"page " counter(page) " of " counter(pages)')}}`,
    )
    document.adoptedStyleSheets.push(marks)
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter(one => one !== marks)
    }
  }, [about])
}
