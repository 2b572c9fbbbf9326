import type { MachineCard, OpenReading, SetJob } from '../api/client'

/** What a visit left outside its window and nothing that counts has read inside since. */
export const openOf = (card: MachineCard, job: SetJob): OpenReading[] =>
  card.summary.openReadings.filter((r) => r.loopKey === job.loopKey && r.on === job.openedOn)
