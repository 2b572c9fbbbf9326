import { Autocomplete } from '@mantine/core'
import { useState } from 'react'
import { type JobSheet, setWho, whoAmI } from '../api/client'

/** Who works on this page: stands beside what is written down from now on. */
export function Worker({ jobs }: { jobs: JobSheet[] }) {
  const [name, setName] = useState(whoAmI)
  const known = new Set(jobs.flatMap((j) => j.people.map((p) => p.name)))
  return (
    <Autocomplete
      size="sm"
      w={170}
      label="Working here"
      placeholder="workshop"
      data={[...known].sort()}
      maxLength={60}
      openOnFocus={false}
      value={name}
      onChange={(next) => {
        setName(next)
        setWho(next)
      }}
    />
  )
}
