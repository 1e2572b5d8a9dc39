import { hatches, type Hatch, type LoadKey } from '@hedrion/core'
import { Sample } from '../../drawing/Legend'
import { Line } from '../../sheet/Sheet'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { Choice } from '../../ui/Choice'

const names: Readonly<Record<Hatch, string>> = {
  rising: 'rising lines',
  falling: 'falling lines',
  level: 'horizontal lines',
  upright: 'vertical lines',
  risingFine: 'rising lines, close',
  fallingFine: 'falling lines, close',
  levelFine: 'horizontal lines, close',
  uprightFine: 'vertical lines, close',
}
const byOrder = 'byOrder'

/** How plans hatch a load key, and the code before its name in the legend. */
export function HatchLine({ loadKey }: { readonly loadKey: LoadKey }) {
  const choiceOf = useChoiceOf()
  const { hatch, code } = loadKey
  return (
    <Line
      reference="on plans"
      result={hatch && <Sample hatch={{ mark: 'imposed', number: hatches.indexOf(hatch) }} empty={false} />}
    >
      {code !== '' && (
        <>
          <strong>{code}</strong>,{' '}
        </>
      )}
      <Choice
        {...choiceOf(loadKey, 'hatch', 'hatch', {
          label: 'Hatch of the load key',
          options: [
            [byOrder, 'hatch by order of the load keys'],
            ...hatches.map((name) => [name, names[name]] as const),
          ],
          none: byOrder,
        })}
      />
    </Line>
  )
}
