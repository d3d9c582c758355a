// Debian packages that the program or its tests need: installed when we are root on Debian, named otherwise.
import { existsSync } from 'node:fs'
import { run, Told } from './run.mjs'

/** Installs a package, or throws Told with the one command to run. */
export async function installPackage(name, why) {
  const command = `apt-get install -y --no-install-recommends ${name}`
  if (!existsSync('/etc/debian_version') || process.getuid?.() !== 0) {
    throw new Told(`${why} is missing. Install it with:  sudo ${command}`)
  }
  console.log(`Installing Debian's ${name}: ${why} …`)
  const options = { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }, stdio: ['ignore', 'ignore', 'inherit'] }
  const args = ['install', '-y', '--no-install-recommends', name]
  if ((await run('apt-get', args, options)) === 0) return
  await run('apt-get', ['update'], options)
  if ((await run('apt-get', args, options)) !== 0)
    throw new Told(`${why} could not be installed. Try:  sudo ${command}`)
}
