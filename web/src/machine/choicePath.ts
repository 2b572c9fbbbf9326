/** Where kinds of drive or parts are weighed in the place of a loop. */
export const choicePath = (machineId: number, loopKey: string | undefined) =>
  `/machines/${machineId}/choice${loopKey ? `?loops=${loopKey}` : ''}`
