import { shownAsCsv, shownAsTabbed } from '@hedrion/core'
import styled from 'styled-components'
import { Button } from './Button'
import { CopyButton } from './CopyButton'
import { fileName, saveFile } from './saveFile'

interface TableOutProps {
  /** What the file is called. */
  readonly name: string
  /** The heading and the rows as they are shown; made when asked for. */
  readonly rows: () => readonly (readonly string[])[]
  readonly label?: string
}

/** A table for the clipboard, and as a file. */
export function TableOut({ name, rows, label = 'Copy table' }: TableOutProps) {
  return (
    <Ways>
      <CopyButton kind="link" label={label} text={() => shownAsTabbed(rows())} />
      <Button
        kind="link"
        aria-label={`Save as CSV: ${name}`}
        onPress={() => saveFile(`${fileName(name)}.csv`, shownAsCsv(rows()), 'text/csv')}
      >
        CSV
      </Button>
    </Ways>
  )
}

const Ways = styled.span`
  display: inline-flex;
  gap: 12px;
`
