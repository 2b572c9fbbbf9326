import { Button, Group } from '@mantine/core'
import type { LoopSetting, SetAdvice } from '../api/client'
import { sentenceOf } from '../api/issues'
import { SUSPENSION_WORDS } from '../loop/suspension'
import { useMachineSave } from '../machine/useMachineSave'
import type { Workbench } from '../machine/useWorkbench'
import { choicesOf } from '../quantities/choices'

/** What is asked before it goes on, and what is done where nothing is turned. */
export function NextChoices({
  bench,
  advice,
  onDraft,
  onMended,
}: {
  bench: Workbench
  advice: SetAdvice
  /** Of a machine that is not stored, the answer is only tried. */
  onDraft: (setting: LoopSetting) => void
  /** It was looked at and mended: the next round begins to learn anew. */
  onMended: () => void
}) {
  const { machine, fitted } = bench.card
  const save = useMachineSave(bench.card, () => {})
  const say = (part: Partial<LoopSetting>) => {
    const setting = { ...advice.setting, ...part }
    if (machine.id === 0) return onDraft(setting)
    const others = (machine.settings ?? []).filter((s) => s.loopKey !== setting.loopKey)
    save.store({
      machine: { ...machine, settings: [...others, setting] },
      fitted: fitted.loops,
      fittedVersion: fitted.version,
    })
  }
  const choice = (label: string, onClick: () => void) => (
    <Button key={label} size="sm" variant="default" loading={save.isPending} onClick={onClick}>
      {label}
    </Button>
  )
  const choices = {
    saySuspension: choicesOf(SUSPENSION_WORDS).map(({ value, label }) =>
      choice(label, () => say({ suspension: value })),
    ),
    chooseTrackingEnd: [
      choice('The left one', () => say({ trackingEnd: 'left' })),
      choice('The right one', () => say({ trackingEnd: 'right' })),
    ],
    looseOrBent: [choice('Looked at and mended: learn anew', onMended)],
    notFreeAtIdle: [choice('Looked at and mended: read it again', onMended)],
    springIsWrong: [choice('Looked at and mended: let it go again', onMended)],
  }[advice.next as string]
  return (
    <>
      {(advice.next === 'letSpringSet' || (advice.next === 'turn' && advice.shims)) && (
        <ol>
          {advice.manual.procedure.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      )}
      {choices && (
        <Group gap="xs" my={6} data-no-print>
          {choices}
        </Group>
      )}
      {save.error && !save.dialog ? (
        <p role="alert" style={{ color: 'var(--stop)' }}>
          {sentenceOf(save.error)}
        </p>
      ) : null}
      {save.dialog}
    </>
  )
}
