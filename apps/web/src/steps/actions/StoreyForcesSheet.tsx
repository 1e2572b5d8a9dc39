import { numberField, earthquakeRuleOf, formatQuantity, lateralCase, newId, type StoreyForces } from '@hedrion/core'
import { useWords } from '../../compute/useWords'
import { useAnswer, useFormat, useRecords } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { Chain } from '../../sheet/Chain'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { NameField } from '../../sheet/NameField'
import { Line, Note, Section, Sheet } from '../../sheet/Sheet'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { useLook } from '../../state/look'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'

/** Storey forces that go with the weight of the levels, or as typed. */
export function StoreyForcesSheet({ caseId }: { readonly caseId: string }) {
  const inWords = useWords()
  const record = useRecords('storeyForces').find(({ id }) => lateralCase(id) === caseId)
  if (!record) return <Sheet title={inWords('Storey forces')}>{null}</Sheet>
  return (
    <Sheet title={record.name} scope={inWords('horizontal, at the centre of mass of each level')}>
      <Push record={record} />
      <Levels record={record} caseId={caseId} />
      <StoreyForcesList />
      <ConcernsHere codes="storey." />
    </Sheet>
  )
}

function Push({ record }: { readonly record: StoreyForces }) {
  const inWords = useWords()
  const edit = useEdit()
  const fieldOf = useFieldOf()
  const [, change] = useLook()
  const remove = () => {
    edit.remove(`${inWords('Storey forces')} ${record.name} deleted`, [record])
    change({ case: null })
  }
  return (
    <Section
      title="Direction and magnitude"
      aside={
        <Button kind="link" onPress={remove}>
          Delete
        </Button>
      }
    >
      <Line reference="name">
        <NameField label={inWords('Name of the storey forces')} record={record} maxLength={60} />
      </Line>
      <Line reference="direction">
        <QuantityField {...fieldOf(record, 'angle', 'direction of the force')} /> from global X, counterclockwise
      </Line>
      <RuleLines record={record} />
      <Line reference="eccentricity">
        <QuantityField {...fieldOf(record, 'aside', 'eccentricity')} />
        {inWords(' from the centre of mass, to the left of the force')}
      </Line>
    </Section>
  )
}

/** A percentage of weight of each level; or the family's clauses for earthquakes, where it has some. */
function RuleLines({ record }: { readonly record: StoreyForces }) {
  const inWords = useWords()
  const fieldOf = useFieldOf()
  const choiceOf = useChoiceOf()
  const [basis] = useRecords('basis')
  const rule = earthquakeRuleOf(basis?.family ?? 'EN')
  const isEarthquake = record.rule === 'earthquake'
  const address = `baseShear:${lateralCase(record.id)}`
  const traced = useAnswer({ kind: 'why', address })
  const rules = [
    ['share', 'percentage of weight'],
    ['earthquake', rule?.name ?? 'seismic, to the standard'],
  ] as const
  return (
    <>
      {(rule !== null || isEarthquake) && (
        <Line reference="derived from">
          <Choice
            {...choiceOf(record, 'rule', 'derived from', { label: inWords('Basis of storey forces'), options: rules })}
          />
        </Line>
      )}
      {!isEarthquake && (
        <Line reference="percentage of weight">
          <QuantityField {...fieldOf(record, 'share', 'percentage of weight')} /> of the seismic mass of a level
        </Line>
      )}
      {isEarthquake && (
        <>
          <Line reference="period">
            <QuantityField
              {...fieldOf(record, 'period', 'period of the building', {
                optional: true,
                placeholder: 'from the height',
              })}
            />
          </Line>
          {traced && <Chain traced={traced} address={address} />}
          <Note>
            Zone, importance, response reduction, soil and period factors are values of the standard, in Basis.
            Defaults: zone II, medium soil.
          </Note>
        </>
      )}
    </>
  )
}

function Levels({ record, caseId }: { readonly record: StoreyForces; readonly caseId: string }) {
  const inWords = useWords()
  const edit = useEdit()
  const format = useFormat()
  const lateral = useAnswer({ kind: 'lateral', caseId })
  const setForce = (levelId: string, level: string, force: number | null) => {
    const others = record.forces.filter((entry) => entry.level !== levelId)
    const forces = force === null ? others : [...others, { level: levelId as `level:${string}`, force }]
    const said = force === null ? 'by weight' : formatQuantity(force, 'force', format)
    return edit.set(record, `${inWords('Storey forces')} ${record.name}: level ${level} ${said}`, { forces })
  }
  if (!lateral) return null
  return (
    <Section title={inWords('Storey forces')}>
      {lateral.storeys.map(({ levelId, level, force, point }) => (
        <Line
          key={levelId}
          reference={`level ${level}`}
          result={
            <Value
              value={Math.hypot(force.fx, force.fy)}
              quantity="force"
              address={`storeyForce:${caseId}@${levelId}`}
            />
          }
        >
          <QuantityField
            label={`force on level ${level}`}
            {...numberField('storeyForces', 'forces.0.force')}
            format={format}
            value={record.forces.find((entry) => entry.level === levelId)?.force ?? null}
            optional
            placeholder={record.rule === 'earthquake' ? 'by share' : 'by weight'}
            onCommit={(value) => setForce(levelId, level, value)}
          />
          {point && (
            <small>
              {' '}
              at <Value value={point[0]} quantity="length" strong={false} />;{' '}
              <Value value={point[1]} quantity="length" strong={false} />
            </small>
          )}
        </Line>
      ))}
      <Line lit reference="sum" result={<Value value={lateral.total} quantity="force" address={`applied:${caseId}`} />}>
        along the force
      </Line>
      <Note>
        {inWords(
          'A separate case that is not combined. Its distribution per storey is shown in Paths and exported with the storey forces.',
        )}
      </Note>
    </Section>
  )
}

/** All of them, each with its case; and a new one. */
export function StoreyForcesList() {
  const inWords = useWords()
  const records = useRecords('storeyForces')
  const edit = useEdit()
  const [look, change] = useLook()
  const add = () => {
    const record: StoreyForces = {
      kind: 'storeyForces',
      id: newId('storeyForces', Math.random),
      name: `${inWords('Storey forces')} ${records.length + 1}`,
      angle: records.length % 2 === 0 ? 0 : Math.PI / 2,
      rule: 'share',
      period: null,
      share: 0.01,
      aside: 0,
      forces: [],
    }
    if (edit.add(`${record.name} by weight`, [record]) === undefined)
      change({ case: lateralCase(record.id), picked: [] })
  }
  return (
    <Section
      title={inWords('Storey forces by weight')}
      aside={
        <Button kind="link" onPress={add}>
          Add
        </Button>
      }
    >
      {records.length === 0 && (
        <Note>
          {inWords(
            'None. Applied at the centre of mass of each level, e.g. notional horizontal forces or a first estimate of seismic forces.',
          )}
        </Note>
      )}
      {records.map((record) => (
        <Line
          key={record.id}
          lit={lateralCase(record.id) === look.case}
          reference="case"
          result={<Value value={record.share} quantity="factor" />}
        >
          <Button kind="link" onPress={() => change({ case: lateralCase(record.id), picked: [] })}>
            {record.name}
          </Button>
        </Line>
      ))}
    </Section>
  )
}
