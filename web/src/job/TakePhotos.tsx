import { Button, FileButton } from '@mantine/core'
import { sentenceOf } from '../api/issues'
import type { NewPhoto } from '../api/photos'
import classes from './PhotoList.module.css'
import { useSendPhotos } from './useSendPhotos'

/** Takes photos by the camera of a phone, or chooses them, and sends them. */
export function TakePhotos({ jobId, said, onSent }: { jobId: number; said: NewPhoto; onSent?: () => void }) {
  const { send, isPending, percent, error } = useSendPhotos(jobId)
  return (
    <>
      <FileButton
        accept="image/jpeg,image/png,image/webp"
        multiple
        onChange={async (files) => {
          if (await send(files, said)) onSent?.()
        }}
      >
        {(button) => (
          <Button {...button} size="sm" variant="default" loading={isPending} data-no-print>
            Take or choose photos
          </Button>
        )}
      </FileButton>
      {isPending && (
        <progress aria-label="Sent so far" max={100} value={percent} className={classes.progress} />
      )}
      {error !== null && (
        <p role="alert" className={classes.sent}>
          {sentenceOf(error)}
        </p>
      )}
    </>
  )
}
