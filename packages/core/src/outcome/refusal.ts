/** A sentence that says why a part of a typed text is refused, thrown up to the reader of the whole. */
class Refusal extends Error {}

export const refuse = (sentence: string): never => {
  throw new Refusal(sentence)
}

/** What is read, or the sentence with which a part of it was refused; any other error goes on. */
export function orRefused<T>(read: () => T): T | { readonly ok: false; readonly problem: string } {
  try {
    return read()
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, problem: error.message }
    throw error
  }
}
