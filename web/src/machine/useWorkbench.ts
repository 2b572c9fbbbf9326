import { createContext, useContext, useMemo } from 'react'
import type {
  Aim,
  AimTarget,
  Drive,
  LoopChoice,
  LoopSummary,
  MachineCard,
  RoadWheelChoice,
  Setup,
  StationHeadlines,
} from '../api/client'
import { type Subject, useEvaluation } from '../api/evaluation'
import type { Computed } from '../api/queries'
import { isToothed } from './driveElements'
import { useAddress } from './useAddress'

/** Wheels in view: what is fitted, a stored trial, or a pair picked and not stored. */
export interface Shown {
  name: string
  loops: LoopChoice[]
  roadWheels: RoadWheelChoice[]
  /** The stored setup in view; undefined for a pair that was only picked. */
  setup: Setup | undefined
  /** Number of the setup whose kinds of chain or belt are in view; undefined where they are as fitted. */
  kindsOf?: number | undefined
  isFitted: boolean
}

export interface PickedWheels extends Pick<LoopChoice, 'loopKey' | 'frontSize' | 'rearSize'> {
  length?: number
}

export interface Workbench {
  card: MachineCard
  setups: Setup[]
  trials: Setup[]
  aims: Aim[]
  drive: Drive
  /** Labels of the drive's gears; one empty label without gears. */
  gears: string[]
  /** Loops being chosen: one, or two in series. */
  loops: LoopSummary[]
  aim: Aim | undefined
  /** The aim's target, or the band dragged on the scale instead. */
  target: AimTarget | undefined
  isDragged: boolean
  shown: Shown
  /** What is asked about: this machine, with what is in view. */
  subject: Subject
  /** The same with what is fitted, whatever is in view; of another kind with the setup that brings it. */
  asFitted: Subject
  /** One line of every station. */
  headlines: Computed<StationHeadlines>
  set: (changes: Partial<Record<WorkbenchParam, string | null>>) => void
  /** Wheels, and a length where one was chosen: links, belt teeth, or mm of a belt without teeth. */
  pick: (choices: PickedWheels[]) => void
}

/** Where a person is stands in the address, so that it can be kept, sent and gone back to. */
export type WorkbenchParam = 'aim' | 'setup' | 'pick' | 'band' | 'loops'

export function useWorkbench(card: MachineCard, setups: Setup[], aims: Aim[]): Workbench {
  const [params, set] = useAddress()
  const aimParam = params.get('aim')
  const aim = aims.find((a) => String(a.id) === aimParam) ?? aims[0]
  const loops = chosenLoops(card, params.get('loops'), aim)
  const drive =
    card.machine.drives.find((d) => d.key === loops[0]?.driveKey) ?? (card.machine.drives[0] as Drive) // there is always one
  const shown = useMemo(
    () => shownOf(card, setups, params.get('setup'), params.get('pick')),
    [card, setups, params],
  )
  const band = parseBand(params.get('band'))
  const aimOfDrive = aim && aim.driveKey === drive.key ? aim : undefined
  const target: AimTarget | undefined = band ? { kind: 'finalRatio', ...band } : aimOfDrive?.target
  const subject: Subject = {
    ...(card.machine.id === 0
      ? { machineId: null, practiceMachine: card.machine.name }
      : { machineId: card.machine.id, practiceMachine: null }),
    scope: {
      loopKeys: loops.map((l) => l.loopKey),
      setupId: shown.isFitted ? null : (shown.setup?.id ?? shown.kindsOf ?? null),
      picks: shown.isFitted || shown.setup ? null : picksOf(card, params.get('pick')),
      aimId: aim?.id ?? null,
      band: band ?? null,
    },
  }
  return {
    card,
    setups,
    trials: setups.filter((s) => s.status === 'trial'),
    aims,
    drive,
    gears: gearLabels(card, drive.key),
    loops,
    aim: aimOfDrive,
    target,
    isDragged: band !== undefined,
    shown,
    subject,
    asFitted: { ...subject, scope: { ...subject.scope, setupId: shown.kindsOf ?? null, picks: null } },
    headlines: useEvaluation(subject, 'headlines', {}),
    set,
    pick: (choices) =>
      set({
        pick: choices
          .map((c) =>
            [c.loopKey, c.frontSize, c.rearSize, ...(c.length === undefined ? [] : [c.length])].join('~'),
          )
          .join('!'),
        // Wheels of another kind are picked on that kind.
        setup: shown.kindsOf === undefined ? null : String(shown.kindsOf),
      }),
  }
}

