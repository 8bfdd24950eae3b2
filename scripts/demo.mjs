// Starts the built app with the demo data: installs and builds first where that is needed.
import { spawn } from 'node:child_process'
import { choosePort, ensureBuilt, ensureInstalled, ROOT } from './lib/setup.mjs'

const port = await choosePort()
ensureInstalled()
await ensureBuilt()
const server = spawn(process.execPath, ['scripts/serve.mjs', '-p', String(port)], {
  cwd: ROOT,
  stdio: ['ignore', 'pipe', 'inherit'],
  env: { ...process.env, DUSK_DEMO: '1', NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' },
})
server.stdout.on('data', chunk => {
  if (String(chunk).includes('Ready'))
    console.log(`Dusk Bench is at http://localhost:${port} (Ctrl+C stops it)`)
})
server.on('exit', code => process.exit(code ?? 0))
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
