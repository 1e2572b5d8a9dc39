import { leastPoints, tools, withArticle } from '@hedrion/core'
import { useState, type KeyboardEvent } from 'react'
import { Input, TextField } from 'react-aria-components'
import styled from 'styled-components'
import { useLook } from '../../state/look'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { takeBackPoint, takeTool, useTool } from './toolStore'
import type { Placing } from './usePlacing'
import { pressed } from '../../state/shortcuts'

/** Under the plan while something is drawn: places can be typed here, and what is wrong is said here. */
export function PlaceLine({ placing }: { readonly placing: Placing }) {
  const { tool, points, problem } = useTool()
  const [{ view }] = useLook()
  const [text, setText] = useState('')
  if (!tool) return null
  const { name } = tools[tool]
  const { upright } = placing
  const { shape, examples, levelName } = placing
  const [first, next] = examples
  const enough = points.length >= leastPoints[shape]
  const onKeyDown = (event: KeyboardEvent) => {
    if (pressed(event, 'finish')) placing.finish()
    else if (pressed(event, 'setPoint')) {
      if (text.trim() === '' && enough) placing.finish()
      else if (placing.type(text)) setText('')
    } else if (pressed(event, 'removePoint') && text === '') takeBackPoint()
    else if (pressed(event, 'stopPlacing')) takeTool(null)
  }
  return (
    <Row>
      <TextField aria-label={`Position of the ${name}`} value={text} onChange={setText} autoFocus>
        <Box placeholder={points.length === 0 ? first : next} onKeyDown={onKeyDown} />
      </TextField>
      <Hint>
        {points.length} {points.length === 1 ? 'point' : 'points'} of {withArticle(name)}
        {view !== 'plan' && levelName !== undefined ? ` on level ${levelName}` : ''}
        {shape === 'ring' || shape === 'path' ? '; Ctrl+Enter finishes' : ''}
      </Hint>
      {upright && upright.planes.length > 0 && (
        <label>
          in the plane of{' '}
          <Choice
            label="Drawing plane"
            value={String(upright.depth)}
            options={upright.planes.map(({ at, text: words }) => [String(at), words] as const)}
            onChange={(at) => upright.onPlane(Number(at))}
          />
        </label>
      )}
      {(shape === 'ring' || shape === 'path') && (
        <Button isDisabled={!enough} onPress={placing.finish}>
          Finish the {name}
        </Button>
      )}
      <Button kind="quiet" onPress={() => takeTool(null)}>
        Cancel
      </Button>
      {problem && <Problem role="alert">{problem}</Problem>}
    </Row>
  )
}

const Row = styled.div`
  flex: none;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  padding: 8px 16px;
  border-top: 1px solid var(--hairline);
  background: var(--sheet);
`
const Box = styled(Input)`
  width: 240px;
  background: var(--raised);
  border: 1px solid var(--border);
  border-radius: 3px;
  padding: 4px 8px;
  font: inherit;
  color: var(--ink);
  &::placeholder {
    color: var(--quiet);
  }
`
const Hint = styled.span`
  color: var(--quiet);
  font-size: 14px;
`
const Problem = styled.div`
  flex-basis: 100%;
  color: var(--warm);
`
