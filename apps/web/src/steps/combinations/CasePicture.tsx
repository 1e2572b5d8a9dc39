import { lateralCase, windDirectionOf, type CaseView, type ElevationView, largest, smallest } from '@hedrion/core'
import { useRecords } from '../../compute/SessionContext'

const [width, height] = [92, 54]

/** A small picture of the building, from the south, with what the case puts on it. */
export function CasePicture({
  view,
  loadCase,
}: {
  readonly view: ElevationView | undefined
  readonly loadCase: CaseView
}) {
  const levels = (view?.levels ?? []).filter(({ carrying }) => carrying)
  const base = view?.levels[0]?.z ?? 0
  const top = levels.at(-1)?.z ?? 1
  const us = view?.columns.map(({ u }) => u) ?? [0, 1]
  const [u0, u1] = [smallest(us), largest(us)]
  const x = (u: number) => 22 + ((u - u0) / Math.max(1e-9, u1 - u0)) * (width - 44)
  const y = (z: number) => height - 8 - ((z - base) / Math.max(1e-9, top - base)) * (height - 24)
  const pushes = useRecords('storeyForces')
  const push = pushes.find(({ id }) => lateralCase(id) === loadCase.id)
  const direction = push ? fromSide(push.angle) : windDirectionOf(loadCase.id)
  return (
    <svg width={width} height={height} aria-hidden>
      <g stroke="var(--ink)" strokeWidth={1.2} fill="none">
        {[...new Set(us)].map((u) => (
          <line key={u} x1={x(u)} x2={x(u)} y1={y(base)} y2={y(top)} />
        ))}
        {levels.map(({ id, z }) => (
          <line key={id} x1={x(u0)} x2={x(u1)} y1={y(z)} y2={y(z)} />
        ))}
      </g>
      {direction ? (
        <PushMarks direction={direction} levels={levels.map(({ z }) => y(z))} left={x(u0)} right={x(u1)} />
      ) : (
        <GravityMarks id={loadCase.id} levels={levels.map(({ z }) => y(z))} left={x(u0)} right={x(u1)} />
      )}
    </svg>
  )
}

/** The side from which a push at an angle from global X comes, as the picture has it. */
function fromSide(angle: number): 'west' | 'south' | 'east' | 'north' {
  const [x, y] = [Math.cos(angle), Math.sin(angle)]
  if (Math.abs(x) >= Math.abs(y)) return x > 0 ? 'west' : 'east'
  return y > 0 ? 'south' : 'north'
}

interface MarksProps {
  readonly levels: readonly number[]
  readonly left: number
  readonly right: number
}

function PushMarks({ direction, levels, left, right }: MarksProps & { readonly direction: string }) {
  if (direction === 'west' || direction === 'east') {
    const [from, to] = direction === 'west' ? [left - 18, left - 3] : [right + 18, right + 3]
    const back = direction === 'west' ? -6 : 6
    return (
      <g stroke="var(--wind)" fill="var(--wind)">
        {levels.map((y) => (
          <g key={y}>
            <line x1={from} x2={to} y1={y} y2={y} strokeWidth={1.8} />
            <path d={`M${to} ${y}l${back} -3v6z`} stroke="none" />
          </g>
        ))}
      </g>
    )
  }
  const middle = (left + right) / 2
  const y = levels[Math.floor(levels.length / 2)] ?? 20
  // the tip of an arrow coming towards the viewer, or its feathers going away
  return (
    <g stroke="var(--wind)" fill="none" strokeWidth={1.6}>
      <circle cx={middle} cy={y} r={6} fill="var(--raised)" />
      {direction === 'north' ? (
        <circle cx={middle} cy={y} r={1.6} fill="var(--wind)" />
      ) : (
        <path d={`M${middle - 4} ${y - 4}l8 8M${middle + 4} ${y - 4}l-8 8`} />
      )}
    </g>
  )
}

/** Ticks above the floors that the case loads: the roof for roof access, the floors for imposed, all for permanent. */
function GravityMarks({ id, levels, left, right }: MarksProps & { readonly id: string }) {
  const loaded = id.startsWith('roof/') ? levels.slice(-1) : id.startsWith('imposed/') ? levels.slice(0, -1) : levels
  const mark = id.startsWith('permanent/') ? 'var(--permanent)' : 'var(--imposed)'
  const count = 7
  return (
    <g stroke={mark} strokeWidth={1.4}>
      {loaded.flatMap((y) =>
        Array.from({ length: count }, (_, i) => {
          const x = left + ((right - left) * (i + 0.5)) / count
          return <line key={`${y} ${i}`} x1={x} x2={x} y1={y - 6} y2={y - 1} />
        }),
      )}
    </g>
  )
}
