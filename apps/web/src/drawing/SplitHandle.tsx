import { Slider, SliderThumb, SliderTrack } from 'react-aria-components'
import styled from 'styled-components'

interface SplitHandleProps {
  /** What a reader hears. */
  readonly label: string
  /** What is drawn on each side. */
  readonly left: string
  readonly right: string
  /** From the left edge, 0 to 1. */
  readonly part: number
  readonly onMove: (part: number) => void
}

/** A line across the picture that parts two ways of drawing it; dragged, or moved by the arrow keys. */
export const SplitHandle = ({ label, left, right, part, onMove }: SplitHandleProps) => (
  <Across
    aria-label={label}
    minValue={0}
    maxValue={100}
    step={1}
    value={Math.round(100 * part)}
    onChange={(value) => onMove(Number(value) / 100)}
  >
    <Track>
      <Thumb>
        <Side data-side="left" aria-hidden>
          {left}
        </Side>
        <Side data-side="right" aria-hidden>
          {right}
        </Side>
      </Thumb>
    </Track>
  </Across>
)

const Across = styled(Slider)`
  position: absolute;
  inset: 0;
  pointer-events: none;
`
const Track = styled(SliderTrack)`
  width: 100%;
  height: 100%;
`
const Thumb = styled(SliderThumb)`
  top: 50%;
  width: 24px;
  height: 100%;
  pointer-events: auto;
  cursor: ew-resize;
  touch-action: none;
  /* the line, and a grip at its foot */
  background: linear-gradient(to right, transparent 11px, var(--accent) 11px 13px, transparent 13px);
  &::after {
    content: '';
    position: absolute;
    left: 4px;
    bottom: 52px;
    width: 16px;
    height: 34px;
    border-radius: 8px;
    background: var(--accent);
  }
  &[data-focus-visible]::after {
    outline: 2px solid var(--ink);
    outline-offset: 2px;
  }
`
const Side = styled.span`
  position: absolute;
  bottom: 60px;
  color: var(--quiet);
  font-size: 13px;
  white-space: nowrap;
  pointer-events: none;
  &[data-side='left'] {
    right: 28px;
  }
  &[data-side='right'] {
    left: 28px;
  }
`
