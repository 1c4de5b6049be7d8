// Starts the server in a process of its own and waits for its address.
import { spawn } from 'node:child_process'
import { root, SERVER } from './setup.mjs'

/** The server as `build` made it. @returns the child process and the address it prints */
export function serve(env, { quiet = false } = {}) {
  const child = spawn(process.execPath, ['--enable-source-maps', SERVER], {
    cwd: root,
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const address = new Promise((resolve, reject) => {
    child.stdout.on('data', (chunk) => {
      if (!quiet) process.stdout.write(chunk)
      const found = /http:\/\/\S+/.exec(String(chunk))?.[0]
      if (found) resolve(found)
    })
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)))
  })
  return { child, address }
}

/** Keeps this process up as long as the server, and stops it with us. */
export function stayWith(child) {
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal))
  child.on('exit', (code) => process.exit(code ?? 0))
}
