import { Button, Group, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { MakerGrades, PartToLookAt } from '../api/check'
import type { LoopSummary } from '../api/client'
import { issueFor } from '../api/issues'
import { GRADE_WORDS } from '../loop/findingWords'
import type { Workbench } from '../machine/useWorkbench'
import { Refused } from '../shell/Refused'
import { useInspection } from './useInspection'

const TEXTS = ['fine', 'watch', 'stop', 'source'] as const
type Texts = Record<(typeof TEXTS)[number], string>

/** What its maker says of a part: word by word in place of what the trade says. */
export function MakerForm({
  bench,
  loop,
  at,
  onDone,
}: {
  bench: Workbench
  loop: LoopSummary
  at: PartToLookAt
  onDone: () => void
}) {
  const inspection = useInspection(bench, loop, onDone)
  const others = inspection.grades.filter((g) => g.part !== at.part)
  const known = inspection.grades.find((g) => g.part === at.part)
  const [texts, setTexts] = useState<Texts>({
    fine: known?.fine ?? '',
    watch: known?.watch ?? '',
    stop: known?.stop ?? '',
    source: known?.source ?? '',
  })
  const path = `${inspection.at}.grades[${others.length}]`
  const said = (text: string) => text.trim() || null
  const grades: MakerGrades = {
    part: at.part,
    fine: said(texts.fine),
    watch: said(texts.watch),
    stop: said(texts.stop),
    source: said(texts.source),
  }
  return (
    <form
      aria-label="What its maker says"
      onSubmit={(event) => {
        event.preventDefault()
        inspection.store({ grades: [...others, grades] })
      }}
    >
      {TEXTS.map((key) => (
        <TextInput
          key={key}
          size="sm"
          mt={6}
          label={key === 'source' ? 'Where it says so' : `Its maker: ${GRADE_WORDS[key]}`}
          placeholder={key === 'source' ? 'manual, page' : 'as the trade says'}
          value={texts[key]}
          onChange={(event) => setTexts({ ...texts, [key]: event.currentTarget.value })}
          error={issueFor(inspection.error, `${path}.${key}`)}
        />
      ))}
      <Group gap="xs" mt="xs">
        <Button type="submit" size="compact-sm" variant="default" loading={inspection.isPending}>
          Store
        </Button>
        {known && (
          <Button
            size="compact-sm"
            variant="subtle"
            color="gray"
            onClick={() => inspection.store({ grades: others })}
          >
            As the trade says
          </Button>
        )}
      </Group>
      <Refused
        error={inspection.dialog ? null : inspection.error}
        fields={TEXTS.map((key) => `${path}.${key}`)}
      />
      {inspection.dialog}
    </form>
  )
}
