import { useRef, type ReactNode } from 'react'
import { Button } from './Button'

interface FileButtonProps {
  readonly kind?: 'link'
  /** What the file is, for a reader. */
  readonly label: string
  readonly accept: string
  readonly onFile: (file: File) => void
  readonly 'aria-label'?: string
  readonly children: ReactNode
}

/** A button that asks for a file; the same file may be chosen again. */
export function FileButton({ label, accept, onFile, children, ...more }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <Button {...more} onPress={() => input.current?.click()}>
        {children}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        hidden
        aria-label={label}
        onChange={(event) => {
          const [file] = event.target.files ?? []
          if (file) onFile(file)
          event.target.value = ''
        }}
      />
    </>
  )
}
