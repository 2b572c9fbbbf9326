import type { StockPart, ToolKind } from '../api/client'

export const PART_WORDS: Record<StockPart['kind'], string> = {
  chain: 'chain',
  belt: 'belt',
  joiningLink: 'joining link',
  pin: 'pin',
  washer: 'washer',
  seal: 'seal',
  plate: 'plate',
  key: 'key',
  lock: 'lock',
  fastener: 'nut or bolt',
  bearing: 'bearing',
  other: 'other',
}

export const TOOL_WORDS: Record<ToolKind, string> = {
  stand: 'stand',
  spanner: 'spanner',
  socket: 'socket',
  hexKey: 'hex key',
  screwdriver: 'screwdriver',
  torqueWrench: 'torque wrench',
  tensionGauge: 'tension gauge',
  straightEdge: 'straight-edge',
  feelerGauge: 'feeler gauge',
  caliper: 'caliper',
  chainTool: 'chain tool',
  puller: 'puller',
  punch: 'punch',
  clamp: 'clamp',
  pliers: 'pliers',
  vice: 'vice',
  tachometer: 'tachometer',
}
