import type { Term } from '@/core/document/terms'
import { TERM_WORDS } from '@/core/document/termWords'

/** What a word of the trade means. */
export const TermWords = ({ term }: { term: Term }) => TERM_WORDS[term]
