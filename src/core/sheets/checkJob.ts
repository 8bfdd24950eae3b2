import type { Job } from '../document/job'
import { jobSchema } from './schema'

/**
 * Checks that a document is a job of the present version, all through: what comes from a file, and what undo makes.
 *
 * @returns the same document
 * @throws ValidationError that says which field, what was got and what is taken
 */
export const checkJob = (document: unknown): Job => jobSchema.validateSync(document, { strict: true }) as Job
