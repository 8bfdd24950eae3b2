import { type NextRequest, NextResponse } from 'next/server'

/**
 * Sets a strict content security policy with a fresh nonce on every page.
 *
 * Nothing may be fetched from anywhere but this server. Style attributes stay allowed because charts and
 * overlays position themselves with them; style elements and scripts need the nonce.
 */
export function proxy(request: NextRequest) {
  const nonce = btoa(crypto.randomUUID())
  const developing = process.env.NODE_ENV === 'development'
  const policy = [
    "default-src 'none'",
    `script-src 'self' 'nonce-${nonce}'${developing ? " 'unsafe-eval'" : ''}`,
    `style-src 'self' ${developing ? "'unsafe-inline'" : `'nonce-${nonce}'`}`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "manifest-src 'self'",
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'none'",
    "object-src 'none'",
  ].join('; ')
  const headers = new Headers(request.headers)
  headers.set('x-nonce', nonce)
  headers.set('x-path', request.nextUrl.pathname)
  headers.set('content-security-policy', policy)
  const response = NextResponse.next({ request: { headers } })
  response.headers.set('content-security-policy', policy)
  return response
}

export const config = { matcher: '/((?!_next/static).*)' }
