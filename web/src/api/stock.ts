import {
  answered,
  client,
  type GearboxSet,
  type HandTool,
  type StockItem,
  type StockPart,
  type StockSpacer,
} from './client'

export const listStock = () => answered(client.GET('/api/stock'))
export const addStock = (body: StockItem) => answered(client.POST('/api/stock', { body }))
export const changeStock = (body: StockItem) =>
  answered(client.PUT('/api/stock/{id}', { params: { path: { id: body.id } }, body }))
export const removeStock = (id: number, version: number) =>
  answered(client.DELETE('/api/stock/{id}', { params: { path: { id }, query: { version } } }))

export const listSpacers = () => answered(client.GET('/api/spacers'))
export const addSpacer = (body: StockSpacer) => answered(client.POST('/api/spacers', { body }))
export const changeSpacer = (body: StockSpacer) =>
  answered(client.PUT('/api/spacers/{id}', { params: { path: { id: body.id } }, body }))
export const removeSpacer = (id: number, version: number) =>
  answered(client.DELETE('/api/spacers/{id}', { params: { path: { id }, query: { version } } }))

export const listParts = () => answered(client.GET('/api/parts'))
export const addPart = (body: StockPart) => answered(client.POST('/api/parts', { body }))
export const changePart = (body: StockPart) =>
  answered(client.PUT('/api/parts/{id}', { params: { path: { id: body.id } }, body }))
export const removePart = (id: number, version: number) =>
  answered(client.DELETE('/api/parts/{id}', { params: { path: { id }, query: { version } } }))

export const listTools = () => answered(client.GET('/api/tools'))
export const addTool = (body: HandTool) => answered(client.POST('/api/tools', { body }))
export const removeTool = (id: number, version: number) =>
  answered(client.DELETE('/api/tools/{id}', { params: { path: { id }, query: { version } } }))

export const listGearboxSets = () => answered(client.GET('/api/gearbox-sets'))
export const addGearboxSet = (body: GearboxSet) => answered(client.POST('/api/gearbox-sets', { body }))
export const changeGearboxSet = (body: GearboxSet) =>
  answered(client.PUT('/api/gearbox-sets/{id}', { params: { path: { id: body.id } }, body }))
export const removeGearboxSet = (id: number, version: number) =>
  answered(client.DELETE('/api/gearbox-sets/{id}', { params: { path: { id }, query: { version } } }))
export const listDesignations = () => answered(client.GET('/api/gearbox-sets/designations'))
