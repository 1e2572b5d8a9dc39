import { SheetPicture } from '../../sheet/SheetPicture'

/** Global axes, a member with its own axis from start to end, and a load downwards. */
export const AxesPicture = () => (
  <SheetPicture
    viewBox="0 0 440 120"
    role="img"
    aria-label="Global axes X, Y and Z, and a member from start to end with load downwards"
  >
    <g stroke="var(--ink)" fill="var(--ink)" strokeWidth={1.8}>
      <line x1={60} y1={92} x2={116} y2={92} />
      <path d="M120 92l-9 -4v8z" stroke="none" />
      <line x1={60} y1={92} x2={92} y2={68} />
      <path d="M96 65l-10 2 5 6z" stroke="none" />
      <line x1={60} y1={92} x2={60} y2={36} />
      <path d="M60 31l-4 9h8z" stroke="none" />
    </g>
    <text x={124} y={97}>
      X, east
    </text>
    <text x={100} y={64}>
      Y, north
    </text>
    <text x={66} y={38}>
      Z, up
    </text>
    <g stroke="var(--permanent)" fill="var(--permanent)">
      {Array.from({ length: 11 }, (_, i) => 240 + i * 15).map((x) => (
        <g key={x}>
          <line x1={x} x2={x} y1={46} y2={74} strokeWidth={1} />
          <path d={`M${x} 78l-3 -7h6z`} stroke="none" />
        </g>
      ))}
      <line x1={240} x2={390} y1={46} y2={46} strokeWidth={1.3} />
    </g>
    <line x1={240} x2={390} y1={81} y2={81} stroke="var(--ink)" strokeWidth={4} />
    <text x={240} y={102} textAnchor="middle">
      start, s = 0
    </text>
    <text x={390} y={102} textAnchor="middle">
      end
    </text>
    <text x={315} y={38} textAnchor="middle">
      q, positive downwards
    </text>
  </SheetPicture>
)
