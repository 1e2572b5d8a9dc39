import { Slider, SliderThumb, SliderTrack } from 'react-aria-components'
import styled from 'styled-components'

interface PlaceSliderProps {
  readonly label: string
  /** Across the span, m. */
  readonly width: number
  readonly at: number
  readonly onMove: (at: number) => void
}

/** Moves the strip across its panel, by hand or by the arrow keys; the plan and the statics follow. */
export const PlaceSlider = ({ label, width, at, onMove }: PlaceSliderProps) => (
  <Across
    aria-label={label}
    minValue={0}
    maxValue={width}
    step={0.01}
    value={Math.min(at, width)}
    onChange={(value) => onMove(Number(value))}
  >
    <Track>
      <Thumb />
    </Track>
  </Across>
)

const Across = styled(Slider)`
  margin: 4px 32px 10px;
`
const Track = styled(SliderTrack)`
  height: 22px;
  background: linear-gradient(var(--hairline), var(--hairline)) center / 100% 2px no-repeat;
  cursor: pointer;
`
const Thumb = styled(SliderThumb)`
  top: 50%;
  width: 10px;
  height: 20px;
  border-radius: 3px;
  background: var(--accent);
  cursor: ew-resize;
  touch-action: none;
  &[data-focus-visible] {
    outline: 2px solid var(--ink);
    outline-offset: 2px;
  }
`
