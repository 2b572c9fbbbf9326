import { useEffect } from 'react'

/** Reads a text aloud, and again when it changes, where the browser can. */
export function useSpeech(speaks: boolean, text: string) {
  useEffect(() => {
    if (!speaks || !('speechSynthesis' in window)) return
    speechSynthesis.cancel()
    speechSynthesis.speak(new SpeechSynthesisUtterance(text))
    return () => speechSynthesis.cancel()
  }, [speaks, text])
}
