import { ActionIcon, SegmentedControl, useMantineColorScheme } from '@mantine/core'
import { useUnits } from '../quantities/units'
import { SunMoonIcon } from './icons'

/** Metric or inch, light or dark: the same two switches on every page that shows figures. */
export function UnitSwitch() {
  const units = useUnits()
  const { toggleColorScheme } = useMantineColorScheme()
  return (
    <>
      <SegmentedControl
        size="xs"
        aria-label="Units"
        value={units.system}
        onChange={units.setSystem}
        data={['metric', 'inch']}
      />
      <ActionIcon variant="subtle" color="gray" onClick={toggleColorScheme} aria-label="Light or dark (L)">
        <SunMoonIcon />
      </ActionIcon>
    </>
  )
}
