import { describe, expect, it } from 'vitest'
import { dayText, momentText } from './days'

describe('days', () => {
  it('are written one way, whatever the country', () => {
    expect(dayText('2026-09-14')).toBe('2026-09-14')
    expect(momentText('2026-09-14T09:30:15')).toBe('2026-09-14 09:30')
  })
})
