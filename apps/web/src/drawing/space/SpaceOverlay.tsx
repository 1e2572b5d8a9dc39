import { useCallback, useSyncExternalStore, type ReactNode } from 'react'
import styled from 'styled-components'
import type { Sight } from '../sight'
import type { SpaceScene } from './SpaceScene'

interface SpaceOverlayProps {
  readonly scene: SpaceScene
  readonly draw: (sight: Sight) => ReactNode
}

/** What is drawn over the picture in space; it follows the view. */
export function SpaceOverlay({ scene, draw }: SpaceOverlayProps) {
  const watch = useCallback((listener: () => void) => scene.watch(listener), [scene])
  const sight = useSyncExternalStore(watch, () => scene.sight())
  return <Over aria-hidden>{draw(sight)}</Over>
}

const Over = styled.svg`
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
`
