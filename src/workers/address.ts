/**
 * The bundler tells a worker by the part of its address after # what to fetch, and a worker that is served from what the
 * browser keeps is not told that part. It reads the same from the part after ?, so there it goes.
 */
export function tellByQuery(): void {
  const { Worker: Plain } = globalThis
  globalThis.Worker = class extends Plain {
    constructor(url: string | URL, options?: WorkerOptions) {
      const address = new URL(url, location.href)
      const told = new URLSearchParams(address.hash.slice(1)).get('params')
      if (told !== null) {
        address.searchParams.set('params', told)
        address.hash = ''
      }
      super(address, options)
    }
  }
}
