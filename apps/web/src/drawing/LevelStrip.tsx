import { RadioGroup, Radio } from 'react-aria-components'
import styled from 'styled-components'
import { useRecords } from '../compute/SessionContext'
import { useLit } from '../sheet/litStore'
import { useLevel } from './useLevel'

/** The building as a narrow section to scale: each level can be chosen, ranges that share a layout are bracketed. */
export function LevelStrip() {
  const { levels, level, choose } = useLevel()
  const lit = useLit(({ ids }) => ids)
  const allRanges = useRecords('levelRange')
  const [basis] = useRecords('basis')
  const [base, top] = [levels[0], levels.at(-1)]
  if (!level || !base || !top) return null
  const height = Math.max(0.1, top.elevation - base.elevation)
  const place = (elevation: number) => `${((elevation - base.elevation) / height) * 100}%`
  const ground = basis?.ground ?? 0
  const ranges = allRanges.flatMap(({ id, from, to, layout }) => {
    const [lower, upper] = [levels.find((l) => l.id === from), levels.find((l) => l.id === to)]
    return lower && upper ? [{ id, lower, upper, chosen: layout === level.layoutId }] : []
  })
  return (
    <Strip>
      <Names aria-hidden>
        {levels.map(({ id, name }) => (
          <span key={id}>{name}</span>
        ))}
      </Names>
      <Section orientation="vertical" aria-label="Level shown" value={level.id} onChange={choose}>
        {ranges.map(({ id, lower, upper, chosen }) => (
          <Bracket
            key={id}
            data-chosen={chosen || undefined}
            style={{
              bottom: place(lower.elevation),
              height: `calc(${place(upper.elevation)} - ${place(lower.elevation)} + 1px)`,
            }}
          />
        ))}
        {ground >= base.elevation && ground <= top.elevation && <Ground style={{ bottom: place(ground) }} />}
        {levels.map(({ id, name, elevation, layoutId }) => (
          <Level
            key={id}
            value={id}
            isDisabled={layoutId === null}
            style={{ bottom: place(elevation) }}
            data-lit={lit.includes(id) || undefined}
            aria-label={`Level ${name}`}
          >
            <span>{name}</span>
            <i />
          </Level>
        ))}
      </Section>
    </Strip>
  )
}

const Strip = styled.div`
  flex: none;
  /* as wide as its longest name and the stroke of a level */
  width: max-content;
  max-width: 120px;
  padding: 54px 0 64px 6px;
  display: flex;
  flex-direction: column;
`
/** Of no height: it makes the strip as wide as the names. */
const Names = styled.div`
  height: 0;
  overflow: hidden;
  padding-right: 32px;
  font-size: 12px;
  font-weight: 600;
  span {
    display: block;
    white-space: nowrap;
  }
`
const Section = styled(RadioGroup)`
  position: relative;
  flex: 1;
  max-height: 420px;
  margin-top: auto;
`
const Level = styled(Radio)`
  position: absolute;
  left: 0;
  right: 10px;
  transform: translateY(50%);
  display: flex;
  align-items: center;
  gap: 4px;
  font-size: 12px;
  line-height: 14px;
  color: var(--quiet);
  cursor: pointer;
  span {
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  i {
    flex: 1 0 18px;
    height: 2px;
    background: var(--border);
  }
  &[data-disabled] i {
    background: repeating-linear-gradient(90deg, var(--border) 0 3px, transparent 3px 6px);
  }
  &[data-lit] {
    outline: 2px solid var(--accent);
    outline-offset: 2px;
  }
  &[data-selected] {
    color: var(--accent);
    font-weight: 600;
  }
  &[data-selected] i {
    height: 4px;
    background: var(--accent);
  }
`
/** The ground: a line with short strokes below it. */
const Ground = styled.i`
  position: absolute;
  left: calc(100% - 28px);
  right: 10px;
  height: 6px;
  transform: translateY(100%);
  border-top: 1.5px solid var(--ink);
  background: repeating-linear-gradient(120deg, var(--quiet) 0 1px, transparent 1px 5px);
`
const Bracket = styled.i`
  position: absolute;
  right: 2px;
  width: 5px;
  border: 1.5px solid var(--border);
  border-left: 0;
  &[data-chosen] {
    border-color: var(--accent);
  }
`
