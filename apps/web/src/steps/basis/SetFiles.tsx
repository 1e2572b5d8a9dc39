import {
  layerFileLimits,
  nationalSetEdits,
  readLayerFile,
  templateSet,
  writeLayerFile,
  type Basis,
  type Layer,
} from '@hedrion/core'
import { useState } from 'react'
import styled from 'styled-components'
import { useGetDocument } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { Button } from '../../ui/Button'
import { FileButton } from '../../ui/FileButton'
import { FieldProblem } from '../../ui/FieldProblem'
import { fileName, saveFile } from '../../ui/saveFile'

interface SetFilesProps {
  readonly basis: Basis
  readonly national: Layer | undefined
}

/** A set of values leaves as a file, and one that somebody edited comes in; what is wrong with it is said here. */
export function SetFiles({ basis: { family }, national }: SetFilesProps) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const [problem, setProblem] = useState<string | null>(null)
  const save = () => {
    const set = national ?? templateSet(family)
    saveFile(`${fileName(set.name)}.hedrion-layer.json`, writeLayerFile(family, set), 'application/json')
  }
  const load = async (file: File): Promise<string | undefined> => {
    if (file.size > layerFileLimits.bytes) return `The file is larger than ${layerFileLimits.bytes / 1024 / 1024} MB.`
    const read = readLayerFile(await file.text(), family)
    if (!read.ok) {
      const [{ path, problem: sentence }] = read.problems
      return path === '' ? sentence : `${path}: ${sentence}`
    }
    return edit.apply(`Value set from a file: ${read.set.name}`, nationalSetEdits(getDocument(), read.set, Math.random))
  }
  const choose = (file: File) => {
    load(file).then(
      (sentence) => setProblem(sentence ?? null),
      () => setProblem('The file could not be read.'),
    )
  }
  return (
    <Files>
      <Button kind="link" onPress={save} aria-label={`Export ${national?.name ?? 'the values'} as a file`}>
        export
      </Button>{' '}
      <FileButton
        kind="link"
        label="Value set file"
        accept=".json,application/json"
        onFile={choose}
        aria-label="Import a value set from a file"
      >
        import
      </FileButton>
      {problem !== null && <FieldProblem role="alert">{problem}</FieldProblem>}
    </Files>
  )
}

const Files = styled.span`
  position: relative;
  white-space: nowrap;
`
