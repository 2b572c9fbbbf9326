/** The two wheels of a loop in proportion to each other. A pictogram: distance and turns are not to scale. */
export function LoopGlyph({ front, rear }: { front: number; rear: number }) {
  const WIDTH = 74
  const HEIGHT = 40
  const largest = Math.max(front, rear)
  const most = HEIGHT / 2 - 3
  const rearRadius = Math.max(3, (rear / largest) * most)
  const frontRadius = Math.max(3, (front / largest) * most)
  const y = HEIGHT / 2
  const rearX = 2 + Math.max(rearRadius, 10)
  const frontX = WIDTH - 2 - Math.max(frontRadius, 10)
  return (
    <svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden="true">
      <g fill="var(--line-soft)" stroke="var(--faint)" strokeWidth="1.5">
        <circle cx={rearX} cy={y} r={rearRadius} />
        <circle cx={frontX} cy={y} r={frontRadius} />
      </g>
      <path
        d={`M${rearX} ${y - rearRadius}L${frontX} ${y - frontRadius}M${rearX} ${y + rearRadius}L${frontX} ${y + frontRadius}`}
        stroke="var(--ink)"
        strokeWidth="2"
      />
      <circle cx={rearX} cy={y} r="1.5" fill="var(--ink)" />
      <circle cx={frontX} cy={y} r="1.5" fill="var(--ink)" />
    </svg>
  )
}
