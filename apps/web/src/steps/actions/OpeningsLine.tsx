import { openingsArea, openingsText, readOpenings, type WallRun, typedExample } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { Several } from '../../sheet/Several'
import { Line } from '../../sheet/Sheet'
import { severalWord, shared } from '../../sheet/several'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { QuantityField } from '../../ui/QuantityField'
import { TextLine } from '../../ui/TextLine'

/** Openings as a share of the wall area, or by their sizes; sizes go before the share. */
export function OpeningsLine({ runs }: { readonly runs: readonly WallRun[] }) {
  const edit = useEdit()
  const note = useNote()
  const format = useFormat()
  const fieldOf = useFieldOf()
  const share = shared(runs.map(({ openingShare }) => openingShare))
  const texts = runs.map(({ openingSizes }) => openingsText(openingSizes, format))
  const bySize = shared(texts)
  const [first] = runs
  const sized = runs.some(({ openingSizes }) => openingSizes.length > 0)
  const setSizes = (text: string): string | undefined => {
    const read = readOpenings(text, format)
    if (!read.ok) return read.problem
    const after = openingsText(read.sizes, format)
    return edit.setEach(
      runs,
      note.text(runs, 'openings', bySize === '' ? 'none' : (bySize ?? severalWord), after || 'none'),
      () => ({
        openingSizes: read.sizes,
      }),
    )
  }
  return (
    <>
      {!sized && (
        <Line reference="openings">
          <QuantityField {...fieldOf(runs, 'openingShare', 'share of openings')} /> of the face
          {share === null ? '' : `, ${percent(share)}`}
          <Several records={runs} textOf={({ openingShare }) => percent(openingShare)} />
        </Line>
      )}
      <Line
        reference={sized ? 'openings' : 'or by size'}
        result={
          sized && bySize !== null && first ? (
            <Value value={openingsArea(first.openingSizes).value} quantity="area" />
          ) : undefined
        }
      >
        <TextLine
          label="Openings by size"
          value={bySize ?? ''}
          placeholder={bySize === null ? severalWord : typedExample('openings', format)}
          maxLength={400}
          onCommit={setSizes}
        />
      </Line>
    </>
  )
}

const percent = (share: number): string => `${Number((share * 100).toFixed(1))} %`
