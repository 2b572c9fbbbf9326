import type { LoopChoice, MachineCard } from '../api/client'
import type {
  LockCondition,
  LockKind,
  PlanStep,
  StepPhase,
  TorqueBy,
  TorqueThread,
  TrayState,
} from '../api/plan'
import { changeText } from '../job/planWords'
import { TOOL_WORDS } from '../machine/partWords'
import type { Quantity } from '../quantities/units'

export const PHASE_WORDS: Record<StepPhase, string> = {
  before: 'Before',
  off: 'Off',
  on: 'On',
  set: 'Set',
  close: 'Close',
}

export const LOCK_WORDS: Record<LockKind, string> = {
  none: 'nothing but its torque',
  preApplied: 'compound that is on it when new',
  threadlocker: 'threadlocker',
  tabWasher: 'tab washer',
  splitPin: 'split pin',
  lockNut: 'lock nut',
  paintLine: 'paint line',
  circlip: 'circlip',
  rivet: 'rivet',
  clip: 'clip',
  keyLock: 'screw or edge over the key',
}

export const CONDITION_WORDS: Record<LockCondition, string> = {
  none: 'none',
  fresh: 'new, or as good as new',
  spent: 'used before',
}

export const BY_WORDS: Record<TorqueBy, string> = {
  maker: 'the maker’s, by a wrench that tells it',
  feel: 'by feel',
  armAndPull: 'arm and pull: an estimate',
}

export const THREAD_WORDS: Record<TorqueThread, string> = {
  dry: 'a dry thread',
  wet: 'what is on the thread',
}

export const TRAY_WORDS: Record<TrayState, string> = {
  notLooked: 'not looked',
  there: 'there',
  standIn: 'something stands in',
  missing: 'missing',
}

/** What went on and the machine does not say yet. */
export function untoldText({ card, toFit }: { card: MachineCard; toFit: LoopChoice }) {
  const on = card.fitted.loops.find((l) => l.loopKey === toFit.loopKey)
  return `${card.machine.name} does not know yet what went on${on ? `: ${changeText(on, toFit)}` : ''}.`
}

/** “27 mm socket, chain tool”; bare hands where there is none. */
export const toolsText = ({ tools }: PlanStep['step']) =>
  tools.map((t) => [t.size, TOOL_WORDS[t.kind]].filter(Boolean).join(' ')).join(', ') || 'hands'

/** Units of the core that have another one in inches. */
const QUANTITIES: Partial<Record<string, Quantity>> = { mm: 'fine', m: 'longLength', km: 'distance' }
export const quantityOf = (unit: string) => QUANTITIES[unit]
