import { formatQuantity, takesOff, type WallRun } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { useLit } from '../../sheet/litStore'
import { SheetPicture } from '../../sheet/SheetPicture'

interface WallPictureProps {
  readonly run: WallRun
  readonly head: {
    readonly storeyHeight: number | null
    readonly beamDepth: number | null
    readonly slabDepth: number | null
  }
  readonly height: number | null
}

const [width, tall, left] = [440, 176, 150]

/** The storey in section, drawn from its own numbers: what is taken off the height, and what is left for the wall. */
export function WallPicture({ run, head, height }: WallPictureProps) {
  const format = useFormat()
  const lit = useLit((state) => state.field)
  const storey = head.storeyHeight ?? height ?? 3
  const slab = head.slabDepth ?? 0
  const beam = head.beamDepth ?? 0
  const [base, scale] = [tall - 22, (tall - 44) / storey]
  const y = (z: number) => base - z * scale
  const show = (value: number) => formatQuantity(value, 'length', format)
  const net = height ?? 0
  return (
    <SheetPicture viewBox={`0 0 ${width} ${tall}`} role="img" aria-label="Section through the wall with its net height">
      <rect x={left - 60} y={y(0)} width={170} height={9} fill="var(--hairline)" stroke="var(--ink)" />
      {head.storeyHeight !== null && (
        <>
          <rect
            x={left - 60}
            y={y(storey)}
            width={170}
            height={Math.max(3, slab * scale)}
            fill="var(--hairline)"
            stroke="var(--ink)"
          />
          {beam > 0 && (
            <g fill="none" stroke="var(--ink)" strokeWidth={1.6}>
              <path
                d={`M${left + 6} ${y(storey)}h30M${left + 21} ${y(storey)}V${y(storey - beam)}M${left + 6} ${y(storey - beam)}h30`}
              />
            </g>
          )}
        </>
      )}
      <rect
        x={left + 12}
        y={y(net)}
        width={18}
        height={Math.max(0, net * scale)}
        fill="var(--accent-soft)"
        stroke="var(--permanent)"
        strokeDasharray="3 2"
      />
      <Dimension x={left + 52} from={y(0)} to={y(net)} text={`net ${show(net)}`} lit={lit === 'height'} />
      {head.storeyHeight !== null && (
        <Dimension x={left - 86} from={y(0)} to={y(storey)} text={`storey ${show(storey)}`} />
      )}
      {beam > 0 && (
        <Dimension
          x={left + 130}
          from={y(storey)}
          to={y(storey - beam)}
          text={`beam ${show(beam)}${takesOff(run.heightRule, 'beam') ? '' : ', not deducted'}`}
        />
      )}
      {slab > 0 && (
        <text
          x={left + 118}
          y={y(storey) - 5}
        >{`slab ${show(slab)}${takesOff(run.heightRule, 'slab') ? '' : ', not deducted'}`}</text>
      )}
    </SheetPicture>
  )
}

interface DimensionProps {
  readonly x: number
  readonly from: number
  readonly to: number
  readonly text: string
  readonly lit?: boolean
}

const Dimension = ({ x, from, to, text, lit = false }: DimensionProps) => (
  <g stroke={lit ? 'var(--accent)' : 'var(--quiet)'} strokeWidth={lit ? 2 : 1}>
    <path d={`M${x - 4} ${from}h8M${x - 4} ${to}h8M${x} ${from}V${to}`} fill="none" />
    <text x={x + 8} y={(from + to) / 2 + 4} stroke="none">
      {text}
    </text>
  </g>
)
