import { formatQuantity, type PartsPicture, largest } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { PictureFrame } from './pictureFrame'

const width = 440
const rowHeight = 34
const longest = 250

/** For each case a bar of what it puts on the building, and under it what is left or added by the parameter. */
export function PartsDrawn({ picture: { parts }, says }: { readonly picture: PartsPicture; readonly says: string }) {
  const format = useFormat()
  const most = Math.max(
    largest(parts.flatMap(({ whole, part }) => [Math.abs(whole), Math.abs(part)])),
    Number.MIN_VALUE,
  )
  const long = (force: number) => (Math.abs(force) / most) * longest
  return (
    <PictureFrame viewBox={`0 0 ${width} ${parts.length * rowHeight}`} role="img" aria-label={says}>
      {parts.map(({ name, whole, part }, i) => (
        <g key={name} transform={`translate(0 ${i * rowHeight})`}>
          <text x={0} y={11}>
            {name}
          </text>
          <rect x={0} y={15} width={long(whole)} height={6} fill="none" stroke="var(--ink)" />
          <rect x={0} y={23} width={long(part)} height={6} fill="var(--accent)" />
          <text x={Math.max(long(whole), long(part)) + 8} y={26}>
            {formatQuantity(whole, 'force', format)} → {formatQuantity(part, 'force', format)}
          </text>
        </g>
      ))}
    </PictureFrame>
  )
}
