import { gridMoveEdits, type Box, type GridLine, type Point } from '@hedrion/core'
import { useGetDocument, useRecords } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { gridLabelPlaces } from '../../drawing/gridMarks'
import type { Grab } from '../../drawing/usePointer'
import { toScreen, toWorld, type Viewport } from '../../drawing/viewport'
import { setDraft } from '../../sheet/draftStore'
import { useGridLook } from './gridStore'

/** A label is held within so many pixels. */
const reach = 14

/** Grid lines are dragged by their labels, to 50 mm; what the move would do is shown before it is let go. */
export function useGridDrag(): (at: Point, view: Viewport, box: Box) => Grab | null {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const note = useNote()
  const grid = useRecords('gridLine')
  return (at, view, box) => {
    const places = gridLabelPlaces(box, view)
    const line = grid.find((entry) => holds(entry, at, places, view))
    if (!line) return null
    const placeAt = (pixels: Point): number => {
      const [x, y] = toWorld(view, pixels)
      return Math.round((line.axis === 'x' ? x : y) * 20) / 20
    }
    const editsAt = (place: number) => gridMoveEdits(getDocument(), line, place, useGridLook.getState().takesAlong)
    return {
      move: (pixels) => {
        const place = placeAt(pixels)
        useGridLook.setState({ held: { line, at: place } })
        setDraft(editsAt(place))
      },
      end: (pixels) => {
        useGridLook.setState({ held: null })
        setDraft(null)
        const place = pixels ? placeAt(pixels) : line.at
        if (place !== line.at) edit.apply(note.value(line, 'place', 'length', line.at, place), editsAt(place))
      },
    }
  }
}

function holds(
  { axis, at: place }: GridLine,
  [px, py]: Point,
  labels: { readonly x: number; readonly y: number },
  view: Viewport,
): boolean {
  const [x, y] = toScreen(view, [place, place])
  if (axis === 'x') return Math.abs(px - x) <= reach && Math.abs(py - labels.y) <= reach
  return axis === 'y' && Math.abs(py - y) <= reach && Math.abs(px - labels.x) <= reach
}
