import { formatValue, parseQuantity, unitOf, type NumberFormat, type Quantity } from '@hedrion/core'
import { useEffect, useId, useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react'
import { TextField } from 'react-aria-components'
import styled from 'styled-components'
import { FieldBox } from './FieldBox'
import { FieldProblem } from './FieldProblem'
import { pressed } from '../state/shortcuts'

export interface QuantityFieldProps {
  readonly label: string
  readonly quantity: Quantity
  readonly format: NumberFormat
  /** SI; null for nothing given. */
  readonly value: number | null
  /** What a person typed for this value, shown again while the field is edited. */
  readonly typed?: string | undefined
  /** Shown where there is no value. */
  readonly placeholder?: string
  readonly unit?: boolean
  readonly min?: number
  readonly max?: number
  /** The value is more than this. */
  readonly above?: number
  /** An empty text stands for no value. */
  readonly optional?: boolean
  readonly isDisabled?: boolean
  /** Takes the SI value and the text where it says more than the number; answers a sentence where it is refused. */
  readonly onCommit: (value: number | null, typed: string | undefined) => string | undefined
  readonly onFocusChange?: (focused: boolean) => void
  /** The value that the text would commit while it is typed; undefined where it cannot be read or is given up. */
  readonly onDraft?: (value: number | null | undefined) => void
}

/** A number in the line where it is used: units and small sums may be typed; what is wrong is said under it. */
export function QuantityField(props: QuantityFieldProps) {
  const {
    label,
    quantity,
    format,
    value,
    typed,
    placeholder,
    unit = true,
    isDisabled = false,
    onFocusChange,
    onDraft,
  } = props
  const [draft, setDraft] = useState<string | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const left = useRef(false)
  useGivenUp(onDraft)
  const problemId = useId()
  const shown = value === null ? '' : formatValue(value, quantity, format)
  const text = draft ?? shown

  const finish = () => {
    onDraft?.(undefined)
    if (draft === null || draft === (typed ?? shown)) {
      setDraft(null)
      setProblem(null)
      return
    }
    const sentence = take(draft, props)
    setProblem(sentence ?? null)
    if (sentence === undefined) setDraft(null)
  }
  const type = (next: string) => {
    setDraft(next)
    const found = valueOf(next, props)
    onDraft?.(found.ok && next !== shown ? found.value : undefined)
  }
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (pressed(event, 'commit')) {
      event.preventDefault()
      finish()
    }
    if (pressed(event, 'cancel') && draft !== null) {
      event.stopPropagation()
      left.current = true
      onDraft?.(undefined)
      setDraft(null)
      setProblem(null)
      event.currentTarget.blur()
    }
  }
  return (
    <Field aria-label={label} value={text} onChange={type} isInvalid={problem !== null} isDisabled={isDisabled}>
      <Box
        size={Math.max(3, text.length, placeholder?.length ?? 0)}
        {...(placeholder === undefined ? {} : { placeholder })}
        {...(problem === null ? {} : { 'aria-describedby': problemId })}
        onKeyDown={onKeyDown}
        onFocus={(event) => {
          left.current = false
          setDraft((before) => before ?? typed ?? shown)
          selectUntyped(event.target, text === shown ? (typed ?? shown) : text)
          onFocusChange?.(true)
        }}
        onBlur={() => {
          if (!left.current) finish()
          onFocusChange?.(false)
        }}
      />
      {unit && unitOf(quantity, format) !== '' && <Unit>{unitOf(quantity, format)}</Unit>}
      {problem !== null && (
        <FieldProblem id={problemId} role="alert">
          {problem}
        </FieldProblem>
      )}
    </Field>
  )
}

/** The whole value is there to be typed over; whoever has typed before the next frame has begun to, and loses nothing of it. */
function selectUntyped(input: HTMLInputElement, text: string): void {
  requestAnimationFrame(() => {
    if (input.value === text) input.select()
  })
}

/** A field that goes away gives its draft up. */
function useGivenUp(onDraft: QuantityFieldProps['onDraft']): void {
  const latest = useRef(onDraft)
  useLayoutEffect(() => {
    latest.current = onDraft
  })
  useEffect(() => () => latest.current?.(undefined), [])
}

/** Reads the text and hands it on; answers the sentence that says what is wrong, or nothing. */
function take(text: string, props: QuantityFieldProps): string | undefined {
  const found = valueOf(text, props)
  if (!found.ok) return found.problem
  const plain = /^[-−\d.,\s]*$/.test(text)
  return props.onCommit(found.value, plain ? undefined : text.trim())
}

type Found = { readonly ok: true; readonly value: number | null } | { readonly ok: false; readonly problem: string }

/** The value that a text stands for within the limits of the field. */
function valueOf(text: string, { quantity, format, min, max, above, optional }: QuantityFieldProps): Found {
  if (text.trim() === '' && optional) return { ok: true, value: null }
  const read = parseQuantity(text, quantity, format)
  if (!read.ok) return read
  const [low, high] = [above ?? min ?? -Infinity, max ?? Infinity]
  const inside = read.value >= low && read.value <= high && (above === undefined || read.value > above)
  if (inside) return read
  return { ok: false, problem: limitSentence(low, high, above !== undefined, quantity, format) }
}

function limitSentence(low: number, high: number, isOpen: boolean, quantity: Quantity, format: NumberFormat): string {
  const show = (value: number) => `${formatValue(value, quantity, format)} ${unitOf(quantity, format)}`.trim()
  if (isOpen) return `More than ${show(low)} and at most ${show(high)} is allowed.`
  if (low === -Infinity) return `At most ${show(high)}.`
  return high === Infinity ? `At least ${show(low)}.` : `${show(low)} to ${show(high)} is allowed.`
}

const Field = styled(TextField)`
  display: inline-flex;
  align-items: baseline;
  position: relative;
`
const Box = styled(FieldBox)`
  min-width: 3ch;
  field-sizing: content;
  text-align: right;
  &::placeholder {
    font-style: italic;
  }
`
const Unit = styled.span`
  margin-left: 4px;
  font: 400 13px var(--sans);
  color: var(--quiet);
`
