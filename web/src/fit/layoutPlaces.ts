import type { LoopLayout, Point } from '../api/client'

/** A point of a layout that can be moved by hand in the picture. */
export interface LayoutPlace {
  name: string
  at: Point
  /** The layout with this point elsewhere. */
  with: (at: Point) => LoopLayout
}

/**
 * What can be dragged freely: guiding idlers, the pivots of arm and adjuster, and both axles where nothing else moves.
 * A wheel that is moved by the adjuster keeps to its way, and the axle of a slot is measured, not dragged off it.
 */
export function placesOf(layout: LoopLayout): LayoutPlace[] {
  const { moving, swingArm } = layout
  const places: LayoutPlace[] = layout.idlers
    .filter((idler) => idler.name !== moving?.wheel)
    .map((idler) => ({
      name: idler.name,
      at: idler.centre,
      with: (centre) => ({
        ...layout,
        idlers: layout.idlers.map((i) => (i.name === idler.name ? { ...i, centre } : i)),
      }),
    }))
  if (swingArm)
    places.push({
      name: 'arm pivot',
      at: swingArm.pivot,
      with: (pivot) => ({ ...layout, swingArm: { ...swingArm, pivot } }),
    })
  if (moving?.track.kind === 'arc') {
    const { track } = moving
    places.push({
      name: 'adjuster pivot',
      at: track.pivot,
      with: (pivot) => ({ ...layout, moving: { ...moving, track: { ...track, pivot } } }),
    })
  }
  if (!moving)
    places.push(
      { name: 'front', at: layout.front, with: (front) => ({ ...layout, front }) },
      { name: 'rear', at: layout.rear, with: (rear) => ({ ...layout, rear }) },
    )
  return places
}

/** The first place that stands elsewhere than it did, and by how much. */
export function movedPlace(before: LoopLayout, after: LoopLayout) {
  const old = placesOf(before)
  for (const place of placesOf(after)) {
    const was = old.find((p) => p.name === place.name)?.at
    if (was && (was.xMm !== place.at.xMm || was.yMm !== place.at.yMm))
      return {
        name: place.name,
        at: place.at,
        byMm: Math.hypot(place.at.xMm - was.xMm, place.at.yMm - was.yMm),
      }
  }
  return undefined
}
