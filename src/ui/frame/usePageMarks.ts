import { useEffect } from 'react'
import { writePageMarks } from '@/core/drawing/pageMarks'
import { dayWords } from '@/core/units/dateWords'

/**
 * Sets what stands at the edge of every page that is printed. A browser that does not know the boxes of a page's margin leaves
 * them out: the paper has its head besides.
 */
export function usePageMarks(about: string): void {
  useEffect(() => {
    const marks = new CSSStyleSheet()
    marks.replaceSync(writePageMarks(about, dayWords(new Date().toISOString())))
    document.adoptedStyleSheets.push(marks)
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter(one => one !== marks)
    }
  }, [about])
}
