import { spawn } from 'node:child_process'

/**
 * Starts the server and waits until it listens.
 *
 * @param root the checkout
 * @param env DATABASE_URL, PORT and the like
 * @returns the child process and the port it listens on
 */
export function startServer(root, env) {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'pipe', 'ipc'],
    env: { NODE_ENV: 'production', ...process.env, ...env },
  })
  let complaint = ''
  child.stderr.on('data', (chunk) => (complaint = (complaint + chunk).slice(-4000)))
  return new Promise((resolve, reject) => {
    child.once('message', ({ listening }) => {
      child.stderr.on('data', (chunk) => process.stderr.write(chunk))
      resolve({ child, port: listening })
    })
    child.once('exit', (code) => reject(new Error(`The server stopped with code ${code}.\n${complaint}`)))
  })
}
