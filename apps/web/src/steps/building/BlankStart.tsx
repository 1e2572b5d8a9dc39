import { blankStartEdits, lengthsExample, readLengths, unitOf } from '@hedrion/core'
import { useState } from 'react'
import { useFormat, useGetDocument } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { useWords } from '../../compute/useWords'
import { Line, Note, Section, Warm } from '../../sheet/Sheet'
import { askFor, type CommandName } from '../../state/commands'
import { Button } from '../../ui/Button'
import { TextLine } from '../../ui/TextLine'

interface Lengths {
  readonly text: string
  readonly lengths: readonly number[]
}

const none: Lengths = { text: '', lengths: [] }

/** A project that begins without a frame: levels and layouts, with a grid or without, and then a plan or a table. */
export function BlankStart() {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const format = useFormat()
  const inWords = useWords()
  const [storeys, setStoreys] = useState<Lengths>(none)
  const [east, setEast] = useState<Lengths>(none)
  const [north, setNorth] = useState<Lengths>(none)
  const [refused, setRefused] = useState<string | null>(null)
  const field = (label: string, of: 'storeys' | 'spacings', value: Lengths, set: (read: Lengths) => void) => {
    const example = lengthsExample(of, format)
    const wanted =
      of === 'storeys'
        ? { name: inWords('storey'), least: 0.1, most: 100 }
        : { name: 'spacing', least: 0.01, most: 500 }
    const commit = (text: string): string | undefined => {
      const read =
        text === '' ? ({ ok: true, lengths: [] } as const) : readLengths(text, format, { ...wanted, example })
      if (!read.ok) return read.problem
      set({ text, lengths: read.lengths })
      return undefined
    }
    return <TextLine label={label} value={value.text} maxLength={200} placeholder={example} onCommit={commit} />
  }
  const hasStoreys = storeys.lengths.length > 0
  const start = (then: CommandName | null) => {
    const edits = blankStartEdits(
      getDocument(),
      { east: east.lengths, north: north.lengths, heights: storeys.lengths },
      Math.random,
    )
    const problem = edit.apply('Levels and grid', edits)
    setRefused(problem ?? null)
    if (!problem && then) askFor(then)
  }
  return (
    <Section title="Or start without a frame">
      <Line reference={inWords('storey heights')}>
        {field(inWords('Storey heights of the new building'), 'storeys', storeys, setStoreys)}{' '}
        <small>{unitOf('length', format)}, from the base up</small>
      </Line>
      <Line reference="grid">
        spacings east {field('Grid spacings east', 'spacings', east, setEast)}, north{' '}
        {field('Grid spacings north', 'spacings', north, setNorth)} <small>{unitOf('length', format)}</small>
      </Line>
      <Line reference="start with">
        <Button kind="link" isDisabled={!hasStoreys} onPress={() => start(null)}>
          Empty grid
        </Button>
        {' · '}
        <Button kind="link" isDisabled={!hasStoreys} onPress={() => start('importPlan')}>
          DXF plan
        </Button>
        {' · '}
        <Button kind="link" isDisabled={!hasStoreys} onPress={() => start('memberTable')}>
          Table of members
        </Button>
      </Line>
      {!hasStoreys && <Note>{inWords('Enter the storey heights first.')}</Note>}
      {refused !== null && <Warm>{refused}</Warm>}
    </Section>
  )
}
