/** The mark of a value that was written from memory of a standard: whoever relies on it is to check it. */
export const FromMemory = ({ shown = true }: { readonly shown?: boolean | undefined }) =>
  shown ? <abbr title="Not yet checked against the printed standard. Check before use."> ◦ from memory</abbr> : null
