import { Benches } from '@/core/practice/bench'
import { answerBench, LONGEST_BODY } from '@/core/practice/benchRequests'

/** The made-up controller and gauge, for other programs to try theirs on. */
const benches = new Benches()

async function handle(request: Request, { params }: { params: Promise<{ id?: string[] }> }) {
  const { id = [] } = await params
  const told = Number(request.headers.get('content-length') ?? 0)
  const body = told > LONGEST_BODY ? ' '.repeat(LONGEST_BODY + 1) : await request.text()
  const isZeroed = new URL(request.url).searchParams.has('zero')
  const { status, text } = answerBench(
    benches,
    { method: request.method, id: id[0] ?? null, body, isZeroed },
    () => crypto.randomUUID(),
    Date.now(),
  )
  return new Response(text, {
    status,
    headers: { 'content-type': 'text/plain; charset=utf-8', 'cache-control': 'no-store' },
  })
}

export { handle as GET, handle as POST }
