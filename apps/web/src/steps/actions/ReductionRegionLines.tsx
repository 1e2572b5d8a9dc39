import { memo } from 'react'
import type { ReductionRegion } from '@hedrion/core'
import { useAnswer, useRecords } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { useCaseId } from '../../drawing/useCaseInView'
import { NameField } from '../../sheet/NameField'
import { Several } from '../../sheet/Several'
import { Line, Note, Section } from '../../sheet/Sheet'
import { severalWord, shared, wordOf } from '../../sheet/several'
import { SymbolText } from '../../sheet/SymbolText'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'

const slabWays = [
  ['byArea', 'by the area of the region'],
  ['typed', 'by a factor'],
  ['whole', 'no reduction'],
] as const

const beamWays = [
  ['usual', 'by the area each beam supports'],
  ['typed', 'by a factor'],
  ['whole', 'no reduction'],
] as const

interface ReductionRegionLinesProps {
  readonly regions: readonly ReductionRegion[]
}

/** How slabs and beams of the picked regions are spared imposed load, and what that makes of the case in view. */
export const ReductionRegionLines = memo(function ReductionRegionLines({ regions }: ReductionRegionLinesProps) {
  const [first] = regions
  if (!first) return null
  const alone = regions.length === 1
  return (
    <Section title={alone ? 'Reduction region' : `${regions.length} reduction regions`}>
      {alone && (
        <Line reference="label">
          <NameField label="Label of the region" record={first} />
        </Line>
      )}
      <Ways regions={regions} />
      {alone && <InThisCase region={first} />}
      <SlabNote />
    </Section>
  )
})

function Ways({ regions }: ReductionRegionLinesProps) {
  const fieldOf = useFieldOf()
  const edit = useEdit()
  const note = useNote()
  const set = (what: string, fields: (region: ReductionRegion) => Partial<ReductionRegion>) =>
    edit.setEach(regions, `${note.subject(regions)}: ${what}`, fields)
  return (
    <>
      <Line reference="slabs">
        reduced{' '}
        <Choice
          label="Slabs"
          value={shared(regions.map(({ slabs }) => slabs))}
          placeholder={severalWord}
          options={slabWays}
          onChange={(slabs) =>
            set(`slabs ${wordOf(slabWays, slabs)}`, ({ slabFactor }) => ({ slabs, slabFactor: slabFactor ?? 1 }))
          }
        />{' '}
        {regions.every(({ slabs }) => slabs === 'typed') && (
          <QuantityField {...fieldOf(regions, 'slabFactor', 'factor for slabs')} />
        )}
        <Several records={regions} textOf={({ slabs }) => wordOf(slabWays, slabs)} />
      </Line>
      <Line reference="beams">
        reduced{' '}
        <Choice
          label="Beams"
          value={shared(regions.map(({ beams }) => beams))}
          placeholder={severalWord}
          options={beamWays}
          onChange={(beams) =>
            set(`beams ${wordOf(beamWays, beams)}`, ({ beamFactor }) => ({ beams, beamFactor: beamFactor ?? 1 }))
          }
        />{' '}
        {regions.every(({ beams }) => beams === 'typed') && (
          <QuantityField {...fieldOf(regions, 'beamFactor', 'factor for beams')} />
        )}
        <Several records={regions} textOf={({ beams }) => wordOf(beamWays, beams)} />
      </Line>
    </>
  )
}

/** Level by level: floor of the category, factor, and what is left for the design of the slab. */
function InThisCase({ region }: { readonly region: ReductionRegion }) {
  const caseId = useCaseId()
  const rows = useAnswer({ kind: 'slabReductions', caseId }) ?? []
  const own = rows.filter(({ expandedId }) => expandedId.startsWith(`${region.id}@`))
  if (own.length === 0) return <Note>No slab load of the region is reduced in the case shown.</Note>
  return own.map(({ expandedId, levelName, area, factor, whole, reduced }) => (
    <Line
      key={expandedId}
      reference={`level ${levelName}`}
      result={<Value value={reduced / area} quantity="pressure" />}
    >
      <SymbolText name="alpha" /> ={' '}
      <Value value={factor} quantity="factor" address={`slabReduction:${expandedId}:${caseId}`} strong={false} />, times{' '}
      <Value value={whole / area} quantity="pressure" strong={false} /> on{' '}
      <Value value={area} quantity="area" strong={false} />
    </Line>
  ))
}

/** What the reduced load of slabs is for, and what of a one-way slab counts. */
function SlabNote() {
  const [basis] = useRecords('basis')
  return (
    <Note>
      Slab reactions stay unreduced; the reduction is for slab design only. Applies to beams whose midpoint is inside
      the region; the smallest region governs.
      {basis?.family === 'ASCE' && ' The width of a one-way slab is limited to 1.5 times its span (4.7.6).'}
    </Note>
  )
}
