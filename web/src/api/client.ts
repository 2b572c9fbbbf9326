import createClient from 'openapi-fetch'
import { noteSeen } from './lastSeen'
import type { components, paths } from './schema'
import { keep, letGo, pageId, type Unsent } from './unsent'

type Schemas = components['schemas']
export type Machine = Schemas['Machine']
export type MachineCard = Schemas['MachineCard']
export type MachineSave = Schemas['MachineSave']
export type MachineKind = Schemas['MachineKind']
export type Drive = Schemas['Drive']
export type Stage = Schemas['Stage']
export type DriveElement = Schemas['DriveElement']
export type Loop = Schemas['StageLoop']
export type LoopChoice = Schemas['LoopChoice']
export type LoopSearch = Schemas['LoopSearch']
export type LoopSummary = Schemas['LoopSummary']
export type RoadWheel = Schemas['RoadWheel']
export type RoadWheelChoice = Schemas['RoadWheelChoice']
export type GearboxSet = Schemas['GearboxSet']
export type Setup = Schemas['Setup']
export type Aim = Schemas['Aim']
export type AimTarget = Schemas['AimTarget']
export type AimOutcome = Schemas['AimOutcome']
export type Conditions = Schemas['Conditions']
export type Wishes = Schemas['Wishes']
export type StockItem = Schemas['StockItem']
export type Change = Schemas['Change']
export type StartingLoop = Schemas['StartingLoop']
export type Designations = Schemas['Designations']
export type Working = Schemas['Working']
export type InputIssue = Schemas['InputIssue']
export type RatioSearchResult = Schemas['RatioSearchResult']
export type RatioCandidate = Schemas['RatioCandidate']
export type RatioBandsResult = Schemas['RatioBandsResult']
export type RatioRanking = Schemas['RatioRanking']
export type StageSplit = Schemas['StageSplit']
export type LoopPick = Schemas['LoopPick']
export type Evaluation = Schemas['EvaluationAnswer']
export type EvaluationParts = Schemas['EvaluationParts']
export type EvaluationScope = Schemas['EvaluationScope']
export type LoadsHeadline = Schemas['LoadsHeadline']
export type StationHeadlines = Schemas['StationHeadlines']
export type StationState = Schemas['StationState']
export type LoopSearchChange = Schemas['LoopSearchChange']
export type LoadsColumn = Schemas['LoadsColumn']
export type SetQuestion = Schemas['SetQuestion']
export type SetupFigures = Schemas['SetupFigures']
export type MachineDrivesResult = Schemas['MachineDrivesResult']
export type DriveFinding = Schemas['DriveFinding']
export type LoopFitResult = Schemas['LoopFitResult']
export type LoopLayout = Schemas['LoopLayout']
export type SuspensionPlayResult = Schemas['SuspensionPlayResult']
export type SwingArm = Schemas['SwingArm']
export type AdjusterStep = Schemas['AdjusterStep']
export type AdjustmentReserve = Schemas['AdjustmentReserve']
export type ClearanceLimit = Schemas['ClearanceLimit']
export type ClearanceFigure = Schemas['ClearanceFigure']
export type PairFit = Schemas['PairFit']
export type FittingLength = Schemas['FittingLength']
export type FitFinding = Schemas['FitFinding']
export type LoopPath = Schemas['LoopPath']
export type WrappedWheel = Schemas['WrappedWheel']
export type Point = Schemas['Point']
export type Track = Schemas['Track']
export type Adjuster = Schemas['Adjuster']
export type StartingParts = Schemas['StartingParts']
export type Idler = Schemas['Idler']
export type LoopJoint = Schemas['LoopJoint']
export type OutsideReading = Schemas['OutsideReading']
export type ReadingToReach = Schemas['ReadingToReach']
export type StockSpacer = Schemas['StockSpacer']
export type StockPart = Schemas['StockPart']
export type StockPlace = Schemas['StockPlace']
export type SupplyNote = Schemas['SupplyNote']
export type HandTool = Schemas['HandTool']
export type ToolKind = Schemas['ToolKind']
export type ToolStandIn = Schemas['ToolStandIn']
export type ShaftWidths = Schemas['ShaftWidths']
export type SprocketOnShaft = Schemas['SprocketOnShaft']
export type FilledShaft = Schemas['FilledShaft']
export type RailResult = Schemas['RailResult']
export type RailShaft = Schemas['RailShaft']
export type BeltCodeReading = Schemas['BeltCodeReading']
export type CutBeltInput = Schemas['CutBeltInput']
export type GrooveResult = Schemas['GrooveResult']
export type SheaveShimsInput = Schemas['SheaveShimsInput']
export type ShimSense = Schemas['ShimSense']
export type ShaftHubCapacityInput = Schemas['ShaftHubCapacityInput']
export type KnownChainInput = Schemas['KnownChainInput']
export type LoopFigures = Schemas['LoopFigures']
export type LoopLoadsResult = Schemas['LoopLoadsResult']
export type AssumedLoads = Schemas['AssumedLoads']
export type LoadCheck = Schemas['LoadCheck']
export type CheckMends = Schemas['CheckMends']
export type Mend = Schemas['Mend']
export type PointLoads = Schemas['PointLoads']
export type OperatingPoint = Schemas['OperatingPoint']
export type LoadSource = Schemas['LoadSource']
export type LoopAlternative = Schemas['LoopAlternative']
export type LoopStrength = Schemas['LoopStrength']
export type ChainOiling = Schemas['ChainOiling']
export type RatingTent = Schemas['RatingTent']
export type SetAdvice = Schemas['SetAdvice']
export type SetJob = Schemas['SetJob']
export type JobSheet = Schemas['JobSheet']
export type JobPhoto = Schemas['JobPhoto']
export type PhotoLine = Schemas['PhotoLine']
export type PhotoShows = Schemas['PhotoShows']
export type FindIndex = Schemas['FindIndex']
export type GlossaryWord = Schemas['GlossaryWord']
export type JobReason = Schemas['JobReason']
export type NewJob = Schemas['NewJob']
export type SentEvent = Schemas['SentEvent']
export type JobEvent = SentEvent['event']
export type SetRound = Schemas['SetRound']
export type SetReading = Schemas['Reading']
export type RoundResult = Schemas['RoundResult']
export type LoopSetting = Schemas['LoopSetting']
export type AdjusterMove = Schemas['AdjusterMove']
export type StraightnessResult = Schemas['StraightnessResult']
export type ThermalTensionInput = Schemas['ThermalTensionInput']
export type SprungArmInput = Schemas['SprungArmInput']
export type RunningInInput = Schemas['RunningInInput']
export type ClosedDespite = Schemas['ClosedDespite']
export type RoundCondition = Schemas['RoundCondition']
export type UncountedInput = Schemas['UncountedInput']
export type InstrumentFinding = Schemas['InstrumentFinding']
export type OpenReading = Schemas['OpenReading']
export type FrequencyReading = Schemas['FrequencyReading']
export type RestorePreview = Schemas['RestorePreview']
export type FollowUpTask = Schemas['FollowUpTask']
export type NewTrial = Schemas['NewTrial']

