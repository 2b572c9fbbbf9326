import { useEffect, useState } from 'react'

/** What stands over the page gives the focus back, when it goes, to what it was opened from. */
export function useReturnFocus() {
  const [from] = useState(() => openedFrom(document.activeElement))
  useEffect(
    () => () => {
      if (from?.isConnected) from.focus({ preventScroll: true })
    },
    [from],
  )
}

/** An item of a menu is gone with its menu: what opened that is meant. */
function openedFrom(active: Element | null): HTMLElement | null {
  const menu = active?.closest('[role=menu]')
  const opener = menu ? document.getElementById(menu.getAttribute('aria-labelledby') ?? '') : active
  return opener instanceof HTMLElement ? opener : null
}
