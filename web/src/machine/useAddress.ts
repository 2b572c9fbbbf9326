import { useRef, useState } from 'react'
import { useSearchParams } from 'react-router'

export type AddressChanges = Record<string, string | null | undefined>

/**
 * The part of the address behind the “?”, changed at once. The router takes a moment to follow, and a key may be
 * pressed again before it has: so what was asked for is seen here first, and the address comes after.
 */
export function useAddress(): [URLSearchParams, (changes: AddressChanges) => void] {
  const [params, setParams] = useSearchParams()
  const [view, setView] = useState(params)
  const [seen, setSeen] = useState(params.toString())
  const sent = useRef(new Set<string>())

  const now = params.toString()
  if (now !== seen) {
    setSeen(now)
    // An address of our own on its way past is not news; one from outside (a link, the back button) is.
    if (!sent.current.has(now)) setView(params)
    if (now === view.toString()) sent.current.clear()
  }
  const set = (changes: AddressChanges) => {
    const next = new URLSearchParams(view)
    for (const [key, value] of Object.entries(changes))
      if (value === null || value === undefined) next.delete(key)
      else next.set(key, value)
    sent.current.add(next.toString())
    setView(next)
    setParams(next, { replace: true })
  }
  return [view, set]
}
