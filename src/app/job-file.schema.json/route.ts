import { jobFileSchema } from '@/core/formats/jobJsonSchema'

/** The JSON Schema of a job file, for programs that write one. */
export const GET = () =>
  new Response(`${JSON.stringify(jobFileSchema)}\n`, {
    headers: { 'content-type': 'application/schema+json; charset=utf-8' },
  })

export const dynamic = 'force-static'
