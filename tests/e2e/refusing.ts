import { readFileSync } from 'node:fs'
import type { Page, Route } from '@playwright/test'

/** A server that refuses every number it is sent, each by its path: what a page does with a refusal can be seen at its fields. */

interface Schema {
  $ref?: string
  anyOf?: Schema[]
  oneOf?: Schema[]
  properties?: Record<string, Schema>
  items?: Schema
  enum?: unknown[]
  type?: string | string[]
  minimum?: number
  maximum?: number
}
interface Operation {
  requestBody?: { content: Record<string, { schema: Schema }> }
}
const api = JSON.parse(readFileSync('public/openapi.json', 'utf8')) as {
  paths: Record<string, Record<string, Operation>>
  components: { schemas: Record<string, Schema> }
}

/** A number in what was sent. `name` is that of its kind and its own: “LoopStrength.friction”. */
export interface Sent {
  path: string
  name: string
}

const isOpen = (schema: Schema) => schema.minimum !== undefined || schema.maximum !== undefined

/** All kinds of thing that a schema may stand for, by name. */
function kindsOf(schema: Schema, name: string): { name: string; schema: Schema }[] {
  if (schema.$ref) {
    const of = schema.$ref.split('/').at(-1) ?? ''
    return kindsOf(api.components.schemas[of] ?? {}, of)
  }
  const several = schema.anyOf ?? schema.oneOf
  return several ? several.flatMap((s) => kindsOf(s, name)) : [{ name, schema }]
}

const hasBounds = ({ properties }: Schema) => Object.values(properties ?? {}).some(isOpen)

/** Numbers that have bounds in some call, by their own name: a question of a page tells none itself. */
const BOUNDED = new Set(
  Object.values(api.components.schemas).flatMap((schema) =>
    Object.entries(schema.properties ?? {})
      .filter(([, of]) => isOpen(of))
      .map(([property]) => property),
  ),
)

/** The numbers with bounds that stand in something sent. */
export function numbersIn(schema: Schema, value: unknown, path = '', name = ''): Sent[] {
  if (value === null || value === undefined) return []
  if (Array.isArray(value)) {
    const items = kindsOf(schema, name).find((k) => k.schema.items)
    return value.flatMap((v, i) => numbersIn(items?.schema.items ?? {}, v, `${path}[${i}]`, items?.name))
  }
  if (typeof value !== 'object') return []
  const thing = value as Record<string, unknown>
  const kinds = kindsOf(schema, name).filter(({ schema: { properties } }) => {
    const words = properties?.kind?.enum
    return properties && (!words || !('kind' in thing) || words.includes(thing.kind))
  })
  const found: Sent[] = []
  for (const [property, part] of Object.entries(thing)) {
    const kind = kinds.find((k) => k.schema.properties?.[property])
    const of = kind?.schema.properties?.[property]
    if (!kind || !of) continue
    const at = path ? `${path}.${property}` : property
    if (typeof part === 'number') {
      const isBounded = isOpen(of) || (!hasBounds(kind.schema) && BOUNDED.has(property))
      if (isBounded) found.push({ path: at, name: `${kind.name}.${property}` })
    } else found.push(...numbersIn(of, part, at, kind.name))
  }
  return found
}

const bodyOf = (method: string, path: string): Schema | undefined => {
  const parts = path.split('/')
  const template = Object.keys(api.paths).find((p) => {
    const of = p.split('/')
    return of.length === parts.length && of.every((part, i) => part.startsWith('{') || part === parts[i])
  })
  return template
    ? api.paths[template]?.[method.toLowerCase()]?.requestBody?.content['application/json']?.schema
    : undefined
}

const issueOf = ({ path }: Sent) => ({ field: path, code: 'out_of_range', message: `⟦${path}⟧` })

/** From now on every number that is sent is refused. Tells what was. */
export async function refuse(page: Page): Promise<Map<string, Sent[]>> {
  const refused = new Map<string, Sent[]>()
  await page.route('**/api/**', async (route: Route) => {
    const request = route.request()
    const path = new URL(request.url()).pathname
    const schema = bodyOf(request.method(), path)
    if (!schema || request.method() === 'GET') return route.continue()
    const body = request.postDataJSON() as Record<string, unknown>
    if (path !== '/api/evaluation') {
      const sent = numbersIn(schema, body)
      if (sent.length === 0) return route.continue()
      refused.set(path, sent)
      return route.fulfill({
        status: 422,
        contentType: 'application/problem+json',
        json: { title: 'refused', status: 422, issues: sent.map(issueOf) },
      })
    }
    const response = await route.fetch()
    const answers = await response.json()
    const parts = api.components.schemas.EvaluationParts?.properties ?? {}
    for (const [part, question] of Object.entries((body.parts ?? {}) as Record<string, unknown>)) {
      const sent = numbersIn(parts[part] ?? {}, question)
      if (sent.length === 0) continue
      refused.set(part, sent)
      answers[part] = { answer: null, refused: sent.map(issueOf) }
    }
    return route.fulfill({ response, json: answers })
  })
  return refused
}

/** Which of what was refused is said at a field. */
export const shownOn = (page: Page) =>
  page.evaluate(() => {
    const paths = new Set<string>()
    for (const field of document.querySelectorAll<HTMLElement>('[aria-invalid=true]'))
      for (const id of (field.getAttribute('aria-describedby') ?? '').split(' '))
        for (const [, path] of document.getElementById(id)?.textContent?.matchAll(/⟦(.*?)⟧/g) ?? [])
          if (path) paths.add(path)
    return [...paths]
  })
