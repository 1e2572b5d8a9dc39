import { useCited } from '../../compute/useCited'
import { familyOf, type LoadKey } from '@hedrion/core'
import { useAnswer, useRecords } from '../../compute/SessionContext'
import { Line } from '../../sheet/Sheet'
import { SymbolText } from '../../sheet/SymbolText'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { Fold } from '../../ui/Fold'
import { QuantityField } from '../../ui/QuantityField'
import { useTerms } from '../../compute/useTerms'

/** What a load key carries beside the finished floor: during construction, and for the mass of the level. */
export function StageLines({ loadKey }: { readonly loadKey: LoadKey }) {
  const said = [loadKey.constructionPermanent, loadKey.constructionImposed, loadKey.massOnly, loadKey.massShare]
  const count = said.filter((value) => value !== null).length
  return (
    <Fold
      title="Construction stage, mass"
      aside={count === 0 ? 'same as finished floor' : `${count} entered`}
      startsOpen={count > 0}
    >
      <Fields loadKey={loadKey} />
    </Fold>
  )
}

function Fields({ loadKey }: { readonly loadKey: LoadKey }) {
  const fieldOf = useFieldOf()
  const loads = useAnswer({ kind: 'keys' })?.find(({ key }) => key.id === loadKey.id)
  const [basis] = useRecords('basis')
  const pressure = { min: 0, max: 1e6, optional: true, placeholder: 'none' } as const
  const { name } = loadKey
  const cited = useCited()
  const terms = useTerms()
  return (
    <>
      <Line reference="during construction">
        {terms.permanent}{' '}
        <QuantityField
          {...fieldOf(
            loadKey,
            'constructionPermanent',
            `construction, ${terms.permanent}, of ${name}`,
            'pressure',
            pressure,
          )}
        />
      </Line>
      <Line reference="during construction">
        {terms.imposed}{' '}
        <QuantityField
          {...fieldOf(
            loadKey,
            'constructionImposed',
            `construction, ${terms.imposed}, of ${name}`,
            'pressure',
            pressure,
          )}
        />
      </Line>
      <Line
        reference={basis ? cited(familyOf(basis.family).mass.clause) : 'mass'}
        result={
          loads && <Value value={loads.massShare.value} quantity="factor" address={`key:${loadKey.id}:massShare`} />
        }
      >
        <SymbolText name="ψ_E" /> of the {terms.imposed} load in the seismic mass{' '}
        <QuantityField
          {...fieldOf(loadKey, 'massShare', `share of ${name} in the seismic mass`, 'factor', {
            min: 0,
            max: 1,
            optional: true,
            placeholder: 'from the standard',
          })}
        />
      </Line>
      <Line reference="additional seismic mass">
        <QuantityField {...fieldOf(loadKey, 'massOnly', `additional seismic mass of ${name}`, 'pressure', pressure)} />{' '}
        <small>applies no load</small>
      </Line>
    </>
  )
}