/** An input was refused: every wrong field with the bound it broke. */
export class InvalidInputError extends Error {
  constructor(readonly issues: InputIssue[]) {
    super(issues.map((i) => i.message).join(' '))
  }
}

/** Somebody else changed the same thing; `current` is what is stored now, null when it is gone. */
export class ConflictError extends Error {
  constructor(
    message: string,
    readonly thing: string,
    readonly current: unknown,
  ) {
    super(message)
  }
}

/** Nothing can be stored just now; what was sent is sent again once that has passed. */
export class StorageError extends Error {
  constructor(
    message: string,
    readonly trouble: string,
  ) {
    super(message)
  }

  /** Room can be made and a folder be opened; a damaged file needs a backup first. */
  get mayPass() {
    return this.trouble !== 'damaged'
  }
}

const WHO_KEY = 'wendrak.who'
/** On this page; one that opens begins with who worked on this device last. */
export const whoAmI = () => sessionStorage.getItem(WHO_KEY) ?? localStorage.getItem(WHO_KEY) ?? ''
export function setWho(name: string) {
  sessionStorage.setItem(WHO_KEY, name)
  localStorage.setItem(WHO_KEY, name)
}

const WHO_HEADER = 'X-Wendrak-Who'
const DATA_HEADER = 'X-Wendrak-Data'
let dataId = ''

const PAGE_HEADER = 'X-Wendrak-Page'

let commits = Number.POSITIVE_INFINITY
/** How often something had been stored when this page first read; endless before that. */
export const firstCommits = () => commits

const BUILD_HEADER = 'X-Wendrak-Build'
let buildId = ''
let renewed = false
const renewalWaiters = new Set<() => void>()

