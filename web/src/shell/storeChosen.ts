import { InvalidInputError } from '../api/client'

/**
 * Stores what was chosen after a conflict so that what was not chosen stands in the history, too: mine is stored over theirs,
 * and what was chosen over that.
 * @param store Stores over a version and tells the one it left.
 */
export async function storeChosen<T>(
  mine: T,
  chosen: T,
  version: number,
  store: (value: T, over: number, isFirst: boolean) => Promise<number>,
): Promise<void> {
  const isSame = content(mine) === content(chosen)
  let over = version
  if (!isSame)
    try {
      over = await store(mine, version, true)
    } catch (error) {
      // What is refused can’t stand anywhere.
      if (!(error instanceof InvalidInputError)) throw error
    }
  await store(chosen, over, over === version)
}

const content = (value: unknown) => JSON.stringify({ ...(value as object), version: 0 })
