import { useEffect, useMemo, useRef, useState } from 'react'
import { ListBox, ListBoxItem, Virtualizer, ListLayout, type Selection } from 'react-aria-components'
import styled from 'styled-components'
import type { Target } from './scene'
import { byNumber } from '../ui/byNumber'

interface DrawnListProps {
  readonly targets: readonly Target[]
  readonly picked: readonly string[]
  readonly onPick: (ids: readonly string[]) => void
}

/** In the order in which load goes. */
const kinds: readonly Target['kind'][] = [
  'panel',
  'patch',
  'opening',
  'slope',
  'wall',
  'load',
  'stair',
  'barrier',
  'wallSurface',
  'beam',
  'strut',
  'column',
  'stiff',
  'reductionRegion',
  'reaction',
  'level',
  'gridLine',
]

/** Objects in this view, in words, with the same selection as the picture: for readers, the keyboard and whoever prefers a list. */
export function DrawnList({ targets, picked, onPick }: DrawnListProps) {
  const items = useMemo(
    () =>
      [...new Map(targets.map((target) => [target.id, target])).values()].sort(
        (a, b) => kinds.indexOf(a.kind) - kinds.indexOf(b.kind) || byNumber.compare(a.text, b.text),
      ),
    [targets],
  )
  const list = useRef<HTMLDivElement>(null)
  const [layout] = useState(() => new ListLayout<Target>({ estimatedRowHeight: 48 }))
  const first = items.find(({ id }) => picked.includes(id))?.id
  useEffect(() => {
    if (first === undefined) return
    // the rows have their places after they are laid out
    const frame = requestAnimationFrame(() => {
      const [box, row] = [list.current, layout.getLayoutInfo(first)]
      // a pick in the list itself is in view already
      if (!box || !row || box.contains(document.activeElement)) return
      const { y, height } = row.rect
      if (y < box.scrollTop || y + height > box.scrollTop + box.clientHeight) box.scrollTo({ top: y - height })
    })
    return () => cancelAnimationFrame(frame)
  }, [first, layout])
  const choose = (selection: Selection) =>
    onPick(selection === 'all' ? items.map(({ id }) => id) : [...selection].map(String))
  return (
    <Side>
      <h3>Objects in this view</h3>
      <Virtualizer layout={layout}>
        <List
          ref={list}
          aria-label="Objects in this view"
          items={items}
          selectionMode="multiple"
          selectionBehavior="replace"
          selectedKeys={new Set(picked.filter((id) => items.some((item) => item.id === id)))}
          onSelectionChange={choose}
        >
          {(item) => (
            <Item id={item.id} textValue={item.text}>
              {unbroken(item.text)}
            </Item>
          )}
        </List>
      </Virtualizer>
    </Side>
  )
}

/** A number and its unit stay on one line. */
const unbroken = (text: string): string => text.replace(/(?<=\d) (?=[a-z])/gi, '\u00a0')

const Side = styled.div`
  width: 216px;
  flex: none;
  display: flex;
  flex-direction: column;
  border-right: 1px solid var(--hairline);
  background: var(--sheet);
  h3 {
    font: 600 14px/1.4 var(--sans);
    color: var(--accent);
    padding: 8px 12px 4px;
  }
`
const List = styled(ListBox<Target>)`
  flex: 1;
  overflow: auto;
  outline: none;
`
const Item = styled(ListBoxItem)`
  padding: 5px 12px;
  font-size: 13px;
  line-height: 1.35;
  border-bottom: 1px solid var(--hairline);
  cursor: pointer;
  outline: none;
  overflow-wrap: anywhere;
  &[data-focus-visible] {
    box-shadow: inset 0 0 0 2px var(--accent);
  }
  &[data-selected] {
    background: var(--accent-soft);
  }
`
