// Runs `npm ci` when the lock file is not the one that node_modules was installed from; building twice need not install twice.
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { spawnSync } from 'node:child_process'

const stamp = 'node_modules/.installed-from'
const wanted = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex')
if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== wanted) {
  const run = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    stdio: 'inherit',
    shell: process.platform === 'win32',
  })
  if (run.status !== 0) process.exit(run.status ?? 1)
  writeFileSync(stamp, wanted)
}
