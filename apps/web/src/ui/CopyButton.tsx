import { useState } from 'react'
import { Button } from './Button'

interface CopyButtonProps {
  /** Made when it is asked for. */
  readonly text: () => string
  readonly label?: string
  readonly kind?: 'quiet' | 'link'
}

/** Puts text on the clipboard and says so; where the browser refuses, it says that. */
export function CopyButton({ text, label = 'Copy', kind = 'quiet' }: CopyButtonProps) {
  const [said, setSaid] = useState<string | null>(null)
  const say = (word: string) => {
    setSaid(word)
    setTimeout(() => setSaid(null), 2000)
  }
  const copy = () =>
    void navigator.clipboard.writeText(text()).then(
      () => say('Copied'),
      () => say('Clipboard blocked by the browser'),
    )
  return (
    <Button kind={kind} onPress={copy}>
      {said ?? label}
    </Button>
  )
}
