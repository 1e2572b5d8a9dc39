interface FromMemoryProps {
  readonly shown?: boolean | undefined
  /** How many values it stands for. */
  readonly values?: number
}

/**
 * The mark of a value that was written from memory of a standard: whoever relies on it is to check it. The section that
 * it stands in counts its values, and says once what the mark means.
 */
export const FromMemory = ({ shown = true, values = 1 }: FromMemoryProps) =>
  shown ? (
    <abbr
      data-from-memory
      style={{ counterIncrement: `from-memory ${values}` }}
      title="From memory: not yet checked against the printed standard. Check before use."
    >
      {' '}
      ◦
    </abbr>
  ) : null