/** For the views inside a machine's page. */
export function useBench(): Workbench {
  const bench = useContext(BenchContext)
  if (!bench) throw new Error('There is no machine in view here.')
  return bench
}

export const BenchContext = createContext<Workbench | null>(null)

/** Labels of the gears of a drive; one empty label without gears. */
export const gearLabels = (card: MachineCard, driveKey: string) =>
  card.summary.drives.find((d) => d.driveKey === driveKey)?.gearLabels ?? ['']

function chosenLoops(card: MachineCard, param: string | null, aim: Aim | undefined): LoopSummary[] {
  const all = card.summary.loops
  const named = (param?.split('!') ?? [])
    .map((key) => all.find((l) => l.loopKey === key))
    .filter((l) => l !== undefined)
  if (named.length > 0) return named.slice(0, 2)
  const ofDrive = all.filter((l) => l.driveKey === (aim?.driveKey ?? card.machine.drives[0]?.key))
  return ofDrive.slice(-1)
}

function shownOf(
  card: MachineCard,
  setups: Setup[],
  setupParam: string | null,
  pickParam: string | null,
): Shown {
  const other = setups.find((s) => s.id === card.kindsOf?.setupId && String(s.id) === setupParam)
  const kindsOf = other?.id
  const fitted = other ?? card.fitted
  const picks = picksOf(card, pickParam)
  if (picks.length > 0) {
    const loops = fitted.loops.map((loop) => {
      const pick = picks.find((p) => p.loopKey === loop.loopKey)
      return pick ? withPick(loop, pick, card) : loop
    })
    const isFitted = loops.every((l) =>
      fitted.loops.some((f) => f.loopKey === l.loopKey && isSameChoice(f, l)),
    )
    if (!isFitted)
      return {
        name: 'picked',
        loops,
        roadWheels: fitted.roadWheels,
        setup: undefined,
        kindsOf,
        isFitted: false,
      }
  }
  const setup = setups.find((s) => String(s.id) === setupParam)
  if (setup && setup.status !== 'asFitted')
    return {
      name: setup.name,
      loops: setup.loops,
      roadWheels: setup.roadWheels,
      setup,
      kindsOf,
      isFitted: false,
    }
  return {
    name: 'as fitted',
    loops: fitted.loops,
    roadWheels: fitted.roadWheels,
    setup: fitted,
    kindsOf: undefined,
    isFitted: true,
  }
}

/** Wheels that stand in the address; what is no pair of this machine is passed over. */
const picksOf = (card: MachineCard, param: string | null): PickedWheels[] =>
  (param ? param.split('!') : []).flatMap((text) => {
    const [loopKey = '', front, rear, length] = text.split('~')
    const [frontSize, rearSize] = [Number(front), Number(rear)]
    const isPair = frontSize > 0 && rearSize > 0 && Number.isFinite(frontSize + rearSize)
    return isPair && card.fitted.loops.some((l) => l.loopKey === loopKey)
      ? [{ loopKey, frontSize, rearSize, length: Number(length) || undefined }]
      : []
  })

function withPick(loop: LoopChoice, pick: PickedWheels, card: MachineCard): LoopChoice {
  const wheels = { ...loop, frontSize: pick.frontSize, rearSize: pick.rearSize }
  if (pick.length === undefined) return wheels
  const driveElement = card.summary.loops.find((l) => l.loopKey === loop.loopKey)?.driveElement ?? 'chain'
  return isToothed(driveElement) ? { ...wheels, links: pick.length } : { ...wheels, lengthMm: pick.length }
}

/** Same wheels and same length. */
export const isSameChoice = (a: LoopChoice, b: LoopChoice) =>
  a.frontSize === b.frontSize &&
  a.rearSize === b.rearSize &&
  a.links === b.links &&
  (a.lengthMm ?? null) === (b.lengthMm ?? null)

function parseBand(param: string | null): { low: number; high: number } | undefined {
  const [low, high] = (param ?? '').split('~').map(Number)
  return low && high && low <= high ? { low, high } : undefined
}
