import { execFileSync } from 'node:child_process'

/** Builds the program once, as ./run does, before any worker starts it. */
export default () => {
  execFileSync('../run', ['--help'], { stdio: ['ignore', 'ignore', 'inherit'] })
}
