import { Anchor, Switch, Table, TextInput } from '@mantine/core'
import { useState } from 'react'
import { setWho, whoAmI } from '../api/client'
import { Dialog } from '../shell/Dialog'
import { areKeysOff, SHORTCUTS, setKeysOff } from '../shell/shortcuts'
import { STATIONS } from './stations'

const stations: [string, string] = [
  STATIONS.map((s) => s.key).join('  '),
  `stations of the machine: ${STATIONS.map((s) => s.name).join(', ')}`,
]

export default function HelpDialog({ onClose }: { onClose: () => void }) {
  const [name, setName] = useState(whoAmI)
  const [isOff, setOff] = useState(areKeysOff)
  return (
    <Dialog closeOnClickOutside onClose={onClose} title="Keys, and who is working">
      <Table>
        <Table.Tbody>
          {[stations, ...SHORTCUTS].map(([keys, what]) => (
            <Table.Tr key={keys}>
              <Table.Th scope="row" w={110}>
                <kbd>{keys}</kbd>
              </Table.Th>
              <Table.Td>{what}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      <Switch
        mt="sm"
        label="Single keys work"
        description="Off for whoever speaks to the page: Ctrl+Z and Esc stay."
        checked={!isOff}
        onChange={(event) => {
          setOff(!event.currentTarget.checked)
          setKeysOff(!event.currentTarget.checked)
        }}
      />
      <p className="cap">
        For people who program: <Anchor href="/reference">the calls of this program</Anchor>, described and to
        be tried.
      </p>
      <TextInput
        mt="md"
        label="Working here"
        description="Stands beside every change in the history. Empty: “workshop”."
        maxLength={60}
        value={name}
        onChange={(event) => {
          setName(event.currentTarget.value)
          setWho(event.currentTarget.value)
        }}
      />
    </Dialog>
  )
}