/** Whether the program was renewed since this page was loaded. */
export const isRenewed = () => renewed
export function whenRenewed(tell: () => void) {
  renewalWaiters.add(tell)
  return () => void renewalWaiters.delete(tell)
}

/** What each answer says of the build that gave it. */
export function noteBuild(answering: string | null) {
  if (!answering) return
  buildId ||= answering
  if (answering === buildId || renewed) return
  renewed = true
  for (const tell of renewalWaiters) tell()
}

export const client = createClient<paths>({ baseUrl: location.origin })
client.use({
  onRequest({ request }) {
    // Header values are ASCII; a name need not be.
    if (!request.headers.has(WHO_HEADER)) request.headers.set(WHO_HEADER, encodeURIComponent(whoAmI()))
    // What is stored is stored over the data that this page shows, and no other.
    if (dataId && !request.headers.has(DATA_HEADER)) request.headers.set(DATA_HEADER, dataId)
    request.headers.set(PAGE_HEADER, pageId)
    return request
  },
  onResponse({ response }) {
    dataId ||= response.headers.get(DATA_HEADER) ?? ''
    noteBuild(response.headers.get(BUILD_HEADER))
    noteSeen(response.headers)
    commits = Math.min(commits, Number(response.headers.get('X-Wendrak-Commits') ?? commits))
  },
})

interface Answer<T> {
  data?: T
  error?: unknown
  response: Response
}

export async function answered<T>(call: Promise<Answer<T>>): Promise<T> {
  const { data, error, response } = await call
  if (response.ok) return data as T // 204 has no body: T is void there
  throw refusal(error, response.status)
}

function refusal(problem: unknown, status: number): Error {
  const body = (typeof problem === 'object' && problem !== null ? problem : {}) as Partial<
    Schemas['InvalidInputProblem'] & Schemas['ConflictProblem'] & { trouble: string }
  >
  if (body.issues) return new InvalidInputError(body.issues)
  if (status === 409)
    return new ConflictError(body.detail ?? 'Changed meanwhile.', body.thing ?? '', body.current)
  if (body.trouble) return new StorageError(body.detail ?? 'Nothing can be stored.', body.trouble)
  if (status === 404) return new Error('This is not here any more.')
  return new Error(body.detail ?? `The program answered with error ${status}.`)
}

/** Whether it can be stored later as it is. */
export const mayPass = (error: unknown) =>
  error instanceof TypeError || (error instanceof StorageError && error.mayPass)

/** Keeps what happened at a job on this device before its turn to be sent has come. */
export const keepEvents = (id: number, events: SentEvent[]) =>
  keep({
    key: events[0]?.key ?? '',
    path: `/api/jobs/${id}/events`,
    body: { events },
    who: whoAmI(),
    data: dataId,
  })

/** Sends what counts once however often it is sent; until it is stored, or refused, this device keeps it. */
export async function keptUntilStored<T>(
  key: string,
  path: string,
  body: unknown,
  send: () => Promise<T>,
): Promise<T> {
  keep({ key, path, body, who: whoAmI(), data: dataId })
  try {
    const stored = await send()
    letGo(key)
    return stored
  } catch (error) {
    if (!mayPass(error)) letGo(key)
    throw error
  }
}

/** Sends what another page left behind, in the name of who typed it and over the data that it was typed over. */
export const sendLater = ({ path, body, who, data }: Unsent): Promise<unknown> =>
  answered(
    client.request(
      'post',
      path as never,
      {
        body,
        headers: { [WHO_HEADER]: encodeURIComponent(who), ...(data && { [DATA_HEADER]: data }) },
      } as never,
    ) as Promise<Answer<unknown>>,
  )

type Signal = { signal?: AbortSignal }

export const evaluate = (body: Schemas['EvaluationQuestion'], s: Signal = {}): Promise<Evaluation> =>
  answered(client.POST('/api/evaluation', { body, ...s }))

export const readRoadWheel = (body: RoadWheel, s: Signal = {}) =>
  answered(client.POST('/api/ratio/road-wheel', { body, ...s }))

export const loadKnownChain = (body: KnownChainInput, s: Signal = {}) =>
  answered(client.POST('/api/loads/known-chain', { body, ...s }))
export const startParts = (body: Schemas['StartingPartsInput'], s: Signal = {}) =>
  answered(client.POST('/api/fit/starting-parts', { body, ...s }))
