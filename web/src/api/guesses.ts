import type { components } from './schema'

export type MachineGuess = components['schemas']['MachineGuess']
