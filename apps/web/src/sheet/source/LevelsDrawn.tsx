import { formatQuantity, type LevelsPicture, largest, smallest } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { PictureFrame } from './pictureFrame'

const [width, height] = [440, 126]
const edge = { top: 12, bottom: 16 }
const wall = { left: 96, right: 176 }
const longest = 150

/** A section through the building to scale, and beside each level what the parameter has to do with there. */
export function LevelsDrawn({ picture, says }: { readonly picture: LevelsPicture; readonly says: string }) {
  const format = useFormat()
  const { levels, quantity } = picture
  const heights = levels.map(({ z }) => z)
  const [top, low] = [Math.max(1, largest(heights)), Math.min(0, smallest(heights))]
  const most = Math.max(largest(levels.map(({ value }) => Math.abs(value))), Number.MIN_VALUE)
  const y = (z: number) => edge.top + ((top - z) / (top - low)) * (height - edge.top - edge.bottom)
  const named = spaced(levels.map(({ z }) => y(z)))
  return (
    <PictureFrame viewBox={`0 0 ${width} ${height}`} role="img" aria-label={says}>
      <rect
        x={wall.left}
        width={wall.right - wall.left}
        y={y(top)}
        height={y(low) - y(top)}
        fill="var(--floor)"
        stroke="var(--ink)"
      />
      <path
        d={`M${wall.left - 20} ${y(0)}H${wall.left}M${wall.right} ${y(0)}h20`}
        stroke="var(--border)"
        strokeWidth={1.6}
      />
      {levels.map(({ name, z, value }, i) => {
        const long = (Math.abs(value) / most) * longest
        return (
          <g key={i}>
            <line
              x1={wall.left}
              x2={wall.right}
              y1={y(z)}
              y2={y(z)}
              stroke="var(--ink)"
              strokeWidth={value === 0 ? 1 : 2.4}
            />
            <rect
              x={wall.right + 6}
              y={y(z) - 3}
              width={value === 0 ? 0 : Math.max(1, long)}
              height={6}
              fill="var(--accent)"
            />
            {named.has(i) && (
              <>
                <text x={wall.left - 8} y={y(z) + 4} textAnchor="end">
                  {name}
                </text>
                {value !== 0 && (
                  <text x={wall.right + 12 + long} y={y(z) + 4}>
                    {formatQuantity(value, quantity, format)}
                  </text>
                )}
              </>
            )}
          </g>
        )
      })}
    </PictureFrame>
  )
}

/** The rows that can be written without touching: from the top, a line of text apart. */
function spaced(ys: readonly number[]): ReadonlySet<number> {
  const found = new Set<number>()
  let last = -Infinity
  ys.forEach((y, i) => {
    if (y - last < 14) return
    found.add(i)
    last = y
  })
  return found
}