/** Names of all that can be found, what was changed last first. */
export const listNames = () => answered(client.GET('/api/find'))
export const listGlossary = () => answered(client.GET('/api/glossary'))
export const listPracticeMachines = () => answered(client.GET('/api/set/practice-machines'))
export const warm = (body: Schemas['ThermalTensionInput'], s: Signal = {}) =>
  answered(client.POST('/api/set/warmth', { body, ...s }))
export const balanceArm = (body: Schemas['SprungArmInput'], s: Signal = {}) =>
  answered(client.POST('/api/set/sprung-arm', { body, ...s }))
export const listPeople = () => answered(client.GET('/api/people'))
export const listOpenJobs = () => answered(client.GET('/api/jobs'))
export const listJobs = (id: number) =>
  answered(client.GET('/api/machines/{id}/jobs', { params: { path: { id } } }))
export const openJob = ({ machineId, ...body }: Schemas['NewJob'] & { machineId: number }) =>
  answered(client.POST('/api/machines/{id}/jobs', { params: { path: { id: machineId } }, body }))
export const removeJob = ({ id, version }: { id: number; version: number }) =>
  answered(client.DELETE('/api/jobs/{id}', { params: { path: { id }, query: { version } } }))
export const listSetJobs = (id: number) =>
  answered(client.GET('/api/machines/{id}/set-jobs', { params: { path: { id } } }))
export const addSetJob = ({ machineId, ...job }: SetJob) =>
  answered(
    client.POST('/api/machines/{id}/set-jobs', {
      params: { path: { id: machineId } },
      body: { machineId, ...job },
    }),
  )
export const addJobEvents = ({ id, ...body }: Schemas['HappenedAtJob'] & { id: number }) =>
  keptUntilStored(body.events[0]?.key ?? '', `/api/jobs/${id}/events`, { events: body.events }, () =>
    answered(client.POST('/api/jobs/{id}/events', { params: { path: { id } }, body })),
  )

/** Hears a recording: a WAV file as it is. */
export async function listen(
  recording: Blob,
  range?: { lowHz: number; highHz: number },
): Promise<FrequencyReading> {
  const query = range ? `?lowHz=${range.lowHz}&highHz=${range.highHz}` : ''
  const response = await fetch(`/api/set/listen${query}`, {
    method: 'POST',
    headers: { 'content-type': 'audio/wav' },
    body: recording,
  })
  const body: unknown = await response.json().catch(() => undefined)
  if (!response.ok) throw refusal(body, response.status)
  return body as FrequencyReading
}

/** The sound of a span at a frequency, as a WAV file. */
export const pluckSound = async (hz: number): Promise<ArrayBuffer> =>
  (await fetch(`/api/set/pluck?hz=${hz}`)).arrayBuffer()
export const readBeltCode = (body: Schemas['BeltCodeInput'], s: Signal = {}) =>
  answered(client.POST('/api/fit/belt-code', { body, ...s }))
export const cutBelt = (body: Schemas['CutBeltInput'], s: Signal = {}) =>
  answered(client.POST('/api/fit/cut-belt', { body, ...s }))
export const matchGroove = (body: Schemas['GrooveInput'], s: Signal = {}) =>
  answered(client.POST('/api/fit/groove', { body, ...s }))
export const findShims = (body: SheaveShimsInput, s: Signal = {}) =>
  answered(client.POST('/api/fit/sheave-shims', { body, ...s }))
export const measureCoil = (body: Schemas['CoilInput'], s: Signal = {}) =>
  answered(client.POST('/api/fit/coil', { body, ...s }))
export const measureSprocket = (body: Schemas['SprocketInput'], s: Signal = {}) =>
  answered(client.POST('/api/fit/sprocket', { body, ...s }))

export const listMachines = () => answered(client.GET('/api/machines'))
/** `kindsOf` a setup: with its kinds of chain or belt on the machine. */
export const findMachine = (id: number, kindsOf?: number) =>
  answered(client.GET('/api/machines/{id}', { params: { path: { id }, query: kindsOf ? { kindsOf } : {} } }))
export const addMachine = (body: MachineSave) => answered(client.POST('/api/machines', { body }))
export const changeMachine = (body: MachineSave) =>
  answered(client.PUT('/api/machines/{id}', { params: { path: { id: body.machine.id } }, body }))
export const followUpsAfterChange = (body: Omit<MachineSave, 'change'>) =>
  answered(client.POST('/api/machines/{id}/follow-ups', { params: { path: { id: body.machine.id } }, body }))
