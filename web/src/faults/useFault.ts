import { useRef, useState } from 'react'
import { undoChange } from '../api/client'
import { type AtLoop, type FaultDesk, type FaultEvent, searchFault, useFaultDesk } from '../api/faults'
import { AGAIN_WHEN_BACK, useChange } from '../api/queries'
import { today } from '../quantities/days'

/** A search for a fault of one loop: where it stands, what can be said and tried, and the way back. */
export function useFault(at: AtLoop) {
  const [wanted, setWanted] = useState<string>()
  const stored = useFaultDesk(at, wanted)
  // What was pressed and is not answered yet: the next press is said on top of it, and it is in view at once.
  const [draft, setDraft] = useState<Said>()
  const newest = useRef<Said>(undefined)
  const onTheWay = useRef(0)
  const inTurn = { ...AGAIN_WHEN_BACK, scope: { id: `fault ${at.machineId} ${at.loopKey}` } }
  const send = useChange(async (sent: Parameters<typeof searchFault>[0]) => {
    const answer = await searchFault(sent)
    // Before it is read again: a test that is answered can't be asked for. One that was chosen meanwhile stays.
    const { event } = sent
    if (event.kind === 'faultTested') setWanted((now) => (now === event.test ? undefined : now))
    if (event.kind === 'faultFound') setWanted(undefined)
    return answer
  }, inTurn)
  const takeBack = useChange(undoChange)
  const happens = (event: FaultEvent) => {
    onTheWay.current++
    takeBack.reset()
    return send
      .mutateAsync({ ...at, on: today(), key: crypto.randomUUID(), event })
      .catch(() => undefined) // it stands at its field
      .finally(() => {
        onTheWay.current--
        if (onTheWay.current > 0) return
        newest.current = undefined
        setDraft(undefined)
      })
  }
  const describe = (change: Partial<Said>) => {
    const base = newest.current ?? (stored.data && saidOf(stored.data, at.loopKey))
    if (!base) return
    // Another search is begun once.
    const said = { ...base, isNew: null, ...change }
    newest.current = said
    setDraft(said)
    happens(said)
  }
  const desk = { ...stored, data: stored.data && (draft ? shownAs(stored.data, draft) : stored.data) }
  return {
    at,
    desk,
    /** Which test somebody wants to do next. */
    wanted,
    want: setWanted,
    isSending: send.isPending || takeBack.isPending,
    error: send.error ?? takeBack.error,
    happens,
    /** Says anew what it does and what came before, with one thing changed. */
    describe,
    answer: (test: string, answer: string, values: number[] | null = null) =>
      happens({ kind: 'faultTested', loopKey: at.loopKey, test, answer, values, unit: null, seen: null }),
    takeBack: (entry: number) => {
      send.reset()
      takeBack.mutate(entry)
    },
  }
}

export type Fault = ReturnType<typeof useFault>
type Said = Extract<FaultEvent, { kind: 'faultDescribed' }>

/** What was said so far, as it is said again. */
function saidOf(desk: FaultDesk, loopKey: string): Said {
  return {
    kind: 'faultDescribed',
    loopKey,
    signs: desk.signs.filter((s) => s.isSaid).map((s) => s.key),
    ...circumstancesOf(desk.circumstances),
    control: desk.control && {
      machineId: desk.control.machineId,
      ...circumstancesOf(desk.control.circumstances),
    },
    people: desk.people,
    words: desk.words,
    isNew: null,
    loopKind: desk.kind,
    at: null,
  }
}

/** What somebody says is so, and what the record says and is not. */
const circumstancesOf = (all: FaultDesk['circumstances']) => ({
  circumstances: all.filter((c) => c.isSo && !c.fact).map((c) => c.key),
  notSo: all.filter((c) => !c.isSo && c.fact).map((c) => c.key),
})

/** The same with one of them the other way. */
export const toggled = (all: FaultDesk['circumstances'], key: string) =>
  circumstancesOf(all.map((c) => (c.key === key ? { ...c, isSo: !c.isSo } : c)))

/** What stands, with what was pressed since. */
function shownAs(desk: FaultDesk, said: Said): FaultDesk {
  const { control } = said
  const isSame = (control?.machineId ?? null) === (desk.control?.machineId ?? null)
  return {
    ...desk,
    signs: desk.signs.map((s) => ({ ...s, isSaid: said.signs.includes(s.key) })),
    circumstances: desk.circumstances.map((c) => ({ ...c, isSo: isSo(c, said) })),
    control:
      control && desk.control && isSame
        ? {
            ...desk.control,
            circumstances: desk.control.circumstances.map((c) => ({ ...c, isSo: isSo(c, control) })),
          }
        : desk.control,
    people: said.people ?? desk.people,
    words: said.words ?? null,
  }
}

const isSo = (
  choice: FaultDesk['circumstances'][number],
  said: { circumstances: readonly string[]; notSo?: readonly string[] | null },
) =>
  said.circumstances.includes(choice.key) ||
  (choice.fact !== null && !(said.notSo ?? []).includes(choice.key))

/** Why another test can’t be taken in hand now; null where it can. */
export const whyNotNow = (desk: FaultDesk) =>
  desk.result.next?.test.isStopLook ? 'What would stop it is looked at first.' : null

/** Why nothing more can be said of a search; null where it can. */
export const whyClosed = (desk: FaultDesk) =>
  desk.found ? 'Its cause is found: take that back, or begin another search.' : null
