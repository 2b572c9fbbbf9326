import { answered, client } from './client'
import type { components } from './schema'

type Schemas = components['schemas']
export type BuildAnswer = Schemas['BuildAnswer']
export type ChangeKind = Schemas['ChangeKind']
export type FasteningDone = Schemas['FasteningDone']
export type LockCondition = Schemas['LockCondition']
export type LockKind = Schemas['LockKind']
export type PhaseMinutes = Schemas['PhaseMinutes']
export type PlanStep = Schemas['PlanStep']
export type PlanToWork = Schemas['PlanToWork']
export type PlannedStep = Schemas['PlannedStep']
export type ProcedureFamily = Schemas['ProcedureFamily']
export type ProcedureStep = Schemas['ProcedureStep']
export type StepDone = Schemas['JobEventStepDone']
export type StepField = Schemas['StepField']
export type StepOutcome = Schemas['StepOutcome']
export type StepPhase = Schemas['StepPhase']
export type StepState = Schemas['StepState']
export type TorqueBy = Schemas['TorqueBy']
export type TorqueThread = NonNullable<Schemas['TorqueThread']>
export type TrayCount = Schemas['TrayCount']
export type TrayState = Schemas['TrayState']

export type TorqueEstimateInput = Schemas['TorqueEstimateInput']
export type HubAtStep = Schemas['HubAtStep']
export type WayAtStep = Schemas['WayAtStep']
export type RunAtStep = Schemas['RunAtStep']
export type OwnProcedure = Schemas['OwnProcedure']

export const estimateTorque = (body: TorqueEstimateInput, s: { signal?: AbortSignal } = {}) =>
  answered(client.POST('/api/build/torque-estimate', { body, ...s }))

/** Says that what the plan of a job puts on is on the machine. */
export const putPlanOn = (jobId: number) =>
  answered(client.POST('/api/jobs/{id}/plan/on', { params: { path: { id: jobId } } }))

/** The order of the work at a job. */
export const findPlan = (id: number) =>
  answered(client.GET('/api/jobs/{id}/plan', { params: { path: { id } } }))
