import { describe, expect, it } from 'vitest'
import { cautionsOf } from './cautions'

describe('cautions', () => {
  it('are those of the machine, its input and its loop', () => {
    expect(cautionsOf('motorcycle', 'engine', 'chain')[0]).toMatch(/vehicle chocked, engine off/)
    expect(cautionsOf('bicycle', 'rider', 'toothedBelt')[0]).toMatch(
      /bicycle held fast, nobody at the pedals/,
    )
    expect(cautionsOf('winch', 'motor', 'vBelt')[0]).toMatch(/drum held, motor isolated/)
    expect(cautionsOf('moped', 'motor', 'toothedBelt')[1]).toContain('A moving belt')
    expect(cautionsOf('motorcycle', 'engine', 'chain')[1]).toContain('A moving chain')
  })
})
