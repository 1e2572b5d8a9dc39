import { useEffect, useRef, type KeyboardEvent, type PointerEvent, type ReactNode, type RefObject } from 'react'
import styled from 'styled-components'
import { useLook, type SheetWidth } from '../state/look'
import { TraceCard } from './TraceCard'
import { pressed } from '../state/shortcuts'

interface StepLayoutProps {
  /** Above the drawing, at the left and at the right. */
  readonly bar?: ReactNode
  readonly drawing: ReactNode
  readonly sheet: ReactNode
  /** Names the sheet for a reader. */
  readonly name: string
}

const widths: Readonly<Record<SheetWidth, string>> = { narrow: '486px', wide: '744px', table: '972px' }
const order: readonly SheetWidth[] = ['narrow', 'wide', 'table']

/** The drawing at the left, the sheet at the right, and between them a divider that a key can move. */
export function StepLayout({ bar, drawing, sheet, name }: StepLayoutProps) {
  const [look, change] = useLook()
  const pane = useRef<HTMLDivElement>(null)
  useTopInView(pane)
  const widen = (by: number) =>
    change({ sheet: order[Math.min(2, Math.max(0, order.indexOf(look.sheet) + by))] ?? 'narrow' })
  const onKeyDown = (event: KeyboardEvent) => {
    if (pressed(event, 'widen')) widen(1)
    if (pressed(event, 'narrow')) widen(-1)
  }
  const onPointerDown = (event: PointerEvent) => {
    const from = event.clientX
    const move = (later: globalThis.PointerEvent) => {
      if (Math.abs(later.clientX - from) < 60) return
      widen(later.clientX < from ? 1 : -1)
      removeEventListener('pointermove', move)
    }
    addEventListener('pointermove', move)
    addEventListener('pointerup', () => removeEventListener('pointermove', move), { once: true })
  }
  return (
    <Body>
      <Left data-region="drawing">
        {bar !== undefined && <Bar>{bar}</Bar>}
        {drawing}
      </Left>
      <Divider
        role="separator"
        tabIndex={0}
        aria-orientation="vertical"
        aria-label="Width of the sheet"
        aria-valuenow={order.indexOf(look.sheet) + 1}
        aria-valuemin={1}
        aria-valuemax={3}
        onKeyDown={onKeyDown}
        onPointerDown={onPointerDown}
      />
      <Right
        style={{ width: widths[look.sheet] }}
        aria-label={name}
        data-region="sheet"
        onKeyDown={(event) => {
          if (pressed(event, 'usualWidth') && look.sheet !== 'narrow') change({ sheet: 'narrow' })
        }}
      >
        <Pane ref={pane} tabIndex={-1}>
          {sheet}
        </Pane>
        <TraceCard />
      </Right>
    </Body>
  )
}

/**
 * What is picked stands first on the sheet, so a pick brings the top into view; an effect of the envelopes does so too,
 * but for a reader who goes down its list.
 */
function useTopInView(pane: RefObject<HTMLDivElement | null>): void {
  const [{ picked, effect }] = useLook()
  const pick = picked.join()
  const shown = useRef({ pick, effect })
  useEffect(() => {
    const { current: before } = shown
    shown.current = { pick, effect }
    // a sheet that has just come is at its top
    const isNew = before.pick !== pick || (before.effect !== effect && !pane.current?.contains(document.activeElement))
    if (!isNew) return
    // with the frame that lays the page out anyway
    const frame = requestAnimationFrame(() => pane.current?.scrollTo({ top: 0 }))
    return () => cancelAnimationFrame(frame)
  }, [pane, pick, effect])
}

const Body = styled.div`
  flex: 1;
  display: flex;
  min-width: 0;
  min-height: 0;
  @media (max-width: 900px) {
    flex-direction: column;
    overflow: auto;
  }
`
const Left = styled.section`
  flex: 1;
  min-width: 160px;
  display: flex;
  flex-direction: column;
  min-height: 0;
  @media (max-width: 900px) {
    min-height: 420px;
  }
`
const Bar = styled.div`
  flex: none;
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 4px 16px;
  padding: 8px 16px 2px;
`
const Divider = styled.div`
  flex: none;
  width: 6px;
  margin: 0 -3px;
  z-index: 2;
  cursor: col-resize;
  background: linear-gradient(var(--hairline), var(--hairline)) center / 1px 100% no-repeat;
  &:hover,
  &:focus-visible {
    background: var(--accent);
    outline: none;
  }
  @media (max-width: 900px) {
    display: none;
  }
`
const Right = styled.section`
  flex: none;
  max-width: calc(100% - 160px);
  display: flex;
  flex-direction: column;
  min-height: 0;
  background: var(--sheet);
  @media (max-width: 900px) {
    width: 100% !important;
    max-width: 100%;
  }
`
const Pane = styled.div`
  flex: 1;
  overflow: auto;
  outline: none;
`
