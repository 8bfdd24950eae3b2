import { resolve } from 'node:path'

/** The folder of the project. */
export const ROOT = resolve(import.meta.dirname, '..', '..')
