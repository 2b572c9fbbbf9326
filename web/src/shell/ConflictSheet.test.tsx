import { cleanup, fireEvent, screen } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { ConflictError } from '../api/client'
import { show } from '../testing'
import ConflictSheet from './ConflictSheet'

afterEach(cleanup)

const stored = { id: 1, version: 4, name: 'Curlew', note: 'new chain', work: null }
const mine = { id: 1, version: 3, name: 'Curlew', note: 'old chain', work: null }

function open(current: unknown) {
  const [onKeepMine, onTakeTheirs] = [vi.fn(), vi.fn()]
  const conflict = new ConflictError('Changed meanwhile.', 'machine', current)
  show(<ConflictSheet conflict={conflict} mine={mine} onKeepMine={onKeepMine} onTakeTheirs={onTakeTheirs} />)
  return { onKeepMine, onTakeTheirs }
}

describe('a conflict of two windows', () => {
  it('shows both, and only what differs', () => {
    open(stored)
    const row = screen.getByRole('row', { name: 'note new chain old chain' })
    expect(row).toBeTruthy()
    expect(screen.getAllByRole('row')).toHaveLength(2)
  })

  it('lets the person choose', () => {
    const { onKeepMine, onTakeTheirs } = open(stored)
    fireEvent.click(screen.getByRole('button', { name: 'Store mine over it' }))
    expect(onKeepMine).toHaveBeenCalledOnce()
    expect(onTakeTheirs).not.toHaveBeenCalled()
    fireEvent.click(screen.getByRole('button', { name: 'Take what is stored' }))
    expect(onTakeTheirs).toHaveBeenCalledOnce()
  })

  it('says when the other window removed it, and offers no storing over nothing', () => {
    open(null)
    expect(screen.getByText(/It was removed there/)).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Store mine over it' })).toBeNull()
    expect(screen.getByRole('button', { name: 'Leave it removed' })).toBeTruthy()
  })
})
