import { formatQuantity, type BuildUp, type SlabUnderKey } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { SheetPicture } from '../../sheet/SheetPicture'
import { labelPlaces, sectionOf } from './buildUpSection'

interface BuildUpPictureProps {
  readonly buildUp: BuildUp
  /** What carries it; weighed in the case of self-weight, and not here. */
  readonly slabs: readonly SlabUnderKey[]
  /** Of a wall the layers stand side by side, from its left face to its right one. */
  readonly upright: boolean
}

const [width, left, deep, line] = [440, 24, 150, 16]
/** How wide a floor is cut out, and how high a wall. */
const cut = 130

/** The section through a build-up, its thicknesses to one scale, from the top down or from face to face. */
export function BuildUpPicture({ buildUp, slabs, upright }: BuildUpPictureProps) {
  const format = useFormat()
  const { bands, scale } = sectionOf(buildUp.layers, slabs, upright ? cut : deep)
  if (bands.length === 0) return null
  const said = (thickness: number, weight: number) =>
    `${formatQuantity(thickness, 'smallLength', format)}, ${formatQuantity(weight, 'pressure', format)}`
  const last = bands.at(-1)
  const drawn = last ? (last.from + last.size) * scale : 0
  const slab = bands.find(({ isSlab }) => isSlab)
  // of its own build-up: there are as many such pictures on a sheet as load keys
  const hatch = `slab-under-${buildUp.id}`
  const places = labelPlaces(
    bands.map(({ from, size }) => (from + size / 2) * scale),
    line,
  )
  const thin = buildUp.layers.filter(({ thickness }) => thickness === null).map(({ name }) => name)
  const notes = [
    ...(slab ? ['The slab is counted in self-weight, not in the build-up.'] : []),
    ...(thin.length > 0 ? [`No thickness entered: ${thin.join(', ')}.`] : []),
  ]
  const under = 20 + Math.max(upright ? cut : drawn, (places.at(-1) ?? 0) + line / 2)
  const [x1, y0] = [left + (upright ? drawn : cut), 12]
  return (
    <SheetPicture
      viewBox={`0 0 ${width} ${under + 18 * notes.length}`}
      role="img"
      aria-label={upright ? 'Section through the layers of the wall, to scale' : 'Section through the floor, to scale'}
    >
      {slab && (
        <pattern id={hatch} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V7" stroke="var(--quiet)" />
        </pattern>
      )}
      {bands.map(({ name, from, size, weight, isSlab }, i) => {
        const [at, part] = [from * scale, size * scale]
        const place = y0 + (places[i] ?? 0)
        const middle = at + part / 2
        return (
          <g key={i}>
            <rect
              {...(upright
                ? { x: left + at, y: y0, width: part, height: cut }
                : { x: left, y: y0 + at, width: cut, height: part })}
              fill={isSlab ? `url(#${hatch})` : i % 2 === 0 ? 'var(--accent-soft)' : 'var(--hairline)'}
              stroke="var(--ink)"
              strokeDasharray={isSlab ? '5 3' : undefined}
            />
            <path
              d={
                upright
                  ? `M${left + middle} ${place}H${x1 + 22}`
                  : `M${x1} ${y0 + middle}L${x1 + 14} ${place}H${x1 + 22}`
              }
              stroke="var(--quiet)"
              fill="none"
            />
            {upright && <circle cx={left + middle} cy={place} r={2} fill="var(--ink)" />}
            <text x={x1 + 28} y={place + 4}>
              {shortened(name, 26)} {said(size, weight)}
            </text>
          </g>
        )
      })}
      {notes.map((note, i) => (
        <text key={note} x={left} y={under + 10 + 18 * i}>
          {shortened(note, 68)}
        </text>
      ))}
    </SheetPicture>
  )
}

const shortened = (text: string, most: number) => (text.length > most ? `${text.slice(0, most - 1)}…` : text)
