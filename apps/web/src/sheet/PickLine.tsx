import type { ReactNode } from 'react'
import { pickNow, useIsPicked } from '../state/look'
import { Button } from '../ui/Button'
import { Line } from './Sheet'

interface PickLineProps {
  /** Expanded id of what the line stands for. */
  readonly id: string
  readonly reference: string
  /** Pressed, it picks. */
  readonly name: string
  readonly result?: ReactNode
  readonly children?: ReactNode
}

/** A line of a list whose thing can be picked, lit while it is. */
export function PickLine({ id, reference, name, result, children }: PickLineProps) {
  return (
    <Line reference={reference} lit={useIsPicked(id)} result={result}>
      <Button kind="link" onPress={() => pickNow([id])}>
        {name}
      </Button>
      {children}
    </Line>
  )
}
