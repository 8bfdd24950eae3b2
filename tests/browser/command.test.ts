import { type ChildProcess, spawn } from 'node:child_process'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { freePort, ROOT } from './server'

const running: ChildProcess[] = []
afterAll(() => {
  for (const one of running) one.kill()
})

/** Runs the demo command and gathers what it says; resolves at its end, or when it says something. */
function demo(port: string, until?: RegExp): Promise<{ said: string; status: number | null }> {
  const command = spawn('node', [join(ROOT, 'scripts/demo.mjs')], {
    cwd: ROOT,
    env: { ...process.env, PORT: port, NODE_ENV: 'production' },
  })
  running.push(command)
  return new Promise(done => {
    let said = ''
    const hear = (chunk: Buffer) => {
      said += String(chunk)
      if (until?.test(said)) done({ said, status: null })
    }
    command.stdout.on('data', hear)
    command.stderr.on('data', hear)
    command.on('exit', status => done({ said, status }))
  })
}

test('the demo command prints its address, and serves the app there', async () => {
  const port = await freePort()
  const { said } = await demo(String(port), /http:\S+/)
  expect(said).toContain(`Dusk Bench is at http://localhost:${port}`)
  const answer = await fetch(`http://localhost:${port}`)
  expect(answer.status).toBe(200)
  expect(await answer.text()).toContain('Dusk Bench')
})

test('a port that is taken is said so, and so is one that is none', async () => {
  const holder = createServer()
  const port = await new Promise<number>(done =>
    holder.listen(0, () => done((holder.address() as { port: number }).port)),
  )
  try {
    expect(await demo(String(port))).toEqual({
      said: `Port ${port} is taken by another program. Stop that one, or set PORT to another number.\n`,
      status: 1,
    })
  } finally {
    holder.close()
  }
  expect(await demo('eighty')).toEqual({
    said: 'PORT: got eighty, takes a whole number from 1 to 65535.\n',
    status: 1,
  })
})
