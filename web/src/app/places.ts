import type { ComponentType } from 'react'
import { FaultsIcon, PracticeIcon, StockIcon, YardIcon } from '../shell/icons'

export interface Place {
  name: string
  /** What is there, for Find. */
  hint: string
  path: string
  icon: ComponentType
}

/** The places on the rail: rail and Find read them from here. */
export const PLACES: Place[] = [
  { name: 'Yard', hint: 'all machines', path: '/', icon: YardIcon },
  {
    name: 'Stock',
    hint: 'wheels, chains and other parts on the shelf, tools',
    path: '/stock',
    icon: StockIcon,
  },
  {
    name: 'Faults',
    hint: 'from what it does to its cause, by the next best test',
    path: '/faults',
    icon: FaultsIcon,
  },
  { name: 'Practice', hint: 'setting a simulated drive, no vehicle', path: '/practice', icon: PracticeIcon },
]