export const removeMachine = ({ id, version }: Pick<Machine, 'id' | 'version'>) =>
  answered(client.DELETE('/api/machines/{id}', { params: { path: { id }, query: { version } } }))
export const copyMachine = (id: number, name: string) =>
  answered(client.POST('/api/machines/{id}/copy', { params: { path: { id } }, body: { name } }))
export const startMachine = (kind: MachineKind) =>
  answered(client.GET('/api/machines/starting/{kind}', { params: { path: { kind } } }))
/** Where the browser fetches a machine's file: it goes to the disk as it comes, whatever its size. */
export const machineFileAddress = (id: number) => `/api/machines/${id}/file`

export const listSetups = (id: number) =>
  answered(client.GET('/api/machines/{id}/setups', { params: { path: { id } } }))
export const addTrial = (id: number, body: NewTrial) =>
  answered(client.POST('/api/machines/{id}/setups', { params: { path: { id } }, body }))
export const setDelivered = (machineId: number, body: Schemas['DeliveredWheels']) =>
  answered(client.PUT('/api/machines/{id}/delivered', { params: { path: { id: machineId } }, body }))
export const changeSetup = (body: Setup) =>
  answered(client.PUT('/api/setups/{id}', { params: { path: { id: body.id } }, body }))
export const fitSetup = (id: number, version: number) =>
  answered(client.POST('/api/setups/{id}/fit', { params: { path: { id } }, body: { version } }))

export const fitSetupAgain = (id: number, version: number) =>
  answered(client.POST('/api/setups/{id}/fit-again', { params: { path: { id } }, body: { version } }))

export const listAims = (id: number) =>
  answered(client.GET('/api/machines/{id}/aims', { params: { path: { id } } }))
export const addAim = (body: Aim) =>
  answered(client.POST('/api/machines/{id}/aims', { params: { path: { id: body.machineId } }, body }))
export const changeAim = (body: Aim) =>
  answered(client.PUT('/api/aims/{id}', { params: { path: { id: body.id } }, body }))
export const removeAim = (id: number, version: number) =>
  answered(client.DELETE('/api/aims/{id}', { params: { path: { id }, query: { version } } }))

/** Newest first; `before` an entry, to go on with those that came before it. */
export const listChanges = (machineId?: number, before?: number) =>
  answered(client.GET('/api/changes', { params: { query: { machineId, before } } }))
export const undoChange = (id: number) =>
  answered(client.POST('/api/changes/{id}/undo', { params: { path: { id } } }))

export const listBackups = () => answered(client.GET('/api/backups'))
export const previewKeptBackup = (name: string) =>
  answered(client.POST('/api/backups/preview-kept', { body: { name } }))
export const restoreBackup = (token: string) =>
  answered(client.POST('/api/backups/restore', { body: { token } }))

/** Sends a file as it is; a large one takes its time, so it is told how much of it is sent. */
export function sendFile<T>(
  path: string,
  file: Blob,
  type: string,
  onSent: (fraction: number) => void,
): Promise<T> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest()
    request.upload.onprogress = (event) => event.lengthComputable && onSent(event.loaded / event.total)
    request.onload = () => {
      const body: unknown = parsed(request.responseText)
      if (request.status < 300) resolve(body as T)
      else reject(refusal(body, request.status))
    }
    request.onerror = () => reject(new TypeError('lost'))
    request.open('POST', path)
    request.setRequestHeader('content-type', type)
    request.setRequestHeader('X-Wendrak-Who', encodeURIComponent(whoAmI()))
    request.setRequestHeader(PAGE_HEADER, pageId)
    if (dataId) request.setRequestHeader(DATA_HEADER, dataId)
    request.send(file)
  })
}

const parsed = (text: string): unknown => {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}

/** Looks through a backup that somebody chose. */
export const previewRestore = (file: Blob, onSent: (fraction: number) => void) =>
  sendFile<RestorePreview>('/api/backups/preview', file, 'application/octet-stream', onSent)
export const readMachineFile = (file: Blob, onSent: (fraction: number) => void = () => {}) =>
  sendFile<MachineCard>('/api/machines/file', file, 'application/json', onSent)

/** How the data is; `null` where the program does not answer. */
export async function readHealth(): Promise<Schemas['Health'] | null> {
  const response = await fetch('/health').catch(() => null)
  return (await response?.json().catch(() => null)) ?? null
}
