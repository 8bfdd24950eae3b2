import { answerSupplier } from '@/core/orders/supplier'

/** Prices and lead times of the made-up supplier. */
export async function POST(request: Request) {
  const { status, body } = answerSupplier(await request.json().catch(() => undefined))
  return Response.json(body, { status })
}
