import { Button, Modal, TextInput } from '@mantine/core'
import { useId, useState } from 'react'
import { whoAmI } from '../api/client'
import { issueFor } from '../api/issues'
import { useChange } from '../api/queries'
import type { SharedFile } from '../api/sharing'
import { Refused } from '../shell/Refused'
import { saveAs } from '../shell/saveAs'

interface Props {
  /** What is shared, for who can't see where the button stands. */
  name: string
  /** What goes into the file and what does not, in a sentence. */
  about: string
  write: (author: string) => Promise<SharedFile>
}

/** Writes something as a file for another workshop, with who wrote it. */
export function ShareButton({ name, about, write }: Props) {
  const [isOpen, setOpen] = useState(false)
  const [author, setAuthor] = useState(whoAmI)
  const share = useChange(write)
  const explained = useId()
  return (
    <>
      <Button
        size="compact-sm"
        variant="subtle"
        color="gray"
        onClick={() => setOpen(true)}
        aria-label={`Share ${name}`}
        data-no-print
      >
        Share
      </Button>
      <Modal
        opened={isOpen}
        onClose={() => setOpen(false)}
        title={`Share ${name}`}
        closeButtonProps={{ 'aria-label': 'Close' }}
      >
        <form
          onSubmit={(event) => {
            event.preventDefault()
            share.mutate(author, {
              onSuccess: (file) => {
                saveAs(`${file.title}.json`, `${JSON.stringify(file, null, 2)}\n`)
                setOpen(false)
              },
            })
          }}
        >
          <p className="cap" id={explained}>
            {about}
          </p>
          <TextInput
            data-autofocus
            mt="sm"
            label="Who wrote it"
            description="Stands in the file beside its version, which grows with every change."
            value={author}
            onChange={(event) => setAuthor(event.currentTarget.value)}
            error={issueFor(share.error, 'author')}
          />
          <Refused error={share.error} fields={['author']} />
          <Button type="submit" mt="md" loading={share.isPending} aria-describedby={explained}>
            Write the file
          </Button>
        </form>
      </Modal>
    </>
  )
}
