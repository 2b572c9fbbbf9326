import { Button, Group } from '@mantine/core'
import { Panel } from '../shell/Panel'
import type { Setting } from './useSetting'

/** Between visits: begin one as found, or practise. */
export default function BeforeVisit({
  setting,
  isPracticeOnly,
}: {
  setting: Setting
  isPracticeOnly: boolean
}) {
  return isPracticeOnly ? (
    <Panel title="A simulated drive">
      <p>
        It has its own hidden stiffness, run-out, skew and nut, and no two are alike. Read it, decide which
        adjuster to turn, which way and how far, and read it again, until you call it right: then what was
        hidden is shown, and what the advisor would have done.
      </p>
      <Button size="sm" mt="sm" onClick={setting.practise}>
        Begin with one as it was found
      </Button>
    </Panel>
  ) : (
    <Panel title="A visit" isEmpty>
      <p>
        It begins as found: a reading before anything is touched. Nothing else is asked first, and it can be
        broken off and gone on with later.
      </p>
      <Group mt="sm" gap="xs" data-no-print>
        <Button size="sm" onClick={setting.begin} loading={setting.isPending}>
          Begin as found
        </Button>
        {!setting.loop.setting.adjuster.isOfSheave && (
          <Button size="sm" variant="default" onClick={setting.practise}>
            Practise on a simulated drive
          </Button>
        )}
      </Group>
    </Panel>
  )
}
